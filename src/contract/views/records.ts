import type { TableCount } from '@/core/record/records-file';
import type { ChangeView } from './account';

/** A backup as it lies there. */
export interface BackupView {
  readonly name: string;
  readonly when: string;
  readonly megabytes: number;
  /** What it holds, in a line. */
  readonly holds: string;
}

/** What the owner sees of the records. */
export interface RecordsView {
  readonly holds: string;
  readonly backups: readonly BackupView[];
  readonly changes: readonly ChangeView[];
  /** Where the next page of changes begins; null at the end. */
  readonly next: number | null;
}

/** What a file of records would do. */
export interface LookedView {
  readonly id: string;
  readonly tables: readonly (TableCount & { readonly holds: string })[];
  /** The first of the rows that are not taken. */
  readonly rejected: readonly {
    readonly table: string;
    readonly row: number;
    readonly column: string;
    readonly why: string;
  }[];
}

/** A line of what is told while a file is looked at. */
export type LookLine = { readonly share: number } | { readonly looked: LookedView } | { readonly trouble: string };

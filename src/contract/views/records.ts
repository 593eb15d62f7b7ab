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

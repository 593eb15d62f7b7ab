import type { TableCount } from '@/core/record/records-file';
import type { SheetKind } from '@/core/record/spreadsheet';
import type { SheetReading } from '../spreadsheet-form';
import type { ChangeView } from './account';

/** A backup as it lies there. */
export interface BackupView {
  readonly name: string;
  readonly when: string;
  readonly megabytes: number;
  /** What it holds, in a line. */
  readonly holds: string;
}

/** Gyms and clients that the rows of a spreadsheet can be of. */
export interface SheetChoices {
  readonly gyms: readonly { readonly id: string; readonly name: string }[];
  readonly clients: readonly { readonly id: string; readonly name: string }[];
}

/** What the owner sees of the records. */
export interface RecordsView {
  readonly holds: string;
  readonly backups: readonly BackupView[];
  readonly changes: readonly ChangeView[];
  /** Where and whose the rows of a spreadsheet can be. */
  readonly choices: SheetChoices;
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

/** A spreadsheet as it came: its headers, its first rows, and how it is read until somebody says otherwise. */
export interface SheetView {
  readonly id: string;
  readonly headers: readonly string[];
  readonly sample: readonly (readonly string[])[];
  /** How a sheet with these headers was read before, else as its headers look; by what its rows may be. */
  readonly readings: Readonly<Record<SheetKind, SheetReading>>;
  /** Whether it was read before, and as what. */
  readonly known: SheetKind | null;
}

/** A name that a sheet says, how often, what it stands for as far as is known, and what it may. */
export interface SheetNameView {
  readonly said: string;
  readonly times: number;
  readonly means: string;
  readonly likest: readonly string[];
}

/** The names of a sheet that have to be matched. */
export interface SheetNamesView {
  readonly movements: readonly SheetNameView[];
  readonly clients: readonly SheetNameView[];
}

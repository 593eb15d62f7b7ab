import type { CellTrouble } from './spreadsheet';

/** Why a row of a file of records is not taken. */
export type RowTrouble =
  | {
      readonly kind:
        'unknown-table' | 'unknown-column' | 'no-object' | 'missing' | 'twice' | 'other-type' | 'on-record-otherwise';
    }
  | { readonly kind: 'no-such'; readonly table: string }
  | { readonly kind: 'rule'; readonly rule: string }
  /** A cell of a spreadsheet, and what it says. */
  | { readonly kind: 'cell'; readonly trouble: CellTrouble; readonly said: string };

/** A row of a file that is not taken: where it stands, which column is wrong, null for the row as a whole, and why. */
export interface RejectedRow {
  readonly table: string;
  /** Its number in its table, from 1. */
  readonly row: number;
  readonly column: string | null;
  readonly why: RowTrouble;
}

/** What a file would do to a table. */
export interface TableCount {
  readonly table: string;
  readonly fresh: number;
  readonly changed: number;
  readonly same: number;
  readonly rejected: number;
}

/** Why a file as a whole cannot be taken: `says` is what the database says of it. */
export type FileTrouble =
  | { readonly why: 'no-records' | 'newer' | 'cut-off' | 'gone' | 'no-table' | 'quotes' }
  | { readonly why: 'collides'; readonly says: string };

/** What a file would do, table by table; or why it cannot be taken. */
export type Looked =
  | { readonly ok: true; readonly counts: readonly TableCount[]; readonly rejected: readonly RejectedRow[] }
  | { readonly ok: false; readonly trouble: FileTrouble };

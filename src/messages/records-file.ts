import type { FileTrouble, RowTrouble } from '@/core/record/records-file';
import { cellText } from './spreadsheet';

const ROW_TROUBLE: Readonly<Record<Exclude<RowTrouble['kind'], 'no-such' | 'rule' | 'cell'>, string>> = {
  'unknown-table': 'there is no such table here',
  'unknown-column': 'there is no such column here',
  'no-object': 'expected an object with its columns',
  missing: 'expected a value',
  twice: 'is in the file twice',
  'other-type': 'expected another kind of value: text or a number',
  'on-record-otherwise': 'is on record otherwise, and records are not changed',
};

/** Why a row of a file is not taken. */
export function rejectedText(why: RowTrouble): string {
  if (why.kind === 'no-such') return `expected one that is in ${why.table}, here or in the file`;
  if (why.kind === 'cell') return cellText(why.trouble, why.said);
  if (why.kind === 'rule') return `expected what fits ${why.rule}`;
  return ROW_TROUBLE[why.kind];
}

/** Why a file as a whole is not taken. */
export function fileTroubleText(trouble: FileTrouble): string {
  switch (trouble.why) {
    case 'no-records':
      return 'Expected a file of records, as “Take the records along” writes it.';
    case 'newer':
      return 'This file was written by a newer Jorvix: bring this one up to date first.';
    case 'cut-off':
      return 'This file ends before it is whole: fetch it again.';
    case 'gone':
      return 'This file is no longer at hand: look at it again.';
    case 'no-table':
      return 'Expected a table saved as CSV, with headers in its first row and a row below them.';
    case 'quotes':
      return 'A quote is opened in this file and never closed, so that its end cannot be told apart.';
    case 'collides':
      return `Its rows cannot stand beside what is on record (${trouble.says}). Nothing was taken.`;
  }
}

/** What the place says where records leave and come in. */
export const RECORDS_FILE = {
  title: 'Records as a file',
  out: 'Take the records along',
  outText:
    'Everything on record in one JSON file, described in docs/records-format.md, without passphrases. A file of one ' +
    'client is on their sheet.',
  outClient: 'Take this client’s records along',
  tables: 'As tables for a spreadsheet:',
  in: 'Look at a file of records',
  inText: 'Looked at first: what is new, what is changed, and what is not taken. Nothing is kept before you say so.',
  sending: (share: number): string => `Reading the file, ${Math.round(100 * share)} %`,
  stop: 'Stop',
  stopped: 'Stopped; nothing was taken.',
  unsent: 'The file could not be sent. Nothing was taken.',
  table: 'Table',
  fresh: 'New',
  changed: 'Changed',
  same: 'As it is here',
  rejected: 'Not taken',
  row: 'Row',
  column: 'Column',
  why: 'Why not',
  whole: 'the row',
  more: (n: number): string => `and ${n} more`,
  take: (n: number): string => (n === 1 ? 'Take 1 row' : `Take ${n} rows`),
  nothing: 'Everything in this file is on record as it is.',
  taken: 'Taken. What it did is with the changes.',
} as const;

/** What the tables are called. */
export const CSV_TABLE_NAME = {
  clients: 'Clients',
  kit: 'Kit',
  setups: 'Set-ups',
  sets: 'Sets',
  faults: 'Faults',
  traces: 'Traces',
} as const;

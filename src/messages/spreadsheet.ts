import type { CellTrouble, DayOrder, SheetField, SheetKind } from '@/core/record/spreadsheet';

/** What a column can hold, as it is asked for. */
export const SHEET_FIELD_NAME: Readonly<Record<SheetField, string>> = {
  client: 'Client',
  day: 'Day',
  time: 'Time of day',
  movement: 'Movement',
  side: 'Side',
  load: 'Load',
  sets: 'How many such sets',
  reps: 'Reps',
  tempo: 'Tempo',
  note: 'Note',
  name: 'Name',
  stature: 'Stature',
  mass: 'Body mass',
};

/** What a sheet's rows are. */
export const SHEET_KIND_NAME: Readonly<Record<SheetKind, string>> = {
  sets: 'Sets that were done',
  clients: 'Clients',
};

/** How days are written, by an example. */
export const DAY_ORDER_NAME: Readonly<Record<DayOrder, string>> = {
  'year-month-day': '2026-11-24',
  'day-month-year': '24.11.2026',
  'month-day-year': '11/24/2026',
};

const CELL: Readonly<Record<CellTrouble, string>> = {
  client: 'expected a client’s name',
  day: 'expected a day, written as was chosen',
  time: 'expected a time like 14:30',
  movement: 'expected a movement’s name',
  side: 'expected left, right or both',
  load: 'expected a load from 0 to 500 kg like 42.5, or one for each set like 40/42.5/45',
  loads: 'expected one load, or one for each set',
  sets: 'expected a whole number from 1 to 20, as many as there are reps where each set has its own',
  reps: 'expected reps from 1 to 60 like 10, or for each set like 10/9/8, or 3x10',
  tempo: 'expected a tempo like 3-1-2-0',
  note: 'expected a shorter note',
  name: 'expected a name of at most 80 characters',
  stature: 'expected a stature from 120 to 230 cm',
  mass: 'expected a body mass from 25 to 300 kg',
  future: 'is still to come; expected a day that was',
  'left-out': 'is left out: nothing was chosen for this name',
  'on-record': 'sets of this movement are on record for that day',
  'too-many': 'expected at most 200 sets of a client in a day',
};

/** What is wrong with a cell, and what it says. */
export const cellText = (trouble: CellTrouble, said: string): string =>
  said === '' ? CELL[trouble] : `“${said}”: ${CELL[trouble]}`;

/** What cannot be read. */
export const SHEET_REFUSAL = {
  gym: 'choose the gym that they were done in',
  client: 'choose a client of the list',
  manyNames: (most: number): string => `more than ${most} different names: is it the right column?`,
  columnNo: (no: number): string => `Column ${no}`,
} as const;

/** What the place says where a spreadsheet comes in. */
export const SHEETS = {
  title: 'From a spreadsheet',
  text:
    'Sets that were done before, or clients, from a table saved as CSV with its headers in the first row, in any ' +
    'order. You say once which column is what; the next one like it is read the same way.',
  choose: 'Choose a CSV file',
  sending: 'Sending the file',
  unsent: 'The file could not be read. Nothing was taken.',
  known: 'Read as the last one with these headers.',
  rows: 'Its rows are',
  none: 'no column',
  first: 'Its first rows',
  whose: 'All of them are of',
  byColumn: 'whom the column says',
  dayOrder: 'Days are written like',
  unit: 'Numbers without a unit are',
  units: { kg: 'kilograms, centimetres', lb: 'pounds, feet and inches' },
  gym: 'They were done in',
  again: 'Another file',
  next: 'Go on',
  movements: 'What are its movements here?',
  clients: 'Who are its clients here?',
  rowsOf: (n: number): string => (n === 1 ? '1 row' : `${n} rows`),
  meansOf: (said: string): string => `Here that is: ${said}`,
  leaveOut: 'left out',
  open: (n: number): string => (n === 1 ? '1 name is left out.' : `${n} names are left out.`),
  look: 'Look at what it would do',
  take: (what: string): string => `Take ${what}`,
} as const;

const ONE: Readonly<Record<string, string>> = { sets: 'set', sessions: 'session', clients: 'client' };
/** How many of what is taken: “240 sets, 12 sessions”. */
export const takenText = (counts: readonly { readonly table: string; readonly fresh: number }[]): string =>
  counts
    .filter((c) => c.fresh > 0)
    .map(({ table, fresh }) => `${fresh} ${fresh === 1 ? ONE[table] : table}`)
    .join(', ');

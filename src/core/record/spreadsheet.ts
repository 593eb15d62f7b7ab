import type { WorkingSide } from '@/core/body/side';
import { SCHEME_LIMITS } from '@/core/tempo/scheme';
import { kgToGrams, lbToGrams, type LoadUnit } from '@/core/units/mass';

/** What a spreadsheet's rows are: one or more sets that were done, or a client each. */
export const SHEET_KINDS = ['sets', 'clients'] as const;
/** One of them. */
export type SheetKind = (typeof SHEET_KINDS)[number];

/** What a column can hold, by what the rows are. */
export const SHEET_FIELDS = {
  sets: ['client', 'day', 'time', 'movement', 'side', 'load', 'sets', 'reps', 'tempo', 'note'],
  clients: ['name', 'stature', 'mass', 'note'],
} as const satisfies Readonly<Record<SheetKind, readonly string[]>>;
/** One of them. */
export type SheetField = (typeof SHEET_FIELDS)[SheetKind][number];

/** What a row cannot be read without. */
export const NEEDED_FIELDS: Readonly<Record<SheetKind, readonly SheetField[]>> = {
  sets: ['day', 'movement', 'reps'],
  clients: ['name', 'stature'],
};

/** In which order a day's parts are written. */
export const DAY_ORDERS = ['year-month-day', 'day-month-year', 'month-day-year'] as const;
/** One of them. */
export type DayOrder = (typeof DAY_ORDERS)[number];

/** Why a cell, or the row it stands in, cannot be taken. */
export type CellTrouble =
  | SheetField
  /** Nothing is done on a day to come. */
  | 'future'
  /** The name was left out when names were matched. */
  | 'left-out'
  /** Sets of that movement are on record for that client and day. */
  | 'on-record'
  | 'too-many'
  /** Loads as many as sets, or one. */
  | 'loads';

/** Sets that one row can stand for. */
const MOST_AT_ONCE = 20;
/** Heaviest load of a set, grams. */
const MOST_LOAD_G = 500_000;

/**
 * Reps as they are written: "10" is one set, "10, 9, 8" or "10/9/8" three, "3x10" three of ten. Null for what is
 * neither.
 */
export function readReps(cell: string): readonly number[] | null {
  const text = cell.trim().toLowerCase().replace('×', 'x');
  const [, times, each] = /^(\d{1,2})\s*x\s*(\d{1,3})$/.exec(text) ?? [];
  const reps =
    times !== undefined
      ? Array.from<number>({ length: Number(times) }).fill(Number(each))
      : text.split(/[/,;+\s]+/).map((t) => (/^\d{1,4}$/.test(t) ? Number(t) : -1));
  const [least, most] = SCHEME_LIMITS.reps;
  return reps.length > 0 && reps.length <= MOST_AT_ONCE && reps.every((r) => r >= least && r <= most) ? reps : null;
}

const LOAD = /^(\d+(?:[.,]\d+)?)\s*(kgs?|kilos?|lbs?|pounds?)?$/;

function loadGrams(text: string, unit: LoadUnit): number | null {
  const [, number, said] = LOAD.exec(text.trim().toLowerCase()) ?? [];
  if (number === undefined) return null;
  const inPounds = said === undefined ? unit === 'lb' : /^[lp]/.test(said);
  return (inPounds ? lbToGrams : kgToGrams)(Number(number.replace(',', '.')));
}

/**
 * Loads as they are written, grams: "40", "42,5 kg", "40/42.5/45"; an empty cell is no load. Numbers have a comma or a
 * point before their decimals and no sign between thousands; `unit`: of a number without one.
 */
export function readLoads(cell: string, unit: LoadUnit): readonly number[] | null {
  if (cell.trim() === '') return [0];
  const loads = cell.split(/[/;]/).map((t) => loadGrams(t, unit));
  return loads.every((g) => g !== null && g <= MOST_LOAD_G) ? (loads as number[]) : null;
}

/** How many alike sets a cell says: 1 where it is empty. Null for what is no such number. */
export function readTimes(cell: string): number | null {
  const times = cell.trim() === '' ? 1 : Number(cell);
  return Number.isInteger(times) && times >= 1 && times <= MOST_AT_ONCE ? times : null;
}

const SIDE_WORDS: readonly (readonly [RegExp, WorkingSide])[] = [
  [/^(|b|both|bilateral|l(eft)?\s*[+&/]\s*r(ight)?)$/, 'both'],
  [/^(l|left|lhs)$/, 'left'],
  [/^(r|right|rhs)$/, 'right'],
];

/** A side as it is written; both where the cell is empty. Null for another word. */
export function readSide(cell: string): WorkingSide | null {
  const text = cell.trim().toLowerCase();
  return SIDE_WORDS.find(([word]) => word.test(text))?.[1] ?? null;
}

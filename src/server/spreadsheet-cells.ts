import 'server-only';
import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';
import type { DayOrder } from '@/core/record/spreadsheet';

dayjs.extend(customParseFormat);

/** Writings of a day, by the order of its parts; the signs between them are one when they are read. */
const DAY_FORMATS: Readonly<Record<DayOrder, readonly string[]>> = {
  'year-month-day': ['YYYY-M-D'],
  'day-month-year': ['D-M-YYYY', 'D-M-YY', 'D-MMM-YYYY', 'D-MMM-YY', 'D-MMMM-YYYY'],
  'month-day-year': ['M-D-YYYY', 'M-D-YY', 'MMM-D-YYYY', 'MMMM-D-YYYY'],
};
const TIME_FORMATS = ['H:mm', 'H:mm:ss', 'h:mm a', 'h:mma', 'h a', 'ha'];
const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?(\.\d+)?(Z|[+-]\d{2}:\d{2})$/;
/** Day 0 of the numbers that spreadsheets keep days as, with the day in it that never was (1900-02-29). */
const SERIAL_ORIGIN = dayjs('1899-12-30');
const FIRST_SERIAL = 20_000;
const LAST_SERIAL = 80_000;

/** What a cell says of when. */
export interface CellDay {
  /** The start of its day where the server stands, milliseconds since 1970. */
  readonly dayMs: number;
  /** Time of day that stands in the same cell, milliseconds since its start. */
  readonly timeMs: number | null;
}

function readTimeMs(cell: string): number | null {
  const time = dayjs(cell.trim().toLowerCase(), TIME_FORMATS, true);
  return time.isValid() ? time.diff(time.startOf('day')) : null;
}

/**
 * A day, with its time where one stands beside it; null for what is none. `order`: of its parts. A day whose year comes
 * first is read in any order; a number of days is one that a spreadsheet keeps.
 */
export function readDay(cell: string, order: DayOrder): CellDay | null {
  const text = cell.trim();
  if (INSTANT.test(text)) {
    const at = dayjs(text);
    return { dayMs: at.startOf('day').valueOf(), timeMs: at.diff(at.startOf('day')) };
  }
  const serial = /^\d{5}$/.test(text) ? Number(text) : 0;
  if (serial >= FIRST_SERIAL && serial <= LAST_SERIAL)
    return { dayMs: SERIAL_ORIGIN.add(serial, 'day').valueOf(), timeMs: null };
  const [, day = '', time = null] = /^(.+?)(?:[T ]+(\d{1,2}:\d{2}.*))?$/.exec(text) ?? [];
  const parts = day
    .replace(/[^\p{L}\d]+/gu, '-')
    .replace(/-$/, '')
    .replace(/\b0+(?=\d\b)/g, '');
  const read = dayjs(parts, [...DAY_FORMATS[order], 'YYYY-M-D'], true);
  if (!read.isValid()) return null;
  const timeMs = time === null ? null : readTimeMs(time);
  return time !== null && timeMs === null ? null : { dayMs: read.valueOf(), timeMs };
}

/** A time of day, milliseconds since its start; null where the cell is empty, `undefined` for what is none. */
export function readTime(cell: string): number | null | undefined {
  return cell.trim() === '' ? null : (readTimeMs(cell) ?? undefined);
}

/** The order in which the days of a sample are all written; the day first where several are possible. */
export function orderOf(cells: readonly string[]): DayOrder {
  const said = cells.filter((c) => c.trim() !== '');
  const fits = (order: DayOrder): boolean => said.every((c) => readDay(c, order) !== null);
  if (said.length > 0 && fits('year-month-day')) return 'year-month-day';
  return !fits('day-month-year') && fits('month-day-year') ? 'month-day-year' : 'day-month-year';
}

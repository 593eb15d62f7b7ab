import 'server-only';
import dayjs from 'dayjs';
import { DAY_MS } from '@/core/body/clinician-limit';

/**
 * The calendar day of a time where the server stands, as whole days since 1970: what limits and screenings count in.
 */
export function toLocalDay(ms: number): number {
  const at = new Date(ms);
  return Date.UTC(at.getFullYear(), at.getMonth(), at.getDate()) / DAY_MS;
}

/** A day where the server stands, like 2026-11-24. */
export const dayText = (ms: number): string => dayjs(ms).format('YYYY-MM-DD');

/** Midnight to midnight of the day that holds `nowMs`, where the server stands. */
export const dayOf = (nowMs: number): { readonly fromMs: number; readonly toMs: number } => {
  const start = dayjs(nowMs).startOf('day');
  return { fromMs: start.valueOf(), toMs: start.add(1, 'day').startOf('day').valueOf() };
};

import 'server-only';
import dayjs from 'dayjs';
import { DAY_MS } from '@/core/body/clinician-limit';

/** The server's clock, milliseconds; read once per request. */
export const readClock = (): number => Date.now();

/**
 * The calendar day of a time where the server stands, as whole days since 1970: what limits and screenings count in.
 */
export const toLocalDay = (ms: number): number => Date.parse(`${dayjs(ms).format('YYYY-MM-DD')}T00:00:00Z`) / DAY_MS;

/** Today where the server stands, like 2026-11-24. */
export const today = (): string => dayjs(readClock()).format('YYYY-MM-DD');

import dayjs from 'dayjs';

/** "14:30" in the zone of whoever renders; pages render times on the server. */
export const clock = (ms: number): string => dayjs(ms).format('HH:mm');

/** "24 Nov". */
export const day = (ms: number): string => dayjs(ms).format('D MMM');

/** "24 Nov", and of another year than that of `nowMs` "24 Nov 2025". */
export const dayIn = (ms: number, nowMs: number): string =>
  dayjs(ms).format(new Date(ms).getFullYear() === new Date(nowMs).getFullYear() ? 'D MMM' : 'D MMM YYYY');

/** "24 Nov 2026, 14:30". */
export const moment = (ms: number): string => dayjs(ms).format('D MMM YYYY, HH:mm');

/** "14:30", and of another day than that of `nowMs` "24 Nov, 14:30". */
export const momentIn = (ms: number, nowMs: number): string =>
  dayjs(ms).format(dayjs(ms).isSame(nowMs, 'day') ? 'HH:mm' : 'D MMM, HH:mm');

/** "24 Nov 2026", of a day since 1970. */
export const dateOf = (dayNo: number): string =>
  dayjs(new Date(dayNo * 86_400_000).toISOString().slice(0, 10)).format('D MMM YYYY');

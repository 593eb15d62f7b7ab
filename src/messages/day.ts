import dayjs from 'dayjs';

/** "14:30" in the zone of whoever renders; pages render times on the server. */
export const clock = (ms: number): string => dayjs(ms).format('HH:mm');

/** "24 Nov". */
export const day = (ms: number): string => dayjs(ms).format('D MMM');

import 'server-only';

/** The server's clock, milliseconds; read once per request. */
export const readClock = (): number => Date.now();

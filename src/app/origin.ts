import { headers } from 'next/headers';

/** Where the device that asked reaches this app, by what the door says of it: a code on paper must open there again. */
const originIn = (asked: Headers): string =>
  `${asked.get('x-forwarded-proto') ?? 'http'}://${asked.get('host') ?? 'localhost'}`;

/** The same of a request. */
export const originOf = (request: Request): string => originIn(request.headers);

/** The same for a page. */
export const originOfPage = async (): Promise<string> => originIn(await headers());

import { headers } from 'next/headers';

/** Where the device that asked reaches this app: a code on paper must open there again. */
export function originOf(request: Request): string {
  const url = new URL(request.url);
  return `${url.protocol}//${request.headers.get('host') ?? url.host}`;
}

/** The same for a page. */
export async function originOfPage(): Promise<string> {
  const asked = await headers();
  return `${asked.get('x-forwarded-proto') ?? 'http'}://${asked.get('host') ?? 'localhost'}`;
}

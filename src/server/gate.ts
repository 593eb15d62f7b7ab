import 'server-only';
import type { IncomingMessage } from 'node:http';
import { sharedDb } from '@/data/open-db';
import { authenticate, noteUse, rotate, type SignedIn } from './authenticate';
import { LINE } from './event-line';
import { COOKIE, setCookie } from './session-cookie';
import { signInPath } from './sign-in-path';

/** What everybody gets: the way in, and what pages are made of, which holds nothing of anybody. */
const OPEN_PATHS = ['/sign-in', '/offline', '/sw.js', '/icon.svg', '/favicon.ico'];
/** Taps are taken from a device that has slept too: they were made while it was open. */
const TAPS = '/api/v1/floor-events';

/** How a request is met: served, sent to sign in, or refused. */
export type Gate =
  | { readonly do: 'serve'; readonly signedIn: SignedIn | null; readonly cookie: string | null }
  | { readonly do: 'redirect'; readonly to: string }
  | { readonly do: 'refuse'; readonly status: 401; readonly body: object };

/** A cookie's value; undefined where there is none of that name. */
function readCookie(header: string | undefined, name: string): string | undefined {
  const pair = header?.split(';').find((c) => c.trimStart().startsWith(`${name}=`));
  return pair?.slice(pair.indexOf('=') + 1).trim();
}

function isOpen(path: string): boolean {
  return OPEN_PATHS.includes(path) || path.startsWith('/_next/static/');
}

/**
 * Whether somebody is let in. Every request passes here before anything is read for it; use cases ask once more who is
 * signed in, and see only what is theirs (server/reach).
 */
export function gateOf({ method, url, headers }: IncomingMessage, nowMs: number): Gate {
  // Two slashes at the start would name another host.
  const path = new URL(`/${(url ?? '').replace(/^\/+/, '')}`, 'http://door').pathname;
  if (isOpen(path)) return { do: 'serve', signedIn: null, cookie: null };
  const db = sharedDb();
  const signedIn = authenticate(db, readCookie(headers.cookie, COOKIE), nowMs);
  if (signedIn && (signedIn.state === 'open' || (path === TAPS && method === 'POST'))) {
    // What a page asks for by itself is no use of the device.
    if (path !== LINE) noteUse(db, signedIn, nowMs);
    const token = headers['sec-fetch-mode'] === 'navigate' ? rotate(db, signedIn, nowMs) : null;
    return { do: 'serve', signedIn, cookie: token === null ? null : setCookie(token) };
  }
  // A program's token is looked at where it is answered.
  if (path.startsWith('/api/v1/') && headers.authorization?.startsWith('Bearer '))
    return { do: 'serve', signedIn: null, cookie: null };
  if (path.startsWith('/api/')) {
    const reason = signedIn ? 'locked' : 'signed-out';
    return { do: 'refuse', status: 401, body: { reason, issues: [] } };
  }
  // A form's own write is told by the use case that it reaches, which keeps what was typed on the page.
  if (method === 'POST' && headers['next-action'] !== undefined) return { do: 'serve', signedIn: null, cookie: null };
  return { do: 'redirect', to: signInPath(path) };
}

import 'server-only';
import { LASTS_MS } from '@/core/account/session-state';

/** The cookie that holds a device's token. */
export const COOKIE = 'jorvix';

/**
 * How it is kept: no script reads it, no other site's write sends it along, and where pages come over TLS (its own
 * certificate, or a proxy that says so) it goes no other way.
 */
export const cookieOptions = () =>
  ({
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: LASTS_MS / 1000,
    secure: process.env.JORVIX_SECURE === 'yes',
  }) as const;

/** The same as a header. */
export function setCookie(token: string): string {
  const { path, maxAge, secure } = cookieOptions();
  return `${COOKIE}=${token}; Path=${path}; HttpOnly; SameSite=Lax; Max-Age=${maxAge}${secure ? '; Secure' : ''}`;
}

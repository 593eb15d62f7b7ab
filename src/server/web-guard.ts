import 'server-only';
import { randomBytes } from 'node:crypto';
import type { IncomingHttpHeaders } from 'node:http';
import { REFUSED_REQUEST } from '@/messages/web';

/** Headers of every answer: nothing frames it, guesses its kind, is told where it was left for, or asks for more. */
const FIXED_HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
} as const;

/** Largest body of a write, bytes. */
const MOST_BYTES = 2_000_000;
/** The same of a file of records or a spreadsheet, which are read bit by bit. */
const MOST_FILE_BYTES = 4_000_000_000;
/** Where files come in. */
const FILE_PATHS: ReadonlySet<string> = new Set(['/api/v1/records', '/api/v1/sheets']);

/** A request that is not served, and what is said of it. */
export interface Refusal {
  readonly status: 403 | 411 | 413 | 415 | 421;
  readonly says: string;
}

/** Names under which this process answers; more with JORVIX_HOSTS, with commas between. */
export function allowedHosts(port: number, more = process.env.JORVIX_HOSTS ?? ''): ReadonlySet<string> {
  const own = ['127.0.0.1', 'localhost', '[::1]'].map((name) => `${name}:${port}`);
  return new Set([...own, ...more.split(',').map((h) => h.trim().toLowerCase())].filter((h) => h !== ''));
}

/** Whether a write comes from a page of this application, or from a program that is no browser. */
function fromElsewhere({ origin, host, 'sec-fetch-site': site }: IncomingHttpHeaders): boolean {
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true;
  return origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`;
}

/**
 * Why a request is not served; null when it is. A name that is not this server's could be another page's, pointed here
 * (DNS rebinding); a write must come from a page of this application and not be larger than any of its own; what
 * crosses the API is JSON, which no foreign form can send.
 */
export function refusalOf(
  method: string,
  url: string,
  headers: IncomingHttpHeaders,
  hosts: ReadonlySet<string>,
): Refusal | null {
  if (!hosts.has(headers.host?.toLowerCase() ?? '')) return { status: 421, says: REFUSED_REQUEST.host };
  if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS') return null;
  if (fromElsewhere(headers)) return { status: 403, says: REFUSED_REQUEST.origin };
  if (headers['content-length'] === undefined) return { status: 411, says: REFUSED_REQUEST.length };
  const most = FILE_PATHS.has(url) ? MOST_FILE_BYTES : MOST_BYTES;
  if (!(Number(headers['content-length']) <= most)) return { status: 413, says: REFUSED_REQUEST.size };
  const ours = /^(application\/json|text\/csv)\b/i.test(headers['content-type'] ?? '');
  return url.startsWith('/api/') && !ours ? { status: 415, says: REFUSED_REQUEST.json } : null;
}

/** Headers of one answer: with a word of its own by which the page knows its scripts, and no others. */
export function headersOf(): { readonly nonce: string; readonly policy: string; readonly headers: object } {
  const nonce = randomBytes(16).toString('base64');
  const policy =
    `default-src 'self'; script-src 'self' 'nonce-${nonce}'; style-src 'self' 'unsafe-inline'; ` +
    "img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self'; worker-src 'self' blob:; " +
    "object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";
  return { nonce, policy, headers: { ...FIXED_HEADERS, 'content-security-policy': policy } };
}

import { expect, it } from 'vitest';
import { allowedHosts, headersOf, refusalOf } from '@/server/web-guard';

const HOSTS = allowedHosts(4310, 'gym.example:443, ');
const OWN = { host: '127.0.0.1:4310', 'content-length': '12', 'content-type': 'application/json' };

it.each<[string, string, Record<string, string>, number | null]>([
  ['a page', 'GET', { host: '127.0.0.1:4310' }, null],
  ['a page under a name of the gym’s network', 'GET', { host: 'GYM.example:443' }, null],
  ['another name pointed here', 'GET', { host: 'evil.example:4310' }, 421],
  ['the right name at another port', 'GET', { host: '127.0.0.1:80' }, 421],
  ['no name', 'GET', {}, 421],
  ['a tap of its own page', 'POST', { ...OWN, origin: 'http://127.0.0.1:4310', 'sec-fetch-site': 'same-origin' }, null],
  ['a tap by a program', 'POST', OWN, null],
  ['a tap by a foreign page', 'POST', { ...OWN, origin: 'http://evil.example' }, 403],
  ['the same without an origin', 'POST', { ...OWN, 'sec-fetch-site': 'cross-site' }, 403],
  ['a page of another port of this machine', 'POST', { ...OWN, origin: 'http://127.0.0.1:8080' }, 403],
  ['a sandboxed page', 'POST', { ...OWN, origin: 'null' }, 403],
  ['a foreign form', 'POST', { ...OWN, 'content-type': 'text/plain' }, 415],
  ['a spreadsheet', 'POST', { ...OWN, 'content-type': 'text/csv' }, null],
  ['no length', 'POST', { host: OWN.host, 'content-type': 'application/json' }, 411],
  ['too long', 'POST', { ...OWN, 'content-length': '2000001' }, 413],
  ['a length that is none', 'POST', { ...OWN, 'content-length': 'x' }, 413],
  ['a deletion from elsewhere', 'DELETE', { ...OWN, 'sec-fetch-site': 'same-site' }, 403],
])('%s', (_, method, headers, status) =>
  expect(refusalOf(method, '/api/v1/floor-events', headers, HOSTS)?.status ?? null).toBe(status),
);

it('each answer has a word of its own for its scripts, and no other script runs', () => {
  const [a, b] = [headersOf(), headersOf()];
  expect(a.nonce).not.toBe(b.nonce);
  expect(a.policy).toContain(`'nonce-${a.nonce}'`);
  expect(/script-src[^;]*unsafe/.test(a.policy)).toBe(false);
});

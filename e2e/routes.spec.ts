import Database from 'better-sqlite3';
import { readdirSync } from 'node:fs';
import { sep } from 'node:path';
import { expect, itemId, test } from './support/app';

const own = itemId('anselm', 0);
/** A set that a trace is kept of, made below. */
const TRACED = 'traced-set';
/** What stands for the names in brackets: of a client of the demo's trainer, and of shared kit. */
const NAMES: Readonly<Record<string, string>> = {
  '[clientId]': 'anselm',
  '[itemId]': own,
  '[sessionId]': own.replace(/-0$/, ''),
  '[pieceId]': 'short-pair',
  '[entryId]': 'cable-fly-level',
  '[movement]': 'cable-fly-level',
  '[...path]': 'sensors',
  '[name]': 'sets',
  '[id]': 'x',
  '[day]': '2001-01-01',
  '[setId]': TRACED,
  '[...rest]': 'openapi.json',
};
/** Who may open it beside the owner: everybody who is signed in, who cares for the client, or nobody else. */
type For = 'all' | 'care' | 'owner' | 'open' | 'none';
const FOR: Readonly<Record<string, For>> = {
  '/': 'all',
  '/account': 'all',
  '/account/practice': 'all',
  '/clients': 'all',
  '/clients/new': 'all',
  '/clients/[clientId]': 'care',
  '/clients/[clientId]/hand-over': 'care',
  '/clients/[clientId]/practice': 'care',
  '/kit': 'all',
  '/kit/new': 'all',
  '/kit/[pieceId]': 'all',
  '/ledger': 'all',
  '/ledger/what-works': 'all',
  '/ledger/[clientId]': 'care',
  '/ledger/[clientId]/[movement]': 'care',
  '/movements': 'all',
  '/movements/[entryId]': 'all',
  '/movements/spotting': 'all',
  '/offline': 'open',
  '/people': 'owner',
  '/plan': 'all',
  '/plan/of/[clientId]': 'care',
  '/plan/[sessionId]': 'care',
  '/plan/propose/[sessionId]': 'care',
  '/plan/together/[sessionId]': 'care',
  '/records': 'owner',
  '/set/[itemId]': 'care',
  '/setup/[itemId]': 'care',
  '/sign-in': 'open',
  '/start': 'owner',
  '/summary/[sessionId]': 'care',
  '/taps': 'all',
  '/api/v1/cards/[itemId]': 'care',
  '/api/v1/cards/of/[sessionId]': 'care',
  // Sessions of one's own clients, if there are any: none are planned on this day.
  '/api/v1/cards/day/[day]': 'none',
  '/api/v1/papers/hand-over/[clientId]': 'care',
  '/api/v1/papers/summary/[sessionId]': 'care',
  '/api/v1/[...rest]': 'all',
  '/api/v1/records': 'owner',
  '/api/v1/records/[clientId]': 'care',
  '/api/v1/tables/[name]': 'owner',
  '/api/v1/traces/[itemId]/[setId]': 'care',
  // Only sent to, as is the solver.
  '/api/v1/sheets': 'all',
  '/api/v1/sheets/[id]': 'all',
  '/api/v1/calendar': 'all',
  '/api/v1/floor-events': 'all',
  '/api/v1/solve': 'all',
  '/api/v1/tracker/[...path]': 'all',
  '/api/v1/floor-events/line': 'care',
};
/** Routes by the files that there are; the line of events has a door of its own. */
const ROUTES = readdirSync('src/app', { recursive: true })
  .map(String)
  .filter((f) => /(^|\/)(page|route)\.tsx?$/.test(f))
  .map((f) => `/${f.split(sep).slice(0, -1).join('/')}`)
  .concat('/api/v1/floor-events/line');
const QUERY: Readonly<Record<string, string>> = {
  '/kit/new': '?kind=bar',
  '/api/v1/floor-events/line': '?client=anselm&movement=cable-fly-level',
};

test('every page, route and stream: nobody is sent to sign in, and a client is seen by who cares for them', async ({
  app,
}) => {
  expect([...ROUTES].sort()).toEqual(Object.keys(FOR).sort());
  const db = new Database(app.database);
  // A session that is shared has a page of its own.
  db.prepare("UPDATE session SET together_id = 'both' WHERE id IN (?, ?)").run(
    ...['anselm', 'sefina'].map((c) => itemId(c, 0).replace(/-0$/, '')),
  );
  db.prepare(
    `INSERT INTO floor_event (id, device_id, seq, at_ms, received_at_ms, client_id, item_id, movement, kind, body)
     VALUES ('kept-trace', 'd', 1, 1, 1, 'anselm', ?, 'cable-fly-level', 'trace', ?)`,
  ).run(own, JSON.stringify({ setId: TRACED, hz: 50, data: 'AAIF' }));
  db.close();
  const tokens = {
    nobody: '',
    relief: app.newToken('relief'),
    marit: app.newToken('marit'),
    owner: app.newToken('owner'),
  };
  const seen: string[] = [];
  const expected: string[] = [];
  for (const route of ROUTES) {
    const address = route.replace(/\[[^\]]+\]/g, (name) => NAMES[name]!) + (QUERY[route] ?? '');
    for (const [who, token] of Object.entries(tokens)) {
      const stop = new AbortController();
      const reply = await fetch(app.url + address, {
        redirect: 'manual',
        headers: token ? { cookie: `jorvix=${token}` } : {},
        signal: stop.signal,
      });
      const text = reply.headers.get('content-type')?.includes('event-stream') ? '' : await reply.text();
      stop.abort();
      const isApi = route.startsWith('/api/');
      const away = FOR[route] === 'open' ? false : who === 'nobody';
      const may =
        FOR[route] === 'all' || FOR[route] === 'open'
          ? true
          : FOR[route] === 'none'
            ? false
            : who === 'owner' || (FOR[route] === 'care' && who === 'marit');
      const met = away ? (isApi ? 'refused' : 'sent to sign in') : may ? 'seen' : 'not there';
      const is =
        reply.status === 401
          ? 'refused'
          : reply.status === 303 && reply.headers.get('location')?.startsWith('/sign-in')
            ? 'sent to sign in'
            : reply.status === 404
              ? 'not there'
              : 'seen';
      seen.push(`${route} ${who}: ${is}`);
      expected.push(`${route} ${who}: ${met}`);
      if (is !== 'seen') expect(text).not.toContain('Okparaeke');
      expect(reply.headers.get('content-security-policy'), route).toContain("frame-ancestors 'none'");
    }
  }
  expect(seen).toEqual(expected);
});

test('odd addresses are answered, never with a fault of the server', async ({ app }) => {
  const cookie = `jorvix=${app.newToken()}`;
  for (const address of [
    '//',
    '//clients',
    '/kit?gym=a&gym=b',
    '/movements?client=a&client=b&gym=a&gym=b',
    `/setup/${own}?station=a&station=b`,
    '/?plan=a&plan=b&variant=c&client=d&client=e',
    '/clients/%00',
    '/clients/..%2f..%2fetc',
    `/set/${'x'.repeat(3000)}`,
    '/ledger/%F0%9F%A6%8A',
    '/records?before=1e999',
    '/sign-in?to=//evil.example',
    '/api/v1/cards/%00',
    '/api/v1/floor-events/line?client=%00&movement=x',
    '/api/v1/tracker/..%2f..%2fx',
  ]) {
    const { status } = await fetch(app.url + address, { headers: { cookie }, redirect: 'manual' });
    expect([address, status < 500 || status === 503]).toEqual([address, true]);
  }
});

import { Validator } from '@seriousme/openapi-schema-validator';
import Ajv2020 from 'ajv/dist/2020';
import { describe, expect, it } from 'vitest';
import { API_SCOPES, type ApiScope } from '@/core/account/api-scope';
import type { Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import { endAccount } from '@/server/accounts';
import { answerApi } from '@/server/api';
import { apiDocument } from '@/server/api-document';
import { OPERATIONS } from '@/server/api-operations';
import { loadChanges } from '@/server/changes';
import { loadSet } from '@/server/set';
import { loadSetup } from '@/server/setup';
import { endToken, loadTokens, makeToken } from '@/server/tokens';
import { RELIEF } from '../demo/people';
import { asOwner, at, NOW, world } from './support/world';

const TODAY = 'anselm-2026-11-24';
function tokenOf(db: Db, scopes: readonly ApiScope[] = API_SCOPES, uc = at(db)): string {
  const made = makeToken(uc, { name: 'Front desk', scopes });
  if (!made.ok) throw new Error('no token');
  return made.kept!;
}
type Call = { readonly method?: string; readonly body?: unknown; readonly headers?: Record<string, string> };
async function call(db: Db, token: string | null, path: string, { method = 'GET', body, headers }: Call = {}) {
  const reply = await answerApi(
    db,
    new Request(`http://gym/api/v1${path}`, {
      method,
      headers: { ...(token === null ? {} : { authorization: `Bearer ${token}` }), ...headers },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    }),
    NOW,
  );
  const text = await reply.text();
  return { status: reply.status, headers: reply.headers, value: (text === '' ? null : JSON.parse(text)) as never };
}

interface Described {
  readonly paths: Record<
    string,
    Record<string, { responses: Record<string, { content: Record<string, { schema: object }> }> }>
  >;
  readonly components: object;
}
const document = JSON.parse(JSON.stringify(apiDocument())) as Described;
/** Whether a reply is as the document says for its status. */
function isDescribed(path: string, method: string, status: number, value: unknown): string {
  const said = document.paths[path]![method]!.responses[String(status)];
  if (!said) return `${method} ${path} says nothing of ${status}`;
  const [schema] = Object.values(said.content);
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  const inside = JSON.parse(
    JSON.stringify(schema!.schema).replaceAll('#/components/', '#/$defs/components/'),
  ) as object;
  const components = JSON.parse(
    JSON.stringify(document.components).replaceAll('#/components/', '#/$defs/components/'),
  ) as object;
  const validate = ajv.compile({ ...inside, $defs: { components } });
  return validate(value) ? '' : JSON.stringify(validate.errors);
}

/** A call that succeeds, for each operation. */
const db0 = world();
const GOOD: Readonly<Record<string, { readonly path: string; readonly body?: unknown }>> = {
  allClients: { path: '/clients?limit=2' },
  addClient: { path: '/clients', body: { name: 'New Person', statureCm: 170 } },
  getClient: { path: '/clients/anselm' },
  listSets: { path: '/clients/anselm/sets?limit=3' },
  listEvents: { path: '/clients/anselm/events?limit=3' },
  listSetups: { path: '/clients/anselm/setups' },
  getLedger: { path: '/clients/anselm/ledger' },
  listKit: { path: '/kit' },
  allGyms: { path: '/gyms' },
  addKit: {
    path: '/kit',
    body: { gymId: 'tidewater', kind: 'bar', name: 'New bar', spec: { massKg: 15, lengthCm: 180 } },
  },
  changeKit: {
    path: '/kit/grey-band',
    body: {
      ...{ kind: 'band', name: 'Grey band' },
      spec: {
        restCm: 100,
        table: [
          { stretchCm: 0, kg: 0 },
          { stretchCm: 50, kg: 12 },
        ],
      },
    },
  },
  recordEvents: {
    path: '/events',
    body: {
      events: [
        {
          ...{ id: 'by-program', deviceId: 'desk', seq: 1, atMs: NOW, clientId: 'anselm', itemId: `${TODAY}-0` },
          ...{ movement: loadSet(at(db0), `${TODAY}-0`)!.item.movement, kind: 'set-note', setId: 's', note: 'Slow' },
        },
      ],
    },
  },
  listMovements: { path: '/movements?limit=200' },
  allSessions: { path: '/sessions?from=2026-11-20&to=2026-11-25' },
  planSession: {
    path: '/sessions',
    body: { clientId: 'anselm', day: '2026-11-30', startsAt: '10:00', minutes: 60, from: 'last' },
  },
  getSession: { path: `/sessions/${TODAY}` },
  solve: { path: '/solve', body: loadSetup(at(db0), `${TODAY}-0`)!.setupCase },
};

describe('the document', () => {
  it('is an OpenAPI 3.1 document, by an independent validator, and has every operation once', async () => {
    const { valid, errors } = await new Validator().validate(document as never);
    expect(errors ?? []).toEqual([]);
    expect(valid).toBe(true);
    expect(new Set(OPERATIONS.map((o) => o.id)).size).toBe(OPERATIONS.length);
    expect(Object.keys(GOOD).toSorted()).toEqual(OPERATIONS.map((o) => o.id).toSorted());
  });
  it.each(OPERATIONS.map((o) => [o.id, o] as const))(
    '%s: asked as it says it gives what it says; else a problem',
    async (id, o) => {
      const db = world();
      const { path, body } = GOOD[id]!;
      const ask = { method: o.method.toUpperCase(), ...(body === undefined ? {} : { body }) };
      const good = await call(db, tokenOf(db), path, ask);
      expect([good.status, isDescribed(o.path, o.method, 200, good.value)]).toEqual([200, '']);
      // Without a token, with one that may everything else, and with a word too many or a body that is none.
      const others = API_SCOPES.filter((s) => s !== o.scope);
      const odd =
        o.method !== 'get'
          ? call(db, tokenOf(db), path, { ...ask, body: '{"odd"' })
          : call(db, tokenOf(db), `${path.split('?')[0]}?limit=0&cursor=~~&from=x`);
      const wrong = [await call(db, null, path, ask), await call(db, tokenOf(db, others), path, ask), await odd];
      const hasQuery = o.method !== 'get' || Object.keys(o.query.shape).length > 0;
      expect(wrong.map((w) => w.status)).toEqual([401, 403, hasQuery ? 400 : 200]);
      for (const w of wrong.filter(({ status }) => status !== 200)) {
        expect(w.headers.get('content-type')).toBe('application/problem+json');
        expect(isDescribed(o.path, o.method, w.status, w.value)).toBe('');
      }
      if (o.path.includes('{')) {
        const none = await call(db, tokenOf(db), o.path.replace(/\{\w+\}/, 'nobody'), ask);
        expect([none.status, isDescribed(o.path, o.method, 404, none.value)]).toEqual([404, '']);
      }
    },
  );
});

describe('calls', () => {
  it('see what the token’s trainer sees, and nothing once it is ended, or its account is', async () => {
    const db = world();
    const relief = tokenOf(db, API_SCOPES, at(db, NOW, RELIEF));
    expect((await call(db, relief, '/clients/anselm')).status).toBe(404);
    expect((await call(db, relief, '/clients')).value).toMatchObject({ next: null });
    const own = tokenOf(db);
    expect((await call(db, own, '/clients/anselm')).value).toMatchObject({ name: 'Anselm Okparaeke' });
    expect(loadTokens(at(db))[0]!.facts).toMatch(/^see clients, .*; made .*, last used /);
    expect(endToken(at(db, NOW, RELIEF), loadTokens(at(db))[0]!.id).ok).toBe(false);
    expect(endToken(at(db), loadTokens(at(db))[0]!.id).ok).toBe(true);
    expect((await call(db, own, '/clients/anselm')).status).toBe(401);
    expect(endAccount(asOwner(db), RELIEF.id, true).ok).toBe(true);
    expect((await call(db, relief, '/clients')).status).toBe(401);
    // Who reads the database opens nothing with it.
    expect(JSON.stringify(db.prepare('SELECT * FROM api_token').all())).not.toContain(own);
    expect(loadChanges(asOwner(db), null)!.changes.map((c) => c.what)).toContain('Program with a token');
    expect(makeToken(at(db), { name: '', scopes: [] })).toMatchObject({ ok: false });
    expect(makeToken(at(db), { name: 'x', scopes: ['all'] })).toMatchObject({ ok: false });
  });
  it('lists go on until everything was listed, once', async () => {
    const db = world();
    const token = tokenOf(db);
    const all: { id: string }[] = [];
    for (let cursor = '', n = 0; n < 100; n++) {
      const { value } = await call(db, token, `/clients/sefina/events?limit=7${cursor && `&cursor=${cursor}`}`);
      const { items, next } = value as { items: { id: string }[]; next: string | null };
      all.push(...items);
      if (next === null) break;
      cursor = next;
    }
    const kept = ['cable-fly-high-to-low', 'cable-fly-low-to-high'].flatMap(
      (m) => listFloorEvents(db, 'sefina', m).rows,
    );
    expect(all.map((e) => e.id).toSorted()).toEqual(kept.map((e) => e.id).toSorted());
    for (const cursor of ['AAAA', '-1', 'x'.repeat(200)])
      expect([200, 422]).toContain((await call(db, token, `/clients?cursor=${cursor}`)).status);
  });
  it('have an ETag; what the asker has already is not sent again', async () => {
    const db = world();
    const token = tokenOf(db);
    const first = await call(db, token, '/clients/anselm');
    const etag = first.headers.get('etag')!;
    const again = await call(db, token, '/clients/anselm', { headers: { 'if-none-match': `"x", ${etag}` } });
    expect([again.status, again.value]).toEqual([304, null]);
    db.prepare("UPDATE client SET note = 'other' WHERE id = 'anselm'").run();
    expect((await call(db, token, '/clients/anselm', { headers: { 'if-none-match': etag } })).status).toBe(200);
  });
  it('a write that is sent twice by one key is one, and a key is a UUID', async () => {
    const db = world();
    const token = tokenOf(db);
    const key = 'F1F1F1F1-0000-4000-8000-000000000000';
    const send = (id: string, headers = { 'idempotency-key': key }) => {
      const { path, body } = GOOD[id]!;
      return call(db, token, path, { method: 'POST', body, headers });
    };
    for (const [id, table] of [
      ['addClient', 'client'],
      ['planSession', 'session'],
      ['addKit', 'kit_piece'],
    ] as const) {
      const count = () => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
      const before = count();
      const [one, two] = [await send(id), await send(id)];
      expect([one.status, two.status, count()]).toEqual([200, 200, before + 1]);
      expect(two.value).toEqual(one.value);
      expect((await send(id, { 'idempotency-key': 'mine' })).status).toBe(400);
    }
    const wrong = await call(db, token, '/sessions', {
      method: 'POST',
      body: { ...(GOOD.planSession!.body as object), clientId: 'nobody' },
    });
    expect([wrong.status, isDescribed('/sessions', 'post', 422, wrong.value)]).toEqual([422, '']);
  });
  it('what is written of kit is as its sheet takes it, and taps are judged one by one and kept once', async () => {
    const db = world();
    const token = tokenOf(db);
    const send = (id: string, method: string, change: (body: never) => unknown) =>
      call(db, token, GOOD[id]!.path, { method, body: change(structuredClone(GOOD[id]!.body) as never) });
    const kit = await send('changeKit', 'PUT', (b: { spec: object }) => ({ ...b, spec: { restCm: 1, table: [] } }));
    expect([kit.status, (kit.value as { issues: { path: string }[] }).issues.map((i) => i.path)]).toEqual([
      422,
      ['spec.restCm', 'spec.table'],
    ]);
    const other = await send('changeKit', 'PUT', (b: object) => ({
      ...b,
      kind: 'bar',
      spec: { massKg: 9, lengthCm: 99 },
    }));
    expect([other.status, isDescribed('/kit/{pieceId}', 'put', 422, other.value)]).toEqual([422, '']);
    const tap = (more: object) => (b: { events: object[] }) => ({ events: [{ ...b.events[0], ...more }] });
    const kept = await send('recordEvents', 'POST', tap({}));
    expect(kept.value).toEqual({ kept: ['by-program'], refused: [] });
    expect((await send('recordEvents', 'POST', tap({}))).value).toEqual({ kept: ['by-program'], refused: [] });
    expect(db.prepare("SELECT count(*), actor_id FROM floor_event WHERE id = 'by-program'").raw().get()).toEqual([
      ...[1, 'marit'],
    ]);
    for (const [more, path] of [
      [{ id: 'n', note: 5 }, 'note'],
      [{ id: 'n', clientId: 'iolana' }, 'clientId'],
      [{ id: 'n', itemId: 'nothing' }, 'itemId'],
    ] as const)
      expect((await send('recordEvents', 'POST', tap(more))).value).toMatchObject({ kept: [], refused: [{ path }] });
    const relief = tokenOf(db, API_SCOPES, at(db, NOW, RELIEF));
    const not = await call(db, relief, '/events', { method: 'POST', body: GOOD.recordEvents!.body });
    expect(not.value).toMatchObject({ kept: [], refused: [{ path: 'clientId' }] });
  });
  it('to no address and with other methods are told so', async () => {
    const db = world();
    expect((await call(db, tokenOf(db), '/shoes')).status).toBe(404);
    const other = await call(db, tokenOf(db), '/clients/anselm', { method: 'DELETE' });
    expect([other.status, other.headers.get('allow')]).toEqual([405, 'GET']);
    expect((await call(db, 'x'.repeat(43), '/clients')).status).toBe(401);
    expect((await call(db, null, '/openapi.json')).value).toMatchObject({ openapi: '3.1.0' });
  });
});

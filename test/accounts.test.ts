import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { IncomingMessage } from 'node:http';
import { openDb, type Db } from '@/data/open-db';
import { listAccounts, listAccountSessions, touchSession } from '@/data/queries/accounts';
import { listChanges } from '@/data/queries/changes';
import {
  addTrainer,
  changePassphrase,
  choosePin,
  createOwner,
  endAccount,
  endDevice,
  loadDoor,
  setPassphraseAtMachine,
  signIn,
  signInToDemo,
  signOut,
  unlock,
} from '@/server/accounts';
import { authenticate, rotate } from '@/server/authenticate';
import { gateOf } from '@/server/gate';
import { placeAfterSignIn } from '@/server/sign-in-path';
import type { UseCase } from '@/server/use-case';
import { NOW } from './support/world';

const SECRET = 'salt wind over the quay';
const OTHER = 'seven lanterns at noon';
const QUARTER_MS = 15 * 60_000;
let db: Db;
let now = NOW;
const shared = globalThis as typeof globalThis & { jorvixDb?: Db };
beforeEach(() => {
  db = openDb(':memory:');
  shared.jorvixDb = db;
  now = NOW;
});
afterEach(() => delete shared.jorvixDb);
const door = () => ({ db, nowMs: now, place: '192.0.2.7' });
const tokenOf = (entry: { ok: boolean }): string => (entry as unknown as { token: string }).token;
const says = (r: { ok: boolean; issues?: readonly { message: string }[] }) => (r.ok ? 'in' : r.issues![0]!.message);
const enter = (name: string, passphrase: string) => signIn(door(), { name, passphrase, device: 'Tablet' });
const asSignedIn = (token: string): UseCase => {
  const { actor, session } = authenticate(db, token, now)!;
  return { db, actor, nowMs: now, sessionId: session.id };
};
async function gym(): Promise<{ owner: UseCase; trainerId: string }> {
  const owner = asSignedIn(tokenOf(await createOwner(door(), { name: 'Oriel', passphrase: SECRET }, 'Desk')));
  const added = await addTrainer(owner, { name: 'Bram', passphrase: OTHER });
  return { owner, trainerId: added.ok ? added.id : '' };
}

it('the first who comes is the owner, and only the first, however many come at once', async () => {
  expect(loadDoor(door(), undefined)).toEqual({ first: true, locked: null, demo: [] });
  const weak = await createOwner(door(), { name: 'Oriel', passphrase: 'short' }, 'Desk');
  expect(weak).toMatchObject({ ok: false, issues: [{ path: 'passphrase' }] });
  const both = await Promise.all(
    ['Oriel', 'Mallory'].map((name) => createOwner(door(), { name, passphrase: SECRET }, 'Desk')),
  );
  expect(both.filter((e) => e.ok)).toHaveLength(1);
  expect(listAccounts(db)).toHaveLength(1);
});

describe('signing in', () => {
  it('takes the passphrase of the name, tells nothing of which was wrong, and makes tries wait', async () => {
    await gym();
    expect(says(await enter('bram', OTHER))).toBe('in');
    const wrong = await Promise.all([enter('Bram', SECRET), enter('Nobody', SECRET)]);
    expect(new Set(wrong.map(says)).size).toBe(1);
    for (let i = 0; i < 4; i++) await enter('Bram', `${SECRET} ${i}`);
    expect(says(await enter('Bram', OTHER))).toMatch(/Try again in \d+ seconds/);
    now += 31_000;
    expect(says(await enter('Bram', OTHER))).toBe('in');
  });
  it('many wrong ones at the same moment are no more than five tries', async () => {
    await gym();
    const tries = await Promise.all(Array.from({ length: 30 }, (_, i) => enter('Bram', `guess ${i}`)));
    expect(tries.filter((t) => says(t).startsWith('Name')).length).toBe(5);
  });
  it('an ended account is let in nowhere, at once; the last owner stays', async () => {
    const { owner, trainerId } = await gym();
    const token = tokenOf(await enter('Bram', OTHER));
    expect(endAccount(owner, trainerId, true).ok).toBe(true);
    expect(authenticate(db, token, now)).toBeNull();
    expect(says(await enter('Bram', OTHER))).toContain('do not belong together');
    expect(endAccount(owner, trainerId, false).ok && says(await enter('Bram', OTHER))).toBe('in');
    expect(endAccount(owner, owner.actor.id, true).ok).toBe(false);
  });
  it('keeps digests only: what the database holds opens nothing', async () => {
    await gym();
    const token = tokenOf(await enter('Bram', OTHER));
    const all = JSON.stringify([
      db.prepare('SELECT * FROM account').all(),
      db.prepare('SELECT * FROM account_session').all(),
    ]);
    expect(all).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
    for (const secret of [token, OTHER, SECRET]) expect(all).not.toContain(secret);
    const digest = db.prepare('SELECT token_hash FROM account_session').pluck().all() as string[];
    expect(digest.map((d) => authenticate(db, d, now))).toEqual(digest.map(() => null));
  });
  it('a tap enters the demo alone', async () => {
    const { owner } = await gym();
    db.prepare("INSERT INTO account (id, name, role) VALUES ('demo', 'Demo', 'owner')").run();
    expect(signInToDemo(door(), 'demo', 'Desk').ok).toBe(false);
    process.env.JORVIX_DEMO = 'yes';
    try {
      expect(signInToDemo(door(), 'demo', 'Desk').ok).toBe(true);
      expect(signInToDemo(door(), owner.actor.id, 'Desk').ok).toBe(false);
    } finally {
      delete process.env.JORVIX_DEMO;
    }
  });
});

describe('a device', () => {
  it('that slept goes on with its PIN; five wrong ones sign it out', async () => {
    await gym();
    const token = tokenOf(await enter('Bram', OTHER));
    expect((await choosePin(asSignedIn(token), { pin: '1234' })).ok).toBe(false);
    expect((await choosePin(asSignedIn(token), { pin: '4071' })).ok).toBe(true);
    now += QUARTER_MS;
    expect(loadDoor(door(), token).locked).toEqual({ name: 'Bram', hasPin: true });
    expect(says(await unlock(door(), token, { secret: '4072' }))).toBe('That is not it.');
    expect(says(await unlock(door(), token, { secret: '4071' }))).toBe('in');
    expect(authenticate(db, token, now)!.state).toBe('open');
    now += QUARTER_MS;
    const tries = await Promise.all(Array.from({ length: 9 }, () => unlock(door(), token, { secret: '0000' })));
    expect(tries.every((t) => !t.ok)).toBe(true);
    expect(says(await unlock(door(), token, { secret: '4071' }))).toContain('signed out');
    expect(authenticate(db, token, now)).toBeNull();
  });
  it('gets another token each day; the one before opens until the new one arrives, and a minute longer', async () => {
    await gym();
    const token = tokenOf(await enter('Bram', OTHER));
    const session = authenticate(db, token, now)!.session.id;
    for (let h = 0; h < 24 * 4; h++) touchSession(db, session, (now += QUARTER_MS));
    const next = rotate(db, authenticate(db, token, now)!, now)!;
    expect(next).not.toBe(token);
    const opened = (atMs: number, ...tokens: string[]) => tokens.map((t) => authenticate(db, t, atMs)?.session.id);
    expect(opened(now + 59_000, token, next, token)).toEqual([session, session, session]);
    // Lost on its way: the device still brings the one before, and is given another.
    const again = rotate(db, authenticate(db, token, now + 61_000)!, now + 61_000)!;
    expect(opened(now + 62_000, token, next, again)).toEqual([session, undefined, session]);
    expect(opened(now + 122_000, again, token)).toEqual([session, undefined]);
  });
  it('is signed out by itself, by who is signed in on another, by the owner; by nobody else', async () => {
    const { owner, trainerId } = await gym();
    await addTrainer(owner, { name: 'Cleo', passphrase: 'nine kettles in a row' });
    const [a, b] = [tokenOf(await enter('Bram', OTHER)), tokenOf(await enter('Bram', OTHER))];
    const cleo = asSignedIn(tokenOf(await enter('Cleo', 'nine kettles in a row')));
    const devices = () => listAccountSessions(db, trainerId).length;
    const idOf = (token: string): string => authenticate(db, token, now)!.session.id;
    expect([endDevice(cleo, idOf(a)).ok, devices()]).toEqual([false, 2]);
    expect([endDevice(asSignedIn(a), idOf(b)).ok, devices()]).toEqual([true, 1]);
    expect([endDevice(owner, idOf(a)).ok, devices()]).toEqual([true, 0]);
    const c = tokenOf(await enter('Bram', OTHER));
    signOut(door(), c);
    expect(devices()).toBe(0);
  });
  it('of another passphrase is signed out, but the one that it was changed on', async () => {
    await gym();
    const [a, b] = [tokenOf(await enter('Bram', OTHER)), tokenOf(await enter('Bram', OTHER))];
    const mine = asSignedIn(a);
    const change = (current: string) =>
      changePassphrase(mine, mine.actor.id, { current, passphrase: 'nine kettles in a row' });
    expect([(await change('wrong')).ok, (await change(OTHER)).ok]).toEqual([false, true]);
    expect([authenticate(db, a, now) !== null, authenticate(db, b, now)]).toEqual([true, null]);
    expect(says(await enter('Bram', 'nine kettles in a row'))).toBe('in');
    expect(listChanges(db, { clientId: null, beforeId: null, most: 1 })[0]).toMatchObject({ keys: ['passphrase'] });
  });
});

it('a forgotten passphrase is set at the machine itself; it signs every device out', async () => {
  await gym();
  const token = tokenOf(await enter('Oriel', SECRET));
  await expect(setPassphraseAtMachine(db, 'Nobody', OTHER, now)).rejects.toThrow('Nobody here is called');
  await expect(setPassphraseAtMachine(db, 'Oriel', 'short', now)).rejects.toThrow('at least 15 characters');
  expect(await setPassphraseAtMachine(db, 'oriel', 'nine kettles in a row', now)).toContain('Oriel signs in anew');
  expect([authenticate(db, token, now), says(await enter('Oriel', 'nine kettles in a row'))]).toEqual([null, 'in']);
});

describe('the gate', () => {
  const ask = (method: string, url: string, token?: string, headers: Record<string, string> = {}) =>
    gateOf(
      { method, url, headers: { ...headers, ...(token ? { cookie: `a=b; jorvix=${token}` } : {}) } } as IncomingMessage,
      now,
    );
  it.each<[string, string, 'nobody' | 'locked' | 'open', string]>([
    ['GET', '/', 'nobody', '/sign-in'],
    ['GET', '/clients/anselm?x=1', 'nobody', '/sign-in?to=%2Fclients%2Fanselm'],
    ['GET', '/clients/anselm', 'locked', '/sign-in?to=%2Fclients%2Fanselm'],
    ['GET', '/clients/anselm', 'open', 'serve'],
    ['GET', '/sign-in', 'nobody', 'serve'],
    ['GET', '/_next/static/a.js', 'nobody', 'serve'],
    ['GET', '/_next/static/../../clients', 'nobody', '/sign-in?to=%2Fclients'],
    ['GET', '//clients', 'nobody', '/sign-in?to=%2Fclients'],
    ['GET', '//elsewhere/sign-in', 'nobody', '/sign-in?to=%2Felsewhere%2Fsign-in'],
    ['POST', '/api/v1/floor-events', 'nobody', '401'],
    ['POST', '/api/v1/floor-events', 'locked', 'serve'],
    ['GET', '/api/v1/floor-events/line?client=a', 'locked', '401'],
    ['POST', '/api/v1/solve', 'locked', '401'],
    ['POST', '/api/v1/solve', 'open', 'serve'],
    ['GET', '/api/v1/cards/x', 'nobody', '401'],
  ])('%s %s for %s: %s', async (method, url, who, what) => {
    await gym();
    const token = who === 'nobody' ? undefined : tokenOf(await enter('Bram', OTHER));
    if (who === 'locked') now += QUARTER_MS;
    const gate = ask(method, url, token);
    expect(gate.do === 'redirect' ? gate.to : gate.do === 'refuse' ? String(gate.status) : gate.do).toBe(what);
  });
  it('a token that is none, or is none any more, is nobody', async () => {
    await gym();
    const token = tokenOf(await enter('Bram', OTHER));
    signOut(door(), token);
    for (const t of [token, 'x', '', `${'a'.repeat(43)}`, "' OR 1=1 --"])
      expect(ask('GET', '/', t).do).toBe('redirect');
  });
  it.each([
    ['/clients/anselm', '/clients/anselm'],
    ['//evil.example', '/'],
    ['https://evil.example', '/'],
    ['/\\evil.example', '/'],
    [undefined, '/'],
  ])('after signing in %s goes to %s', (to, where) => expect(placeAfterSignIn(to)).toBe(where));
});

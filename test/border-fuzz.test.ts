import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Db } from '@/data/open-db';
import {
  addTrainer,
  changePassphrase,
  choosePin,
  createOwner,
  endAccount,
  endDevice,
  signIn,
  signInToDemo,
  unlock,
} from '@/server/accounts';
import { restoreBackup } from '@/server/backups';
import { endCoverOf, giveClient } from '@/server/care';
import { saveClientForm } from '@/server/clients';
import { answerDelivery } from '@/server/deliveries';
import { gateOf } from '@/server/gate';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { saveScreening } from '@/server/screening';
import { keepVariant } from '@/server/variants';
import { solveText } from '@/solver/solve-text';
import { CLIENT } from './support/forms';
import { asOwner, NOW, world } from './support/world';

/** What a page would send, which is then bent at one place. */
const GOOD: Readonly<Record<string, unknown>> = {
  client: CLIENT,
  screening: { day: '2026-11-20', doneBy: 'desk', procedure: 'form' },
  gym: { name: 'Yard', screeningDays: 365 },
  piece: { name: 'Bar', outOfOrder: 'no', kind: 'bar', spec: { massKg: 20, unit: 'kg', lengthCm: 220 } },
  plan: { clientId: 'anselm', movement: 'dumbbell-row-one-arm', side: 'right', sets: 3, reps: 12, tempo: '3-1-2-1' },
  care: { accountId: 'relief', until: '2026-12-01' },
  account: { name: 'Bram', passphrase: 'seven lanterns at noon', device: 'Tablet' },
  delivery: { events: [{ id: 'a', kind: 'rep', clientId: 'anselm', itemId: 'x', seq: 1, atMs: NOW }] },
  pin: { pin: '4071', secret: '4071', current: '', passphrase: 'seven lanterns at noon' },
};
const bent = fc.oneof(
  fc.anything({ withNullPrototype: false, maxDepth: 3 }),
  fc
    .record({ of: fc.constantFrom(...Object.keys(GOOD)), at: fc.nat(), to: fc.anything({ maxDepth: 1 }) })
    .map(({ of, at, to }) => {
      const form = structuredClone(GOOD[of]) as Record<string, unknown>;
      const keys = Object.keys(form);
      form[keys[at % keys.length]!] = to;
      return form;
    }),
  fc.constantFrom(...Object.values(GOOD)),
);
const text = fc.oneof(
  fc.string({ maxLength: 70 }),
  fc.constantFrom('anselm', 'relief', 'owner', '', "' OR 1=1 --", '\0'),
);

describe('whatever comes over a border is answered', () => {
  let db: Db;
  const shared = globalThis as typeof globalThis & { jorvixDb?: Db };
  beforeEach(() => {
    db = world();
    shared.jorvixDb = db;
  });
  afterEach(() => delete shared.jorvixDb);
  const uc = () => asOwner(db);
  const door = () => ({ db, nowMs: NOW, place: 'x' });
  type Border = (typed: unknown, id: string, other: string) => unknown;
  const borders: readonly (readonly [string, Border])[] = [
    ['saveClientForm', (t, id, o) => saveClientForm(uc(), id || null, t, { id: o } as never, o)],
    ['saveScreening', (t, id, o) => saveScreening(uc(), id, t, o)],
    ['savePieceForm', (t, id, o) => savePieceForm(uc(), o, id || null, t, t as never, o)],
    ['saveGymForm', (t, id, o) => saveGymForm(uc(), id || null, t, t as never, o)],
    ['planToday', (t, _, o) => planToday(uc(), t, o)],
    ['keepVariant', (t) => keepVariant(uc(), t)],
    ['giveClient', (t, id) => giveClient(uc(), id, t)],
    ['endCoverOf', (_, id, o) => endCoverOf(uc(), id, o)],
    ['endAccount', (_, id) => endAccount(uc(), id, id.length % 2 === 0)],
    ['endDevice', (_, id) => endDevice(uc(), id)],
    ['signInToDemo', (t, id) => signInToDemo(door(), t ?? id, t)],
    ['answerDelivery', (t) => answerDelivery(uc(), t)],
    ['solveText', (t, id) => solveText(id.length % 2 === 0 ? String(JSON.stringify(t)) : id)],
    ['gateOf', (t, id) => gateOf({ method: 'GET', url: `/${id}`, headers: { cookie: String(id) } } as never, NOW)],
  ];
  it.each(borders)('%s', (_, border) =>
    fc.assert(
      fc.property(bent, text, text, (typed, id, other) => {
        expect(typeof border(typed, id, other)).toBe('object');
      }),
      { seed: 20261129, numRuns: 300 },
    ),
  );
  const slow: readonly (readonly [string, (typed: unknown, id: string) => Promise<unknown>])[] = [
    ['signIn', (t) => signIn(door(), t)],
    ['createOwner', (t) => createOwner(door(), t, t)],
    ['unlock', (t, id) => unlock(door(), id, t)],
    ['addTrainer', (t) => addTrainer(uc(), t)],
    ['changePassphrase', (t, id) => changePassphrase(uc(), id, t)],
    ['choosePin', (t) => choosePin({ ...uc(), sessionId: 'none' }, t)],
    ['restoreBackup', (_, id) => restoreBackup(uc(), id)],
  ];
  it.each(slow)('%s', (_, border) =>
    fc.assert(
      fc.asyncProperty(bent, text, async (typed, id) => {
        expect(typeof (await border(typed, id))).toBe('object');
      }),
      { seed: 20261129, numRuns: 60 },
    ),
  );
});

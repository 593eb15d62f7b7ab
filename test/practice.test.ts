import { describe, expect, it } from 'vitest';
import { caseSchema } from '@/contract/case';
import { proposeSession, inOrder, type ProposeInput } from '@/core/propose/propose';
import { blocksSeconds, unitsOf } from '@/core/plan/turns';
import { MUSCLE_REGIONS } from '@/core/week/muscle';
import { sideSetsFor } from '@/core/week/week-sets';
import { setTrainer } from '@/data/queries/care';
import { findSession } from '@/data/queries/sessions';
import { loadChanges } from '@/server/changes';
import { loadClientWeek } from '@/server/client-week';
import { loadClientPractice, loadOwnPractice, keepClientPractice, keepOwnPractice } from '@/server/practice';
import { loadProposing, putProposed } from '@/server/propose';
import { loadSessionPlan } from '@/server/session-plan';
import { makeSession } from '@/server/sessions';
import { loadSet } from '@/server/set';
import { loadSetup } from '@/server/setup';
import { practicesOfCase, toQuestion } from '@/solver/to-question';
import { makeLog } from './support/make-log';
import { asOwner, at, NOW, world } from './support/world';

const ITEM = 'anselm-2026-11-24-0';
const RELIEF = { id: 'relief', name: 'Tindra Asante-Rowe', role: 'trainer' } as const;
type Db = ReturnType<typeof world>;
const practices = (db: Db, item = ITEM) => loadSetup(at(db), item)!.setupCase.options?.practices ?? {};
const chosen = (db: Db, question: string, clientId = 'anselm') =>
  loadClientPractice(at(db), clientId)!.questions.find((q) => q.question === question)!;

describe('sides taken once', () => {
  it('the trainer’s stands for all their clients, a client’s own above it, and both can be taken back', () => {
    const db = world();
    expect(keepOwnPractice(at(db), { question: 'breathing', side: 'in-on-pull' }).ok).toBe(true);
    expect(practices(db)).toMatchObject({ breathing: 'in-on-pull' });
    expect(loadSetup(at(db), ITEM)!.bench.chosenBy.breathing).toBe('trainer');
    expect(chosen(db, 'breathing')).toMatchObject({ chosen: null, below: 'in-on-pull' });
    keepClientPractice(at(db), 'anselm', { question: 'breathing', side: 'out-on-effort' });
    expect(practices(db)).toMatchObject({ breathing: 'out-on-effort' });
    expect(practices(db, 'sefina-2026-11-24-0')).toMatchObject({ breathing: 'in-on-pull' });
    keepClientPractice(at(db), 'anselm', { question: 'breathing', side: '' });
    expect(practices(db)).toMatchObject({ breathing: 'in-on-pull' });
    // It goes with who has the client, whoever looks.
    setTrainer(db, 'anselm', RELIEF.id);
    expect(loadSetup(asOwner(db), ITEM)!.bench.chosenBy.breathing).not.toBe('trainer');
  });
  it('our side of what is left open is the same on the bench as where a case is asked by itself', () => {
    const db = world();
    const items = db.prepare("SELECT id FROM session_item WHERE id LIKE '%-2026-11-24-%'").pluck().all() as string[];
    const told = items.map((id) => {
      const { setupCase, bench } = loadSetup(asOwner(db), id)!;
      const asked = caseSchema.parse(setupCase);
      expect(bench.practices).toEqual(practicesOfCase(asked));
      expect(toQuestion(asked, bench.practices).options).toEqual(toQuestion(asked).options);
      return bench.practices.map((p) => `${p.question} ${p.preset}`);
    });
    expect(told.length).toBeGreaterThan(12);
    // Where the curve of the movement decides.
    expect(told.flat()).toContain('range-top full');
  });
  it('is kept with who and when, once though pressed twice; a wrong one is told at its field', () => {
    const db = world();
    const choose = (question: string, side: string, ms = 0) =>
      keepClientPractice(at(db, NOW + ms), 'anselm', { question, side });
    choose('set-order', 'alternate');
    choose('set-order', 'alternate', 5000);
    expect(db.prepare('SELECT since_ms FROM practice_choice').pluck().all()).toEqual([NOW]);
    const told = loadChanges(asOwner(db), null)!.changes.filter((c) => c.what === 'Sides of one-arm work');
    expect(told.map((c) => [c.before, c.after])).toEqual([['nothing', 'alternate, no rest']]);
    expect(choose('set-order', 'sideways')).toMatchObject({ ok: false, issues: [{ path: 'side' }] });
    expect(choose('mood', '')).toMatchObject({ ok: false, issues: [{ path: 'question' }] });
    expect(chosen(db, 'set-order')).toMatchObject({ chosen: 'alternate' });
  });
  it('stands above what was set up before it, and under what is set up later', () => {
    const db = world();
    const row = 'wilhelmina-2026-11-24-2';
    const log = makeLog(db, row);
    log.setUp({ 'set-order': 'straight' }, -1000);
    keepClientPractice(at(db), 'wilhelmina', { question: 'set-order', side: 'alternate' });
    expect(practices(db, row)).toMatchObject({ 'set-order': 'alternate' });
    expect(loadSet(at(db), row)!.alternates).toBe(true);
    log.setUp({ 'set-order': 'straight' }, 1000);
    expect(practices(db, row)).toMatchObject({ 'set-order': 'straight' });
    expect(loadSet(at(db), row)!.alternates).toBe(false);
  });
  it('shows whose numbers there are: movements as set up, the week, and what turns save', () => {
    const { numbers, clients } = loadOwnPractice(at(world()), 'sefina');
    expect(clients.length).toBeGreaterThan(1);
    expect(numbers!.clientName).toBe('Sefina Taualofa');
    for (const u of numbers!.used) expect(caseSchema.safeParse(u.setupCase).success).toBe(true);
    expect(new Set(numbers!.used.map((u) => u.setupCase.movement)).size).toBe(numbers!.used.length);
    expect(loadOwnPractice(at(world(), NOW, { ...RELIEF, id: 'nobody' }), undefined)).toMatchObject({ numbers: null });
  });
});

const ARMS = [...MUSCLE_REGIONS.biceps, ...MUSCLE_REGIONS.triceps];
function empty(db: Db): string {
  const made = makeSession(at(db), {
    ...{ clientId: 'sefina', gymId: '', day: '2026-11-25', startsAt: '18:00', minutes: 60 },
    ...{ from: 'empty', fromId: '', leaveOut: false },
  });
  if (!made.ok) throw new Error('no session');
  return made.id;
}
function asked(db: Db, id: string, goals: ProposeInput['goals']): ProposeInput {
  const v = loadProposing(at(db), id)!;
  return { ...v, goals, used: [], planned: v.plan.blocks, minutes: v.plan.minutes, times: v.plan.times };
}

describe('sides taken for plans', () => {
  it('kinds that are worth nothing are not proposed; those that are worth it count as the best does', () => {
    const db = world();
    const id = empty(db);
    const offered = () => proposeSession(asked(db, id, ARMS)).offers;
    const has = (...movements: string[]) => movements.map((m) => offered().find((o) => o.id === m)?.worth ?? null);
    const [plain] = has('kickback');
    expect(plain).toBeGreaterThan(0);
    expect(plain).toBeLessThan(0.9);
    keepOwnPractice(at(db), { question: 'kickbacks', side: 'worth-it' });
    keepClientPractice(at(db), 'sefina', { question: 'neutral-curls', side: 'not-worth-it' });
    expect(has('kickback', 'preacher-curl-neutral', 'half-kneeling-neutral-curl')).toEqual([1, null, null]);
    keepClientPractice(at(db), 'sefina', { question: 'kickbacks', side: 'not-worth-it' });
    expect(has('kickback')).toEqual([null]);
  });
  it('opposite muscles always in turns: proposed so, its time reckoned so, and put so', () => {
    const db = world();
    const id = empty(db);
    const pairs = (input: ProposeInput, p: ReturnType<typeof proposeSession>) =>
      unitsOf(inOrder(input, new Map(p.movements.map((m) => [m.id, m.sets])), p.offers)).filter((u) => u.length === 2);
    const before = asked(db, id, ARMS);
    const p = proposeSession(before);
    expect(pairs(before, p)).toEqual([]);
    keepClientPractice(at(db), 'sefina', { question: 'opposite-muscles', side: 'in-turns' });
    const input = asked(db, id, ARMS);
    const inTurns = proposeSession(input);
    const found = pairs(input, inTurns);
    expect(found.length).toBeGreaterThan(0);
    const order = inOrder(input, new Map(inTurns.movements.map((m) => [m.id, m.sets])), inTurns.offers);
    expect(blocksSeconds(order, input.times)).toBeLessThanOrEqual(3600);
    const movements = inTurns.movements.map((m) => ({ movement: m.id, sets: m.sets, reps: 12 }));
    expect(putProposed(at(db), id, { goals: ARMS, movements }).ok).toBe(true);
    const { blocks, opposites } = loadSessionPlan(at(db), id)!;
    expect(opposites).toBe('in-turns');
    const put = unitsOf(blocks).filter((u) => u.length === 2);
    expect(put.map((u) => u.map((b) => b.movement))).toEqual(found.map((u) => u.map((b) => b.movement)));
    expect(findSession(db, id)!.items.every((i) => i.pairId === null || i.pairId.length === 36)).toBe(true);
  });
  it('the side deltoid’s share: by hand, s of s + others', () => {
    const db = world();
    const sets = [
      { muscle: 'deltoid-front', all: 3 },
      { muscle: 'deltoid-rear', all: 5 },
    ] as unknown as Parameters<typeof sideSetsFor>[1];
    expect(sideSetsFor('half-side', sets)).toBeCloseTo(8, 9);
    expect(sideSetsFor('mostly-side', sets)).toBeCloseTo(32, 9);
    expect(sideSetsFor('spread-evenly', sets)).toBeCloseTo(4, 9);
    keepClientPractice(at(db), 'sefina', { question: 'deltoid-share', side: 'mostly-side' });
    expect(loadClientWeek(at(db), 'sefina', '2026-11-24')!.deltoidShare).toBe('mostly-side');
    expect(loadProposing(at(db), empty(db))!.weeks.deltoidShare).toBe('mostly-side');
  });
});

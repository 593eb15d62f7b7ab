import { describe, expect, it } from 'vitest';
import { caseSchema } from '@/contract/case';
import { entryOf } from '@/core/book/book';
import { MUSCLE_REGIONS } from '@/core/week/muscle';
import { inOrder, proposeSession, type ProposeInput } from '@/core/propose/propose';
import { blocksSeconds } from '@/core/plan/turns';
import { findSession } from '@/data/queries/sessions';
import { loadHistory } from '@/server/changes';
import { loadProposing, putProposed } from '@/server/propose';
import { loadSessionPlan } from '@/server/session-plan';
import { makeSession } from '@/server/sessions';
import { keepTemplate, reachTemplates } from '@/server/templates';
import { endTurns, takeTurns } from '@/server/turns';
import { loadSet } from '@/server/set';
import { pinItem } from '@/server/planned-items';
import { toQuestion } from '@/solver/to-question';
import { BEFORE_TEXT, whyText } from '@/messages/propose';
import { at, NOW, world } from './support/world';

const BACK = [...MUSCLE_REGIONS.lats, 'mid-back'] as const;
/** An empty session of a client on the day of now. */
function empty(db = world(), clientId = 'sefina') {
  const made = makeSession(at(db), {
    ...{ clientId, gymId: '', day: '2026-11-25', startsAt: '18:00', minutes: 60 },
    ...{ from: 'empty', fromId: '', leaveOut: false },
  });
  if (!made.ok) throw new Error('no session');
  return { db, id: made.id };
}
function asked(db: ReturnType<typeof world>, id: string, goals: ProposeInput['goals']): ProposeInput {
  const v = loadProposing(at(db), id)!;
  const used = v.used.map(({ setupCase, placement }) => ({
    question: toQuestion(caseSchema.parse(setupCase)),
    placement,
  }));
  return { ...v, goals, used, planned: v.plan.blocks, minutes: v.plan.minutes, times: v.plan.times };
}
const groups = (p: ReturnType<typeof proposeSession>) => p.movements.map((m) => entryOf(m.id).group);

describe('a session proposed with a gym’s kit', () => {
  it('works the regions that are trained for, in the time and in order, heavy before light', () => {
    const { db, id } = empty(world(), 'wilhelmina');
    const input = asked(db, id, [...MUSCLE_REGIONS.chest, ...MUSCLE_REGIONS.triceps]);
    let told = 0;
    const p = proposeSession(input, (done, of) => (told = done / of));
    expect(told).toBe(1);
    expect(p.movements.length).toBeGreaterThan(3);
    for (const m of p.movements) expect(input.goals).toContain(entryOf(m.id).target);
    const order = inOrder(input, new Map(p.movements.map((m) => [m.id, m.sets])), p.offers);
    expect(order.map((b) => b.movement)).toEqual(p.movements.map((m) => m.id));
    const minutes = blocksSeconds(order, input.times) / 60;
    expect([minutes <= 60, minutes > 52]).toEqual([true, true]);
    const ranks = order.map((b) => b.rank);
    expect(ranks.lastIndexOf('compound')).toBeLessThan(ranks.indexOf('single-joint'));
    // Common practice: a fly beside presses, because it loads what they leave out.
    expect(p.movements.flatMap((m) => m.why?.fills ?? []).length).toBeGreaterThan(0);
  });
  it('for who does not feel it, in the first month: a drill first and one arm at a time only', () => {
    const { db, id } = empty();
    const input = asked(db, id, BACK);
    expect(input.choosing.notes).toContain('does-not-feel');
    const early = proposeSession({ ...input, unfelt: [...BACK], isFirstMonth: true });
    expect(groups(early)[0]).toBe('before');
    const lifts = early.movements.filter((m) => entryOf(m.id).group !== 'before');
    for (const m of lifts)
      if (BACK.some((r) => r === entryOf(m.id).target)) expect([m.id, entryOf(m.id).hands]).toEqual([m.id, 'one']);
    const later = proposeSession({ ...input, unfelt: [...BACK], isFirstMonth: false });
    expect(later.movements.some((m) => entryOf(m.id).hands === 'two' && entryOf(m.id).work === 'lift')).toBe(true);
    expect(proposeSession({ ...input, choosing: { ...input.choosing, notes: [] } }).movements[0]!.why).not.toBeNull();
  });
  it('for rounded shoulders a chest stretch stands ahead of rows, and of nothing else', () => {
    const { db, id } = empty(world(), 'wilhelmina');
    const rounded = (goals: ProposeInput['goals']) => {
      const input = asked(db, id, goals);
      return proposeSession({ ...input, choosing: { ...input.choosing, notes: ['rounded-shoulders'] } });
    };
    expect(rounded(['mid-back']).movements[0]).toEqual({ id: 'door-frame-chest-stretch', sets: 1, why: null });
    expect(groups(rounded(['quadriceps']))).not.toContain('before');
  });
  it('what the gym has no kit for is not proposed, nor what is in the plan already', () => {
    const { db, id } = empty();
    const input = asked(db, id, ['chest-upper', 'chest-lower']);
    const bare = { ...input.choosing, gym: { columns: [], attachments: [], machines: [], kinds: [] } };
    expect(proposeSession({ ...input, choosing: bare }).movements).toEqual([]);
    const full = asked(db, 'sefina-2026-11-24', ['chest-upper', 'chest-lower']);
    const planned = full.planned.map((b) => b.movement);
    expect(proposeSession(full).movements.filter((m) => planned.includes(m.id))).toEqual([]);
  });
  it('is put with what was learned, both sides of one arm, in the computed order, once; goals are kept', () => {
    const { db, id } = empty();
    const goals = ['mid-back', 'chest-lower'];
    const movements = [
      { movement: 'cable-fly-high-to-low', sets: 3, reps: 12 },
      { movement: 'cable-row-level-one-arm', sets: 2, reps: 10 },
    ];
    const key = '00000000-0000-4000-8000-000000000001';
    expect(putProposed(at(db), id, { goals, movements }, key)).toEqual({ ok: true, id });
    expect(putProposed(at(db), id, { goals, movements }, key).ok).toBe(true);
    const { items } = findSession(db, id)!;
    expect(items.map((i) => `${i.movement} ${i.side} ${i.sets}x${i.reps}`)).toEqual([
      'cable-row-level-one-arm left 2x10',
      'cable-row-level-one-arm right 2x10',
      'cable-fly-high-to-low both 3x12',
    ]);
    // The fly is done at the load of the sessions before, on a column of this gym.
    expect(items[2]).toMatchObject({ stationId: 'long-pair' });
    expect(items[2]!.loadG).toBeGreaterThan(0);
    expect(loadProposing(at(db), id)!.goals).toEqual(['chest-lower', 'mid-back']);
    expect(loadHistory(at(db), 'sefina').map((c) => c.what)).toContain('Trains for');
    for (const wrong of [
      { goals: [], movements },
      { goals, movements: [] },
      { goals, movements: [{ movement: 'x' }] },
    ])
      expect(putProposed(at(db), id, wrong).ok).toBe(false);
    expect(putProposed(at(db), 'none', { goals, movements })).toMatchObject({ ok: false });
    expect(findSession(db, id)!.items).toHaveLength(3);
  });
  it('says why', () => {
    expect(whyText({ region: 'chest-upper', want: 3.4, fills: ['finish'] })).toBe(
      'Upper chest: 3.5 sets wanted; alone in loading it where it is shortened.',
    );
    expect(whyText({ region: 'core', want: 0, fills: [] })).toBe('Core, against turning: the week has its sets.');
    expect(BEFORE_TEXT.hold).toContain('before rows');
  });
});

const MOVEMENTS = ['cable-row-level-wide-underhand', 'rope-pushdown', 'incline-dumbbell-curl'] as const;
describe('movements in turns and pinned', () => {
  const put = (db: ReturnType<typeof world>, id: string): void => {
    const movements = MOVEMENTS.map((movement) => ({ movement, sets: 3, reps: 10 }));
    expect(putProposed(at(db), id, { goals: ['mid-back'], movements })).toMatchObject({ ok: true });
  };
  it('the second comes right after the first, with all its sides; copied with its session, ended, refused', () => {
    const { db, id } = empty();
    put(db, id);
    const blocks = () => loadSessionPlan(at(db), id)!.blocks;
    const [row, push, curl] = MOVEMENTS.map((m) => blocks().find((b) => b.movement === m)!);
    expect(takeTurns(at(db), row!.id, curl!.id)).toMatchObject({ ok: false, issues: [{ path: 'item' }] });
    expect(takeTurns(at(db), push!.id, curl!.id).ok).toBe(true);
    const inTurns = blocks();
    expect(inTurns.map((b) => b.movement)).toEqual([row!.movement, push!.movement, curl!.movement]);
    const mark = inTurns[1]!.pairId;
    expect([mark !== null, ...inTurns.map((b) => b.pairId)]).toEqual([true, null, mark, mark]);
    expect(takeTurns(at(db), push!.id, curl!.id).ok).toBe(false);
    // Between its sets the floor leads to the other one, with what is changed on the way; nothing else of it does.
    const led = loadSet(at(db), push!.id)!;
    expect(led.inTurns).toMatchObject({ itemId: curl!.itemIds[0], movement: 'incline-dumbbell-curl' });
    expect(led.opposites).toEqual([]);
    expect(loadSet(at(db), row!.id)!.inTurns).toBeNull();
    pinItem(at(db), [row!.id], true);
    const copied = makeSession(at(db), {
      ...{ clientId: 'sefina', gymId: '', day: '2026-11-26', startsAt: '18:00', minutes: 60 },
      ...{ from: 'session', fromId: id, leaveOut: false },
    });
    const again = loadSessionPlan(at(db), copied.ok ? copied.id : '')!.blocks;
    expect(again.map((b) => b.isPinned)).toEqual([true, false, false]);
    expect(again[1]!.pairId).toBe(again[2]!.pairId);
    expect(again[1]!.pairId).not.toBe(mark);
    // So does a template, for anybody.
    keepTemplate(at(db), id, { name: 'Arms in turns', forAll: false });
    const [template] = reachTemplates(at(db)).rows;
    const applied = makeSession(at(db), {
      ...{ clientId: 'wilhelmina', gymId: '', day: '2026-11-26', startsAt: '18:00', minutes: 60 },
      ...{ from: 'template', fromId: template!.id, leaveOut: true },
    });
    const theirs = loadSessionPlan(at(db), applied.ok ? applied.id : '')!.blocks;
    expect(theirs.map((b) => [b.isPinned, b.pairId !== null])).toEqual([
      [true, false],
      [false, true],
      [false, true],
    ]);
    expect(endTurns(at(db), curl!.id).ok).toBe(true);
    expect(blocks().map((b) => b.pairId)).toEqual([null, null, null]);
    expect(loadHistory(at(db, NOW), 'sefina').map((c) => c.what)).toEqual(
      expect.arrayContaining(['Sets in turns', 'Pinned in the order']),
    );
  });
});

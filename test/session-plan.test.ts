import { describe, expect, it } from 'vitest';
import { planBlocks } from '@/core/plan/plan-blocks';
import { addItem, findSession } from '@/data/queries/sessions';
import { loadHistory } from '@/server/changes';
import { loadSessionPlan, orderSession } from '@/server/session-plan';
import { spreadText } from '@/messages/loads';
import { plannedText, suggestedText } from '@/messages/plan';
import { makeLog } from './support/make-log';
import { at, world } from './support/world';

const SESSION = 'sefina-2026-11-24';
const order = (db: ReturnType<typeof world>) => findSession(db, SESSION)!.items.map((i) => i.id);
describe('the order of a planned session', () => {
  it('is kept as it was put, told in the history, and the same again changes nothing', () => {
    const db = world();
    const was = order(db);
    const now = was.toReversed();
    expect(was.length).toBeGreaterThan(1);
    expect(orderSession(at(db), SESSION, now)).toMatchObject({ ok: true });
    expect(order(db)).toEqual(now);
    expect(findSession(db, SESSION)!.items.map((i) => i.position)).toEqual(now.map((_, k) => k));
    const [told] = loadHistory(at(db), 'sefina');
    expect([told!.what, told!.before.split(', then ').toReversed()]).toEqual([
      'Order of the session',
      told!.after.split(', then '),
    ]);
    orderSession(at(db), SESSION, now);
    expect(loadHistory(at(db), 'sefina').filter((c) => c.what === 'Order of the session')).toHaveLength(1);
  });
  it('refuses what is not the plan: one left out, one twice, one of another session, no list', () => {
    const db = world();
    const was = order(db);
    for (const wrong of [was.slice(1), [was[0]!, ...was.slice(0, -1)], [...was.slice(1), 'anselm-2026-11-24-0'], null])
      expect(orderSession(at(db), SESSION, wrong)).toMatchObject({ ok: false, issues: [{ path: 'order' }] });
    expect(order(db)).toEqual(was);
  });
  it('what was begun is told so, until that is taken back', () => {
    const db = world();
    const [, second] = order(db);
    const begun = () =>
      loadSessionPlan(at(db), SESSION)!
        .blocks.filter((b) => b.isBegun)
        .map((b) => b.id);
    expect(begun()).toEqual([]);
    const log = makeLog(db, second!);
    const started = log.begin();
    expect(begun()).toEqual([second]);
    log.undo(started);
    expect(begun()).toEqual([]);
  });
  it('a movement that cannot be read keeps its place', () => {
    const db = world();
    const [first] = findSession(db, SESSION)!.items;
    addItem(db, { ...first!, id: 'odd', position: 90 }, 'marit');
    db.exec("UPDATE session_item SET movement = 'levitation' WHERE id = 'odd'");
    expect(loadSessionPlan(at(db), SESSION)!.unreadable).toBe(1);
    expect(orderSession(at(db), SESSION, order(db))).toMatchObject({ ok: false });
  });
  it('two sides of a movement are one block, as they are on the floor, wherever they stand', () => {
    const item = (id: string, side: 'left' | 'right' | 'both', more = {}) => ({
      ...{ id, side, movement: 'cable-row-level-one-arm' as const, variantId: null, sets: 3, reps: 10 },
      ...{ tempo: '3-1-2-1', stationId: 'a', attachmentId: 'd', pairId: null, isPinned: false, aims: null, ...more },
    });
    const fly = item('x', 'both', { movement: 'cable-fly-level' });
    const ids = (...items: ReturnType<typeof item>[]) => planBlocks(items, []).map((b) => b.itemIds.join('+'));
    expect(ids(item('a', 'left'), fly, item('b', 'right'), item('c', 'left'))).toEqual(['a+b', 'x', 'c']);
    expect(ids(item('a', 'left'), item('b', 'left'))).toEqual(['a', 'b']);
    expect(ids(item('a', 'left'), item('b', 'right', { variantId: 'mine' }))).toEqual(['a', 'b']);
    expect(planBlocks([item('a', 'left')], ['does-not-feel'])[0]).toMatchObject({ refines: false, leads: true });
    expect(planBlocks([item('a', 'left')], [])[0]).toMatchObject({ refines: true, rank: 'compound' });
  });
  it('says what is planned, of two sides once where they are alike', () => {
    const side = (of: 'left' | 'right', load: string) => ({
      ...{ side: of, sets: 3, reps: 10, tempo: '3-1-2-1', load, aims: null, unit: 'kg' as const },
    });
    expect(plannedText([side('left', '15 kg')])).toBe('3 × 10, 3-1-2-1, 15 kg');
    expect(plannedText([side('left', '15 kg'), side('right', '15 kg')])).toBe('3 × 10, 3-1-2-1, 15 kg, each side');
    const aims = [
      { sets: 1, reps: 12, reserve: 2, loadG: null },
      { sets: 1, reps: 8, reserve: 0, loadG: 17_500 },
    ];
    expect(plannedText([{ ...side('left', '15 kg'), aims }])).toBe(
      '1 × 12 with 2 in reserve, then 1 × 8 at 17.5 kg to failure, 3-1-2-1, 15 kg',
    );
    const by = '8 × 20 kg on 3 Nov';
    expect(suggestedText(spreadText({ least: 14_020, most: 16_480 }, 'kg'), by)).toBe(`14.0 to 16.5 kg, from ${by}`);
    expect(suggestedText(spreadText({ least: 11_340, most: 11_340 }, 'lb'), by)).toBe(`about 25.0 lb, from ${by}`);
    expect(plannedText([side('left', '12.5 kg'), side('right', '15 kg')])).toBe(
      'left 3 × 10, 3-1-2-1, 12.5 kg; right 3 × 10, 3-1-2-1, 15 kg',
    );
  });
});

import { describe, expect, it } from 'vitest';
import { togetherSeconds } from '@/core/plan/together';
import { findSession, listSessionsOf } from '@/data/queries/sessions';
import { loadHistory } from '@/server/changes';
import { callOffSession, finishSession, moveSession } from '@/server/sessions';
import { loadSet } from '@/server/set';
import { endSharing, loadTogether, shareSession, togetherChoice } from '@/server/together';
import { loadSessionPlan } from '@/server/session-plan';
import { loadWeek } from '@/server/week';
import { timed } from './support/order-blocks';
import { at, NOW, world } from './support/world';

const HERS = 'sefina-2026-11-24';
const shared = (db = world(), clientId = 'wilhelmina') => {
  // The other one has no session at this time: one is made.
  expect(shareSession(at(db), HERS, clientId)).toEqual({ ok: true, id: HERS });
  const view = loadTogether(at(db), HERS)!;
  return { db, view, otherId: view.sessionIds[1] };
};

describe('two who share a session', () => {
  it('by hand: a minute’s sets of one movement, half a minute of changing: one rests while the other works', () => {
    const block = (id: string, sets = 3) => ({ id, pairId: null, items: [timed({ movement: 'fly', sets })] });
    expect(togetherSeconds([{ blocks: [block('a'), block('b')], changeS: 30 }])).toBe(510);
    // Then something that only one does, on the same column.
    const alone = { id: 'c', pairId: null, items: [timed({ movement: 'row' })] };
    expect(
      togetherSeconds([
        { blocks: [block('a'), block('b')], changeS: 30 },
        { blocks: [alone], changeS: 0 },
      ]),
    ).toBe(510 + 60 + 300);
    expect(togetherSeconds([{ blocks: [block('a', 1), block('b', 2)], changeS: 100 }])).toBe(60 + 100 + 60 + 60 + 60);
  });
  it('the same movements, own loads and set-ups: what is changed between them, line by line, and its seconds', () => {
    const { db, view, otherId } = shared();
    expect(view.names).toEqual(['Sefina Taualofa', 'Wilhelmina Brandstrup-Kjeldgaard']);
    expect(view.rows).toHaveLength(2);
    for (const row of view.rows) {
      const [a, b] = row.sides;
      expect([a!.settings.length > 2, b!.settings.length > 2]).toEqual([true, true]);
      expect(a!.settings).not.toEqual(b!.settings);
      // One is 1.98 m tall: the pulley moves, and the plan says from where to where.
      expect(row.changes.join()).toMatch(/hole \d+ to \d+/);
      expect(row.seconds).toBeGreaterThan(20);
    }
    expect(findSession(db, otherId)).toMatchObject({ clientId: 'wilhelmina', minutes: 60 });
    // Together it takes longer than for one of them, and less than for both one after the other.
    expect(view.minutes).toBeGreaterThan(Math.max(...view.alone));
    expect(view.minutes).toBeLessThan(view.alone[0] + view.alone[1]);
    expect(loadTogether(at(db), otherId)!.names[0]).toBe('Wilhelmina Brandstrup-Kjeldgaard');
    expect(loadHistory(at(db), 'sefina')[0]).toMatchObject({ what: 'Trains together with' });
  });
  it('a session that is there is taken, shared twice it is shared once, and with a third not at all', () => {
    const db = world();
    const his = 'anselm-2026-11-24';
    const hers = findSession(db, HERS)!;
    moveSession(at(db), his, {
      day: '2026-11-24',
      startsAt: new Date(hers.startsAtMs).toTimeString().slice(0, 5),
      minutes: 60,
    });
    const before = listSessionsOf(db, 'anselm', 99, NOW + 86_400_000).length;
    const { view } = shared(db, 'anselm');
    expect(view.sessionIds).toEqual([HERS, his]);
    expect(shareSession(at(db), HERS, 'anselm').ok).toBe(true);
    expect(listSessionsOf(db, 'anselm', 99, NOW + 86_400_000)).toHaveLength(before);
    expect(shareSession(at(db), HERS, 'wilhelmina')).toMatchObject({ ok: false, issues: [{ path: 'clientId' }] });
    expect(shareSession(at(db), HERS, 'sefina').ok).toBe(false);
    expect(shareSession(at(db), HERS, null).ok).toBe(false);
    expect(togetherChoice(at(db), his)!.partner).toBe('Sefina Taualofa');
  });
  it('who called off is no third: shared with another one, it stays the two when the first comes again', () => {
    const { db, otherId } = shared();
    callOffSession(at(db), otherId, true);
    expect(loadTogether(at(db), HERS)).toBeNull();
    expect(shareSession(at(db), HERS, 'anselm').ok).toBe(true);
    callOffSession(at(db), otherId, false);
    expect(loadTogether(at(db), HERS)!.names[1]).toBe('Anselm Okparaeke');
    expect(loadTogether(at(db), otherId)).toBeNull();
  });
  it('they want no station from each other, move together, lead to each other’s sets, and part again', () => {
    const { db, otherId } = shared();
    const isWanted = () =>
      loadWeek(at(db), '2026-11-24')
        .days.flatMap((d) => d.sessions)
        .filter((s) => [HERS, otherId].includes(s.id))
        .map((s) => s.isWanted);
    expect(isWanted()).toEqual([false, false]);
    expect(loadSet(at(db), `${HERS}-0`)!.partner).toMatchObject({ clientName: 'Wilhelmina Brandstrup-Kjeldgaard' });
    moveSession(at(db), otherId, { day: '2026-11-25', startsAt: '17:00', minutes: 75 });
    expect(findSession(db, HERS)).toMatchObject({ minutes: 75, startsAtMs: findSession(db, otherId)!.startsAtMs });
    expect(endSharing(at(db), otherId).ok).toBe(true);
    expect(loadTogether(at(db), HERS)).toBeNull();
    // Alone again they want the column from each other.
    expect(isWanted()).toEqual([true, true]);
    expect(loadSessionPlan(at(db), HERS)!.wanted).not.toBeNull();
    expect(finishSession(at(db), otherId, true).ok).toBe(true);
  });
});

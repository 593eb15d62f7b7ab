import { describe, expect, it } from 'vitest';
import type { Db } from '@/data/open-db';
import { addSession, findItem } from '@/data/queries/sessions';
import { loadFloor } from '@/server/floor';
import { skipItem } from '@/server/planned-items';
import { loadSessionPlan, orderSession } from '@/server/session-plan';
import { makeLog } from './support/make-log';
import { at, NOW, world } from './support/world';

const TODAY = 'sefina-2026-11-24';

describe('another order as a way out', () => {
  const LATER = NOW + 6 * 3_600_000;
  const plan = (db: Db, id: string, clientId: string, movements: readonly (readonly [string, string | null])[]) => {
    const like = findItem(db, `${TODAY}-0`)!;
    const items = movements.map(([movement, stationId], k) => ({
      ...{
        ...like,
        movement: movement as typeof like.movement,
        stationId,
        id: `${id}-${k}`,
        sessionId: id,
        position: k,
      },
      attachmentId: stationId && like.attachmentId,
    }));
    const session = { id, clientId, startsAtMs: LATER, gymId: 'tidewater', minutes: 60, items };
    addSession(db, session, 'marit');
  };
  const FLY = ['cable-fly-level', 'long-pair'] as const;
  it('what needs no station first, then the column that the other one has left; taken, nobody wants it', () => {
    const db = world();
    plan(db, 'own', 'anselm', [FLY, ['dumbbell-fly-incline', null], ['door-frame-chest-stretch', null]]);
    plan(db, 'theirs', 'sefina', [FLY]);
    const wanted = () => loadSessionPlan(at(db), 'own')!.wanted;
    const { order } = wanted()!;
    // The stretch wakes up and stays ahead of what is lifted.
    expect(order!.itemIds).toEqual(['own-2', 'own-1', 'own-0']);
    expect(order!.says).toMatch(/stretch, .*, Cable fly, level$/);
    expect(loadFloor(at(db)).sessions.find((s) => s.id === 'own')!.wanted!.order).toEqual(order);
    expect(orderSession(at(db), 'own', order!.itemIds).ok).toBe(true);
    expect(wanted()).toBeNull();
    // Hers alone cannot be put otherwise.
    expect(loadSessionPlan(at(db), 'theirs')!.wanted).toBeNull();
  });
  it('a column is free again as soon as its sets are done, or what was on it is skipped', () => {
    const db = world();
    plan(db, 'own', 'anselm', [FLY]);
    plan(db, 'theirs', 'sefina', [FLY]);
    const wanted = () => loadSessionPlan(at(db, LATER + 100_000), 'theirs')!.wanted;
    expect(wanted()).not.toBeNull();
    const log = makeLog(db, 'own-0', LATER);
    for (let k = 0; k < findItem(db, 'own-0')!.sets; k++) log.set({});
    expect(wanted()).toBeNull();
    const other = world();
    plan(other, 'own', 'anselm', [FLY]);
    plan(other, 'theirs', 'sefina', [FLY]);
    expect(skipItem(at(other), ['own-0'], 'no time').ok).toBe(true);
    expect(loadSessionPlan(at(other), 'theirs')!.wanted).toBeNull();
  });
});

import { describe, expect, it } from 'vitest';
import { searchOf } from '@/core/book/posed-question';
import { findEntry } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { length, subtract } from '@/core/geometry/vector';
import { toFloor } from '@/core/geometry/rotation';
import { toRad } from '@/core/units/angle';
import { findStation, listKit, saveKit } from '@/data/queries/kit';
import { loadUnit } from '@/server/load-steps';
import { loadItem } from '@/server/item-context';
import { loadSet } from '@/server/set';
import { findSettings } from '@/server/settings';
import { recordEvents } from '@/server/record-events';
import { at, NOW, world } from './support/world';

describe('how far the stack goes', () => {
  // Two on the pair without a ratio, two with half of the hand's way on the stack.
  it.each([
    ['anselm', 0, 1],
    ['anselm', 1, 1],
    ['wilhelmina', 0, 2],
    ['wilhelmina', 2, 1],
  ] as const)(
    '%s, movement %d: the change in the cable’s length from hand to pulley over the ratio %d',
    (client, index, ratio) => {
      const uc = at(world());
      const id = `${client}-2026-11-24-${index}`;
      const { stackTravelM } = loadSet(uc, id)!.rep;
      const found = findSettings(uc, loadItem(uc, id)!);
      if (found.from === 'blocked') throw new Error(found.says);
      const search = searchOf(found.pose()!);
      const placement = found.placement!;
      const side = evaluatePlacement(search, placement).worse;
      const { path } = search.limbAt(side, placement);
      const stand = { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) };
      const cableM = path.contact.map((g) => length(subtract(toFloor(g, stand), search.pulley(placement, side))));
      expect(stackTravelM).toBeCloseTo((Math.max(...cableM) - Math.min(...cableM)) / ratio, 9);
      expect(stackTravelM).toBeGreaterThan(0.1);
    },
  );
  it('follows where the set-up stands by now, however often the set was opened before', () => {
    const db = world();
    const id = 'sefina-2026-11-24-0';
    const open = () => loadSet(at(db), id)!;
    const solved = open();
    expect(open()).toEqual(solved);
    const found = findSettings(at(db), loadItem(at(db), id)!);
    if (found.from === 'blocked') throw new Error(found.says);
    const stand = (seq: number, standX: number) =>
      recordEvents(at(db), {
        events: [
          {
            ...{ id: `moved${seq}`, version: 2, actorId: 't', deviceId: 'd', seq, atMs: NOW + seq, clientId: 'sefina' },
            ...{ itemId: id, movement: solved.item.movement, kind: 'setup-saved', solved: null, off: true },
            ...{ placement: { ...found.placement!, standX }, stationId: 'long-pair', attachmentId: 'd-handle' },
            ...{ side: 'both', options: usualOptions(findEntry(solved.item.movement)!) },
          },
        ],
      });
    const told = [0.2, 0.5, 0.2].map((standX, seq) => {
      expect(stand(seq, standX)).toMatchObject({ ok: true, reply: { refused: [] } });
      const { rep, drops } = open();
      return { rep, drops };
    });
    expect(told[2]).toEqual(told[0]);
    expect(told[1]!.rep.stackTravelM).not.toBeCloseTo(told[0]!.rep.stackTravelM!, 3);
  });
  it('nothing without a stack', () =>
    expect(loadSet(at(world()), 'wilhelmina-2026-11-24-5')!.rep.stackTravelM).toBeNull());
});

describe('what a load is stamped in', () => {
  const unit = (db: ReturnType<typeof world>, movement: string, stationId: string | null = null) =>
    loadUnit(db, 'tidewater', findEntry(movement)!, stationId === null ? null : findStation(db, stationId));
  it('a cable by its own stack, a machine by its own, free weights by theirs', () => {
    const db = world();
    expect([
      unit(db, 'cable-fly-level', 'long-pair'),
      unit(db, 'cable-fly-level', 'odd-pair'),
      unit(db, 'leg-extension'),
      unit(db, 'dumbbell-side-raise'),
      unit(db, 'barbell-curl'),
      unit(db, 'close-push-up'),
    ]).toEqual(['kg', 'lb', 'lb', 'kg', 'kg', 'kg']);
  });
  it('plates in both are told in kilograms, in pounds alone in pounds', () => {
    const db = world();
    const tree = listKit(db, 'tidewater').rows.find((p) => p.kind === 'plates')!;
    const inPounds = { ...tree, spec: { ...tree.spec, unit: 'lb' } } as typeof tree;
    saveKit(db, { ...inPounds, id: 'second-tree' }, 'trainer');
    expect(unit(db, 'barbell-curl')).toBe('kg');
    saveKit(db, inPounds, 'trainer');
    expect([unit(db, 'barbell-curl'), unit(db, 'landmine-row-two-hand'), unit(db, 'dumbbell-side-raise')]).toEqual([
      'lb',
      'lb',
      'kg',
    ]);
  });
});

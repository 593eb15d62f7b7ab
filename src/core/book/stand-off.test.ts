import { describe, expect, it } from 'vitest';
import { answerOf, bodyOf, COLUMN, ROOM, uprightOf } from '../../../test/support/fixtures';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { toFloor } from '@/core/geometry/rotation';
import { standOf } from '@/core/setup/setup-problem';
import { SIDES } from '@/core/body/side';
import { limitText } from '@/messages/reasons';
import { findEntry } from './book';
import { searchOf } from './posed-question';

const ask = (id: string, h: number, floorPlateM: number) => {
  const e = findEntry(id)!;
  const column = { column: { ...COLUMN, floorPlateM }, room: ROOM, attachmentM: 0.14 };
  const a = answerOf(e, { body: bodyOf(h), column, loadKg: 10, options: uprightOf(e) });
  if (!a.ok || !a.placement) throw new Error(id);
  return { placement: a.placement, search: searchOf(a.from) };
};
const PULLS = [
  'straight-arm-pushdown-one-arm',
  'cable-row-level-one-arm',
  'straight-bar-cable-curl',
  'rear-delt-cable-row',
];

describe.each([1.5, 1.75, 1.98])('off the column, %d m', (h) => {
  it.each(PULLS)('%s: no foot stands on a floor plate that reaches 40 cm out', (id) => {
    const { placement, search } = ask(id, h, 0.4);
    const stand = standOf(placement);
    for (const i of [0, 20, 40])
      for (const side of SIDES) {
        const { toe, heel } = search.poseAt(i).leg[side];
        for (const point of [toe, heel]) expect(toFloor(point, stand)[0]).toBeGreaterThan(0.4 - 1e-6);
      }
    expect(placement.standX).toBeGreaterThanOrEqual(ask(id, h, 0).placement.standX);
  });
  it.each(PULLS)('%s: nearer than that is named, by what would meet the column', (id) => {
    for (const plateM of [0, 0.4]) {
      const { placement, search } = ask(id, h, plateM);
      const nearer = { ...placement, standX: search.input.nearestM - 0.05 };
      expect(
        evaluatePlacement(search, { ...nearer, standX: search.input.nearestM }).violations.map((v) => v.limit),
      ).not.toContain('column');
      const [named] = evaluatePlacement(search, nearer).violations.filter((v) => v.limit === 'column');
      expect(named).toMatchObject({ need: nearer.standX, have: search.input.nearestM });
      expect(limitText(named!)).toMatch(plateM > 0 ? /floor plate|would meet/ : /would meet the column/);
    }
  });
});

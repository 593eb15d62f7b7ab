import { describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { otherSide, SIDES } from '@/core/body/side';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../test/support/fixtures';
import { buildMovementScene, extentOf, gearExtent, movementWindow, restingArm } from './movement-scene';
import { elevationView, planView } from './view';

const numbers = (text: string): number[] => (text.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number);

describe.each([1.5, 2])('every movement draws on a body of %d m', (statureM) => {
  const body = bodyOf(statureM);
  it.each(sampled(BOOK, statureM * 2).map((e) => [e.id, e] as const))(
    '%s: finite, and inside its window over the whole range',
    (_, e) => {
      const side = sidesOf(e).at(-1)!;
      const a = answerOf(e, {
        body,
        side,
        loadKg: 15,
        column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
      });
      if (!a.ok) throw new Error(a.reason);
      const both = e.hands === 'two';
      const poses = [0, 20, 40].map((i) => a.posed.bodyAt(i));
      // Nothing that is held, and no arm that rests, goes through the floor.
      const { chain, contact } = a.posed.path;
      const idle = chain !== 'arm' ? SIDES : both ? [] : [otherSide(a.side)];
      const resting = poses.flatMap((p) => idle.map((s) => restingArm(body, p, s).contact[0]!));
      for (const [, y] of chain === 'leg' ? resting : [...resting, ...contact]) expect(y).toBeGreaterThan(0);
      const reached = extentOf(poses, a.posed.path, both, a.placement, a.pulley);
      const w = movementWindow([...reached, ...gearExtent(a.from, a.posed, a.placement)], a.pulley ? 2.2 : null);
      for (const view of [elevationView(w, 120), planView(w, 120)]) {
        for (const i of [0, 40]) {
          const scene = buildMovementScene(
            { from: a.from, posed: a.posed, placement: a.placement, pulley: a.pulley, i },
            view,
          );
          const gear = [scene.seats, scene.underArm, scene.heldBehind, scene.held].flat();
          for (const { path } of gear) expect(numbers(path).every(Number.isFinite)).toBe(true);
          // The pads that carry the body are in the drawing as a whole.
          for (const { path } of scene.seats.filter((g) => g.look === 'pad'))
            for (const [, x] of path.matchAll(/[ML](-?[\d.]+)/g)) {
              expect(Number(x)).toBeGreaterThan(0);
              expect(Number(x)).toBeLessThan(view.width);
            }
          // Whoever holds, presses or is pulled by something is seen to.
          if (e.load.kind !== 'none' && !(e.load.kind === 'body' && e.load.on === 'floor'))
            expect(scene.held.length + scene.heldBehind.length).toBeGreaterThan(0);
          for (const s of [...scene.back, ...scene.front])
            for (const d of s.paths) expect(numbers(d).every(Number.isFinite)).toBe(true);
          expect(scene.cables).toHaveLength(a.pulley ? (both && e.load.kind === 'cable' && !e.load.shared ? 2 : 1) : 0);
          for (const dot of [scene.contact, ...scene.cables.flatMap((c) => [c.from, c.to])]) {
            expect(dot.u).toBeGreaterThanOrEqual(0);
            expect(dot.u).toBeLessThanOrEqual(view.width);
          }
        }
      }
    },
  );
});

import { describe, expect, it } from 'vitest';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { BOOK, entryOf } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { length, mirrorZ, subtract, type Vec3 } from '@/core/geometry/vector';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../../test/support/fixtures';
import { PERTURBATION } from './perturbation';
import { faultyRep, rightRep, shownFaults, sizeAt, sizeShown, type ShownRep } from './show-fault';

const SHOWN = [0, 20, 40];
const answers = new Map<string, GoodAnswer>();
function answered(id: string): GoodAnswer {
  const known = answers.get(id);
  if (known) return known;
  const entry = entryOf(id as (typeof BOOK)[number]['id']);
  const column = { column: COLUMN, room: ROOM, attachmentM: 0.14 };
  const a = answerOf(entry, { body: bodyOf(1.75), side: sidesOf(entry).at(-1)!, loadKg: 15, column });
  if (!a.ok) throw new Error(id);
  answers.set(id, a);
  return a;
}
const apart = (a: Vec3, b: Vec3) => length(subtract(a, b));
/** How far anything that is drawn lies from where it lies done right, metres. */
function off(a: GoodAnswer, rep: ShownRep): number {
  const right = rightRep(a);
  const points = (r: ShownRep) =>
    SHOWN.flatMap((i) => {
      const { path } = r.posed;
      const rest = r.rest.bodyAt(i).pelvis;
      return [path.proximal, path.middle, path.distal, path.contact].map((p) => p[i]!).concat([rest]);
    });
  const [was, is] = [points(right), points(rep)];
  const moved = was.map((p, k) => apart(p, is[k]!));
  return Math.max(...moved, apart(right.pulley ?? [0, 0, 0], rep.pulley ?? [0, 0, 0]), length(rep.axisOff));
}
const CASES = BOOK.flatMap((e) => shownFaults(e).map((f) => [e.id, f] as const));

describe('a rep with a fault in it', () => {
  it.each(sampled(CASES))(
    '%s, %s: the larger the farther off, joints hold together, feet and kit stay',
    (id, fault) => {
      const a = answered(id);
      const p = PERTURBATION[fault]!;
      const sizes = [0.25, 0.5, 1].map((level) => sizeShown(a, fault, sizeAt(p, level)));
      // The solved hole may be the last one.
      if (p.kind === 'hole-off' && sizes[0] === null) return;
      const shown = [...new Set(sizes)].map((size) => faultyRep(a, fault, size!)!);
      const hasAnEnd = ['elbow-straight-at-start', 'hole-off', 'stops-short'].includes(p.kind);
      expect(shown.length).toBeGreaterThanOrEqual(hasAnEnd ? 1 : 3);
      const offs = shown.map((r) => off(a, r));
      expect(offs[0]).toBeGreaterThan(0.005);
      for (let k = 1; k < offs.length; k++) expect(offs[k]).toBeGreaterThan(offs[k - 1]!);
      const own = posedOf(a);
      for (const rep of shown)
        for (const i of SHOWN) {
          const [body, right] = [rep.posed.bodyAt(i), own.bodyAt(i)];
          const { path } = rep.posed;
          if (path.chain === 'arm')
            expect(apart(body.shoulder[path.side], path.proximal[i]!)).toBeLessThan(
              p.kind === 'stops-short' ? 0.01 : 1e-9,
            );
          for (const [from, to] of [
            ['proximal', 'middle'],
            ['middle', 'distal'],
          ] as const)
            expect(apart(path[from][i]!, path[to][i]!)).toBeCloseTo(apart(own.path[from][i]!, own.path[to][i]!), 3);
          if (p.kind !== 'stops-short')
            for (const side of ['left', 'right'] as const) expect(body.leg[side].toe).toEqual(right.leg[side].toe);
        }
    },
  );
  it('a turn takes both arms along: the far one is no mirror image, and keeps its length', () => {
    const a = answered('cable-row-level-close');
    const { posed, other } = faultyRep(a, 'trunk-turns', 30)!;
    expect(apart(other!.contact[40]!, mirrorZ(posed.path.contact[40]!))).toBeGreaterThan(0.1);
    expect(apart(other!.middle[40]!, other!.distal[40]!)).toBeCloseTo(
      apart(posed.path.middle[40]!, posed.path.distal[40]!),
      9,
    );
    const shoulders = posed.bodyAt(40).shoulder;
    expect(apart(shoulders.left, shoulders.right)).toBeCloseTo(
      apart(posed.path.proximal[40]!, other!.proximal[40]!),
      6,
    );
  });
  it('is told in whole steps, never of nothing', () => {
    expect(sizeAt(PERTURBATION['elbow-flares']!, 0.31)).toBe(16);
    expect(sizeAt(PERTURBATION['shrugs']!, 0.01)).toBe(0.005);
    expect(sizeAt(PERTURBATION['shrugs']!, 0.4)).toBe(0.03);
    expect(sizeAt(PERTURBATION['line-off-arm']!, 0.3)).toBe(-2);
  });
  it('shows nothing of what is not drawn', () => {
    const a = answered('cable-fly-level');
    expect(shownFaults(a.from.entry)).not.toContain('stack-touches');
    expect(faultyRep(a, 'stack-touches', 0.3)).toBeNull();
    expect(faultyRep(a, 'arms-too-straight', 60)).toBeNull();
    expect(faultyRep(a, 'lowering-dropped', 1)).toBeNull();
  });
});

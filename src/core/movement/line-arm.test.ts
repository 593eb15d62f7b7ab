import { describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { lineTracks } from '@/core/book/line-limb';
import { poseEntry, WHOLE_RANGE } from '@/core/book/pose-entry';
import { lineOf } from '@/core/book/pose-on-line';
import { USUAL_KIT } from '@/core/book/station-kit';
import { SIDES, signOf } from '@/core/body/side';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import { profileLine, allocateSamples } from '@/core/mechanics/line-profile';
import { segmentDistance } from '@/core/geometry/segments';
import { between, cross, length, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import { bodyOf, sampled, seeded } from '../../../test/support/fixtures';
import { foreToGripM } from '@/core/body/arm-length';
import { closeHands, type Gives } from './hand-pair';

const PULLS = BOOK.filter((e) => e.load.kind === 'cable' && lineOf(e.load) !== null);
const random = seeded(12);
const within = (a: number, b: number): number => a + (b - a) * random();

describe.each(PULLS.map((e) => [e.id, e] as const))('%s', (_, e) => {
  const shared = e.load.kind === 'cable' && e.load.shared;
  const places = sampled(
    Array.from({ length: 12 }, (): readonly [number, Vec3, number] => [
      within(1.5, 2),
      // In front of the client, or over the head of one who lies with it towards the column.
      [
        (e.load.kind === 'cable' && e.load.facing === 'away' ? -1 : 1) * within(0.8, 1.8),
        within(0.3, 2.3),
        shared ? 0 : within(-0.4, 0.4),
      ],
      within(30, 400),
    ]),
  );
  it('the flat track is the posed path’s own, place by place', () => {
    for (const [h, pulley, tensionN] of places)
      for (const side of SIDES) {
        const body = bodyOf(h);
        const flat = lineTracks(e, body, side, WHOLE_RANGE, USUAL_KIT, tensionN).track(pulley, false);
        const { path, target } = poseEntry(e, body, side, WHOLE_RANGE, USUAL_KIT, { pull: { pulley, tensionN } })!;
        const slow = buildLimbTrack(body, path, target);
        expect(Math.max(...slow.data.map((v, i) => Math.abs(v - flat.data[i]!)))).toBeLessThan(1e-9);
      }
  });
  it('elbow, grip and pulley lie on one line, and the cable does not help where the rep begins', () => {
    for (const [h, pulley, tensionN] of places) {
      const body = bodyOf(h);
      const { path, target } = poseEntry(e, body, 'right', WHOLE_RANGE, USUAL_KIT, { pull: { pulley, tensionN } })!;
      const flat = (v: Vec3): Vec3 => (e.hold ? [v[0], v[1], 0] : v);
      if (e.load.kind === 'cable' && e.load.line === 'forearm')
        for (const i of [0, 13, 27, 40]) {
          const [elbow, grip] = [flat(path.middle[i]!), flat(path.contact[i]!)];
          const off = cross(normalise(subtract(grip, elbow)), normalise(subtract(flat(pulley), elbow)));
          expect(length(off)).toBeLessThan(1e-9);
        }
      const out = allocateSamples(41);
      // About the way the arm sets off itself, wherever the pulley stands.
      const sweep = { ...target, answers: target.axis };
      profileLine(buildLimbTrack(body, path, sweep), pulley, tensionN, 0.14, out);
      expect(out.lineNm[0]!).toBeGreaterThan(0);
    }
  });
});

describe('hands on one thing', () => {
  it.each<Gives>(['upper', 'fore', 'arm', 'elbow'])(
    '%s gives way: bones as long as ever, the hand at its place',
    (gives) => {
      for (let k = 0; k < 200; k++) {
        const body = bodyOf(within(1.45, 2.05));
        const side = SIDES[k % 2]!;
        const shoulder: Vec3 = [0, 1.4, (signOf(side) * body.length.shoulderBreadth.m) / 2];
        const bone = (): Vec3 => normalise([within(0.2, 1), within(-1, 1), within(-0.2, 0.2)]);
        const [upper, fore, widthM] = [bone(), bone(), within(0.2, 0.7)];
        const closed = closeHands(body, side, shoulder, { upper, fore }, widthM, gives);
        const a = body.length.upperArm.m;
        const z = shoulder[2] + a * closed.upper[2] + foreToGripM(body) * closed.fore[2];
        expect([length(closed.upper), length(closed.fore)]).toEqual([expect.closeTo(1, 9), expect.closeTo(1, 9)]);
        expect(z).toBeCloseTo((signOf(side) * widthM) / 2, 6);
      }
    },
  );
});

describe('distance of two segments', () => {
  it('is never more than between any two of their points, and found among them (brute force)', () => {
    const point = (): Vec3 => [within(-1, 1), within(-1, 1), within(-1, 1)];
    for (let k = 0; k < 100; k++) {
      const [a, b, c, d] = [point(), point(), point(), point()];
      let least = Infinity;
      for (let i = 0; i <= 60; i++)
        for (let j = 0; j <= 60; j++)
          least = Math.min(least, length(subtract(between(a, b, i / 60), between(c, d, j / 60))));
      const own = segmentDistance(...a, ...b, ...c, ...d);
      expect(own).toBeLessThanOrEqual(least + 1e-12);
      expect(own).toBeGreaterThan(least - 0.06);
    }
  });
});

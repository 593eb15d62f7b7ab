import { describe, expect, it } from 'vitest';
import { answerQuestion } from '@/core/book/answer-question';
import { BOOK } from '@/core/book/book';
import { lineOf } from '@/core/book/pose-on-line';
import { SHORTEST_SHARE } from '@/core/book/pose-entry';
import { searchOf } from '@/core/book/posed-question';
import { sidesOf } from '@/core/book/book-entry';
import { workingSides } from '@/core/body/side';
import { intoFrame } from '@/core/geometry/frame';
import { length, subtract, type Vec3 } from '@/core/geometry/vector';
import { jointAngles, towards } from '@/core/movement/joint-action';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { pulleyFrom } from '@/core/setup/setup-problem';
import { questionOf, seeded } from './support/fixtures';

/** A pull's range depends on where it reaches: a client's limits hold at the place that is answered, or nothing is. */
const PULLS = BOOK.filter((e) => e.load.kind === 'cable' && lineOf(e.load) !== null);
const MOTIONS = ['shoulder.flexion', 'shoulder.abduction', 'shoulder.extension', 'elbow.flexion'] as const;

describe.each(PULLS.map((e) => [e.id, e] as const))('%s', (id, e) => {
  it('never passes a clinician’s limit, and is posed for the very place it names', () => {
    const random = seeded(id.length);
    for (let k = 0; k < 10; k++) {
      const motion = MOTIONS[k % MOTIONS.length]!;
      const most = 15 + Math.round(random() * 140);
      const limits = { left: { [motion]: most }, right: { [motion]: most } };
      const a = answerQuestion(questionOf(id, 1.55 + random() * 0.4, { side: sidesOf(e).at(-1)!, limits }));
      if (!a.ok) continue;
      const search = searchOf(a.from);
      expect(evaluatePlacement(search, a.placement!).violations).toEqual([]);
      for (const side of workingSides(a.from.question.side)) {
        const { path, range } = a.from.limbs[side]!.posed;
        expect(range.to - range.from).toBeGreaterThanOrEqual(SHORTEST_SHARE - 1e-9);
        path.proximal.forEach((p, i) => {
          const upper = towards(p, path.middle[i]!);
          const lower = towards(path.middle[i]!, path.distal[i]!);
          const own = jointAngles('arm', intoFrame(path.frame[i]!, upper), upper, lower, side)[motion];
          if (own !== undefined) expect(own).toBeLessThan(most + 1.5);
        });
        if (e.load.kind !== 'cable' || e.load.line !== 'forearm' || e.hold) continue;
        const pulley = pulleyFrom(search, a.placement!, side);
        const [m, c] = [path.middle[20]!, path.contact[20]!];
        const straight: Vec3 = subtract(pulley, m);
        expect(length(straight) - length(subtract(pulley, c)) - length(subtract(c, m))).toBeCloseTo(0, 6);
      }
    }
  });
});

import { allocateSamples, profileLoads } from '@/core/mechanics/line-profile';
import { totalCost, profileSide } from '@/core/setup/cost';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { explain } from '@/core/setup/reasons';
import { solveSetup } from '@/core/setup/solve-setup';
import { searchExhaustively } from '../test/support/exhaustive-grid';
import { FLIES, bodyOf, COLUMN, problemOf, ROOM, solved } from '../test/support/fixtures';
import { buildOffAxisTrack, resolveOffAxis } from '@/core/mechanics/off-axis';
import { add, cross, dot, length, subtract, type Vec3 } from '@/core/geometry/vector';
import { armPath, d, lift, STANDING } from '../test/support/limbs';
import { BOOK } from '@/core/book/book';
import { answerQuestion } from '@/core/book/answer-question';
import { poseQuestion } from '@/core/book/pose-question';
import { askQuestion } from '@/core/book/question';
import { line, measure, measureBatch } from './timing';

/** Full solves, as-found evaluations and the exhaustive grid side by side in one run. */
export function benchSolver(): void {
  const statures = [1.45, 1.55, 1.65, 1.75, 1.85, 1.95, 2.05];
  const questions = FLIES.flatMap((id) => statures.map((h) => [id, h] as const));
  const problem = problemOf('cable-fly-high-to-low');
  const out = allocateSamples(41);
  const place = (i: number) => ({ hole: 1 + (i % 20), standX: (i % 150) / 100, standZ: 0, yawDeg: 0 });

  console.log('Solver (21 questions: 3 movements x 7 statures, 20 holes; medians of separate calls)');
  const bare = measureBatch(60, 200, (i) => profileSide(problem, 0, place(i), out));
  const found = measureBatch(60, 50, (i) => explain(problem, evaluatePlacement(problem, place(i))));
  const grid = measure(3, () => searchExhaustively(problem, 0.01, 0, 1, 0));
  const both = measure(questions.length * 4, (i) => solveSetup(problemOf(...questions[i % questions.length]!)));
  const one = measure(questions.length * 4, (i) =>
    solveSetup(problemOf(...questions[i % questions.length]!, { side: 'right' })),
  );
  line('bare evaluation of one side (41 samples)', bare);
  line('as found, both sides, with reasons', found, { name: 'bare evaluation', t: bare });
  line('full solve, both arms', both, { name: 'bare evaluation', t: bare });
  line('full solve, one arm (place and facing too)', one, { name: 'bare evaluation', t: bare });
  line('exhaustive grid, both arms, 1 cm', grid, { name: 'full solve, both arms', t: both });

  let worst = 0;
  for (const [id, h] of questions) {
    const p = problemOf(id, h);
    worst = Math.max(worst, solved(p).best.cost - searchExhaustively(p, 0.01, 0, 1, 0).cost);
  }
  let worstOne = 0;
  for (const [id, h] of questions.filter((_, i) => i % 3 === 0)) {
    const p = problemOf(id, h, { side: 'right' });
    worstOne = Math.max(
      worstOne,
      totalCost(p, solved(p).best.placement) - searchExhaustively(p, 0.04, 0.4, 5, 30).cost,
    );
  }
  console.log(
    `cost above the exhaustive grid, worst: both arms ${worst.toFixed(3)} degrees, one ` +
      `arm ${worstOne.toFixed(3)} degrees\n`,
  );
}

/**
 * One full profile of one limb, all metrics and the off-axis moment by axis, beside a bare loop of the same vector
 * operations.
 */
export function benchProfile(): void {
  const body = bodyOf(1.75);
  const keys = armPath('trunk', [d(90, 80), d(90, 85)], [d(-90, 20), d(90, 70)]);
  const { path, target, track } = lift(body, STANDING, keys, 'shoulder.extension', [{ kind: 'weight', massKg: 10 }]);
  const out = allocateSamples(track.samples);
  let sink = 0;
  const offAxis = buildOffAxisTrack(body, path, target);
  const loop = measureBatch(60, 200, (i) => {
    const q: Vec3 = [1.5, 0.5 + (i % 20) / 20, 0.3];
    for (let k = 0; k < 41; k++) {
      const line = subtract(q, path.contact[k]!);
      for (const joint of [path.proximal[k]!, path.middle[k]!]) {
        const moment = add(cross(subtract(path.contact[k]!, joint), line), joint);
        sink += dot(moment, target.axis[k]!) + length(moment) + dot(line, target.above[k]!);
      }
    }
  });
  const loads = (i: number) => [
    { kind: 'cable' as const, pulley: [1.5, 0.5 + (i % 20) / 20, 0.3] as Vec3, tensionN: 200, attachmentM: 0.14 },
  ];
  const metrics = measureBatch(60, 200, (i) => void profileLoads(track, loads(i), out));
  const full = measureBatch(60, 50, (i) => {
    profileLoads(track, loads(i), out);
    sink += resolveOffAxis(offAxis, out.load).length;
  });
  console.log('Profile (41 samples, one arm, both joints)');
  line('bare loop of the same vector operations', loop);
  line('metrics of the target joint', metrics, { name: 'bare loop', t: loop });
  line('full profile, off-axis moment by axis at both joints', full, { name: 'bare loop', t: loop });
  console.log(Number.isFinite(sink) ? '' : 'not finite');
}

/** The whole book on three bodies and two columns, beside the exhaustive grid on a sample of twenty cable movements. */
export function benchBook(): void {
  const columns = [COLUMN, { ...COLUMN, firstHoleM: 0.2, pitchM: 0.14, holes: 14, twinSpacingM: 1.9 }];
  const bodies = [1.5, 1.75, 2].map((h) => bodyOf(h));
  const ask = (e: (typeof BOOK)[number], body: (typeof bodies)[number], column: (typeof columns)[number]) =>
    answerQuestion(askQuestion(e, { body, column: { column, room: ROOM, attachmentM: 0.14 } }));
  const questions = BOOK.flatMap((e) => bodies.flatMap((b) => columns.map((c) => [e, b, c] as const)));
  for (const q of questions.slice(0, 60)) ask(...q);
  const all = measure(questions.length, (i) => ask(...questions[i]!));
  const cabled = questions
    .filter(([e]) => e.load.kind === 'cable' && e.hands === 'one')
    .filter((_, i) => i % 4 === 0)
    .slice(0, 20);
  const solvedOnes = measure(cabled.length, (i) => ask(...cabled[i]!));
  let worst = 0;
  const grid = measure(cabled.length, (i) => {
    const [e, b, c] = cabled[i]!;
    const problem = poseQuestion(
      askQuestion(e, { body: b, column: { column: c, room: ROOM, attachmentM: 0.14 } }),
    )?.search;
    if (!problem) return;
    const best = searchExhaustively(problem, 0.1, 0.4, 10, 30);
    const found = solveSetup(problem);
    if (found.feasible) worst = Math.max(worst, found.best.cost - best.cost);
  });
  console.log(`Book (${BOOK.length} movements x 3 statures x 2 columns; one call each)`);
  line('solve or fit, every movement', all);
  line('solve, sample of one-arm cable movements', solvedOnes);
  line('exhaustive grid on the sample, 10 cm and 10 degrees', grid, { name: 'solve', t: solvedOnes });
  console.log(`cost above the exhaustive grid on the sample, worst: ${worst.toFixed(3)} degrees\n`);
}

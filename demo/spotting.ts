import type { Db } from '@/data/open-db';
import type { Actor } from '@/contract/actor';
import { BOOK, entryOf } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { PERTURBATION } from '@/core/fault/perturbation';
import { shownFaults } from '@/core/fault/show-fault';
import type { FaultCode } from '@/core/movement/fault-code';
import { nextTry } from '@/core/spotting/next-try';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { keepSpotting } from '@/server/spotting';
import { seeded } from '../tracker/seeded';
import { DEMO_TRAINER, RELIEF } from './people';

const DAY_MS = 86_400_000;
/** How much of a fault's largest size is seen two times of three; the others at this. */
const PLAIN = 0.25;
/** A trainer who practises: how often, and what is hard to see for them. */
interface Eye {
  readonly actor: Actor;
  readonly seed: number;
  readonly answers: number;
  readonly hard: Readonly<Partial<Record<FaultCode, number>>>;
}
const EYES: readonly Eye[] = [
  {
    actor: RELIEF,
    seed: 31,
    answers: 190,
    hard: { 'shoulder-tips-forward': 1.3, shrugs: 0.9, 'range-shrinks': 0.35, 'trunk-turns': 0.5 },
  },
  { actor: DEMO_TRAINER, seed: 32, answers: 150, hard: { 'shoulder-tips-forward': 0.45, 'line-off-arm': 0.8 } },
];
const PRACTISED = BOOK.filter((e) => e.group === 'rows' || e.id.startsWith('cable-fly'));
const IMAGINES = 0.08;

/** What an eye makes of a try: sees the fault by its size (Weibull, slope 2), or imagines one. */
function saidBy(eye: Eye, movement: SpottingAnswer['movement'], shown: SpottingAnswer['shown'], random: () => number) {
  const pad = faultsOf(entryOf(movement));
  if (shown) {
    const level = shown.size / PERTURBATION[shown.fault]!.most;
    if (random() < 1 - Math.exp(-((level / (eye.hard[shown.fault] ?? PLAIN)) ** 2))) return shown.fault;
  }
  return random() < IMAGINES ? pad[Math.floor(random() * pad.length)]! : null;
}

/** Two weeks of fault-spotting practice of two trainers who do not see the same things, through the use case. */
export function loadSpottingPractice(db: Db, nowMs: number): void {
  for (const eye of EYES) {
    const random = seeded(eye.seed);
    const answers: SpottingAnswer[] = [];
    for (let n = 0; n < eye.answers; n++) {
      const entry = PRACTISED[Math.floor(random() * PRACTISED.length)]!;
      const { movement, shown } = nextTry(entry.id, shownFaults(entry), answers, random);
      const said = saidBy(eye, movement, shown, random);
      answers.push({
        id: `${eye.actor.id}-spot-${n}`,
        // Twenty on a day, a little over ten seconds each.
        atMs: Math.round(nowMs - (14 - Math.floor(n / 20)) * DAY_MS + (n % 20) * 11_000),
        movement,
        shown,
        said,
        tookMs: Math.round(2500 + 5000 * random()),
      });
    }
    const kept = keepSpotting({ db, actor: eye.actor, nowMs }, answers);
    if (!kept.ok || kept.kept!.kept.length !== answers.length) throw new Error('the demo’s practice was not kept');
  }
}

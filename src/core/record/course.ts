import type { Placement } from '@/core/setup/setup-problem';
import { repSeconds, wholePace } from '@/core/tempo/pace';
import { parseWrittenTempo } from '@/core/tempo/tempo';
import { median } from '@/core/units/mean';
import { groupBy } from './group-by';
import type { SavedSetup } from './floor-event';
import type { SetRecord } from './set-log';
import { changesBetween, type SetupChange } from './setup-book';

/** How a set-up came to stand where it did. */
export type Stood = 'as-solved' | 'by-hand' | 'off' | 'by-rule';

/** One session of a movement on one side, as its course is told. */
export interface CoursePoint {
  readonly sessionId: string;
  readonly atMs: number;
  /** Heaviest load of its sets, integer grams. */
  readonly loadG: number;
  /** Of every set, in order. */
  readonly reps: readonly number[];
  /** Sets with a fault in them. */
  readonly faulty: number;
  /** How its straight sets were paced; null where none was, or a section of the range has a time of its own. */
  readonly pace: KeptPace | null;
  /** As last used in the session; null where none was saved. */
  readonly setup: SavedSetup | null;
  /** Against the session before it with a set-up. */
  readonly changed: readonly SetupChange[];
  readonly stood: Stood | null;
}

/** What a tempo asks of a rep, and what one took from the start of its set to the end, the middle set; seconds. */
export interface KeptPace {
  readonly tempo: string;
  readonly askedS: number;
  readonly tookS: number;
}

/** The clock of a set runs from its start to its end, so that getting going and putting down are in it. */
function paceOf(sets: readonly SetRecord[]): KeptPace | null {
  // Sets of a spreadsheet end as they begin: their times are not known.
  const own = sets.filter((s) => s.scheme === 'straight' && s.reps > 0 && s.endedAtMs !== s.startedAtMs);
  const tempo = own.at(-1)?.tempo;
  const asked = tempo === undefined ? null : parseWrittenTempo(tempo);
  if (tempo === undefined || !asked || asked.section) return null;
  const took = own.filter((s) => s.tempo === tempo).map((s) => (s.endedAtMs! - s.startedAtMs) / 1000 / s.reps);
  // Where the phases begin does not change how long they are together.
  return { tempo, askedS: repSeconds(wholePace(asked.tempo, 'lifting')), tookS: median(took) };
}

/** Marks are set to 5 cm: what differs by less stands as solved. */
const SAME_MARK_M = 0.025;

const samePlace = (a: Placement, b: Placement): boolean =>
  a.hole === b.hole &&
  (a.leftBy ?? 0) === (b.leftBy ?? 0) &&
  Math.hypot(a.standX - b.standX, a.standZ - b.standZ) <= SAME_MARK_M;

function stoodOf({ placement, solved, off }: SavedSetup): Stood {
  if (!placement) return 'by-rule';
  if (off) return 'off';
  return solved && samePlace(placement, solved) ? 'as-solved' : 'by-hand';
}

/** A movement's sets of one side, oldest first, session by session. */
export function courseOf(sets: readonly SetRecord[]): CoursePoint[] {
  let before: SavedSetup | null = null;
  const done = sets.filter((s) => s.endedAtMs !== null);
  return [...groupBy(done, (s) => s.sessionId)].map(([sessionId, own]): CoursePoint => {
    const setup = own.findLast((s) => s.setup !== null)?.setup ?? null;
    const changed = setup && before ? changesBetween(before, setup) : [];
    before = setup ?? before;
    return {
      sessionId,
      atMs: own[0]!.startedAtMs,
      loadG: Math.max(...own.map((s) => s.loadG)),
      reps: own.map((s) => s.reps),
      faulty: own.filter((s) => s.faults.length > 0).length,
      pace: paceOf(own),
      setup,
      changed,
      stood: setup && stoodOf(setup),
    };
  });
}

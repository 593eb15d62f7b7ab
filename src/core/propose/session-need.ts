import type { Region } from '@/core/body/region-line';
import { MUSCLES, muscleOf, type Muscle, type WeekRule } from '@/core/week/muscle';
import { sideSetsFor, type DeltoidShare, type MuscleSets } from '@/core/week/week-sets';

/** What a session should give a region, sets. */
export interface RegionNeed {
  readonly region: Region;
  /** So many are wanted of this session: each counts whole. */
  readonly want: number;
  /** So many beyond those do no harm, and count little. */
  readonly room: number;
  /** How much a set of it counts beside those of other regions: more where the recent weeks left it behind. */
  readonly weight: number;
}

/** What the client's weeks tell. */
export interface WeeksSoFar {
  /** This week's sets, with what is planned in it. */
  readonly week: readonly MuscleSets[];
  /** Sets of a week on average over the weeks before, by muscle. */
  readonly recent: Readonly<Record<Muscle, number>>;
  readonly rules: Readonly<Record<Muscle, WeekRule>>;
  /** Sessions of this week that are still to be planned, this one among them. */
  readonly sessionsLeft: number;
  /** How much of the deltoid's work its side head should have. */
  readonly deltoidShare: DeltoidShare;
}

/** Sets of one region in one session: fewer are not worth its set-up, more add little in one go (both ours). */
const FEWEST = 2;
const MOST_IN_ONE_GO = 6;

const between = (x: number, least: number, most: number): number => Math.min(most, Math.max(least, x));

/** How far the recent weeks fell short of a muscle's band, share of its lower end. */
const lagOf = (recent: number, { least }: WeekRule): number =>
  least > 0 ? between((least - recent) / least, 0, 1) : 0;

/**
 * What a session should give the regions that are trained for. Of a muscle the week should come to the lower end of its
 * band, up to the middle where the weeks before fell short of it; what is missing is shared by the sessions that are
 * left and by the muscle's regions. What the week has already is wanted no more. The side deltoid is wanted up to its
 * share of the deltoid's sets where that is more.
 */
export function needsOf(goals: readonly Region[], so: WeeksSoFar): readonly RegionNeed[] {
  return MUSCLES.flatMap((muscle) => {
    const own = goals.filter((r) => muscleOf(r) === muscle);
    if (own.length === 0) return [];
    const rule = so.rules[muscle];
    const all = so.week.find((w) => w.muscle === muscle)?.all ?? 0;
    const lag = lagOf(so.recent[muscle], rule);
    const ofBand = rule.least + (lag * (rule.most - rule.least)) / 2;
    // The side deltoid gets its share beside what pressing and rowing give the other heads, within its band.
    const shared = muscle === 'deltoid-side' ? sideSetsFor(so.deltoidShare, so.week) : 0;
    const aim = Math.min(rule.most, Math.max(ofBand, shared));
    const missing = Math.max(0, aim - all) / Math.max(1, so.sessionsLeft) / own.length;
    const want = missing > 0 ? between(missing, FEWEST, MOST_IN_ONE_GO) : 0;
    const room = between((rule.most - all) / own.length, want, MOST_IN_ONE_GO + FEWEST) - want;
    return own.map((region) => ({ region, want, room, weight: 1 + lag }));
  });
}

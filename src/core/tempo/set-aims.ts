/** What a set is to be: its reps, and how many are kept at its end; 0 is to failure, null asks for nothing. */
export interface SetAim {
  readonly reps: number;
  readonly reserve: number | null;
  /** What it is lifted with, integer grams; null: the movement's own load. */
  readonly loadG: number | null;
}

/** Sets of a movement that are alike, one after the other. */
export interface AimBlock extends SetAim {
  readonly sets: number;
}

/** Blocks of one movement at most: lighter sets of many reps, heavier ones, one to failure, one of half reps. */
export const MOST_AIMS = 4;

/** What is aimed at in all sets of a planned movement, where its blocks say more than its sets and reps. */
export interface Aimed {
  readonly sets: number;
  readonly reps: number;
  readonly aims: readonly AimBlock[] | null;
}

/** Blocks of a planned movement; without any of its own one of all its sets, that asks for nothing more. */
export const aimBlocks = ({ sets, reps, aims }: Aimed): readonly AimBlock[] =>
  aims && aims.length > 0 ? aims : [{ sets, reps, reserve: null, loadG: null }];

/** What the set of a number is to be, 1 for the first; one beyond the plan is as the last. */
export function aimOf(planned: Aimed, setNo: number): SetAim {
  const blocks = aimBlocks(planned);
  let end = 0;
  for (const b of blocks) {
    end += b.sets;
    if (setNo <= end) return b;
  }
  return blocks.at(-1)!;
}

/** Blocks with other loads where they have loads of their own; what becomes null is lifted with the movement's. */
export const withLoads = (
  aims: readonly AimBlock[] | null,
  loadOf: (loadG: number) => number | null,
): readonly AimBlock[] | null => aims && aims.map((a) => (a.loadG === null ? a : { ...a, loadG: loadOf(a.loadG) }));

/** Sets of some blocks. */
export const setsOfAims = (aims: readonly Pick<AimBlock, 'sets'>[]): number => aims.reduce((sum, b) => sum + b.sets, 0);

/** Blocks with a set less: of the last one that has more than one to give, else without the last; null with one set. */
export function oneSetLess(aims: readonly AimBlock[]): readonly AimBlock[] | null {
  const at = aims.findLastIndex((b) => b.sets > 1);
  if (at >= 0) return aims.with(at, { ...aims[at]!, sets: aims[at]!.sets - 1 });
  return aims.length > 1 ? aims.slice(0, -1) : null;
}

/**
 * Ways to lay out a movement's sets that are common practice: one hard set that keeps two reps and one to failure (a
 * whole back session can be seven movements of that), and for what is worked beside others two of 20 before three of
 * 8 to 10.
 */
export const AIM_PRESETS = {
  'hard-then-failure': (reps: number): readonly AimBlock[] => [
    { sets: 1, reps, reserve: 2, loadG: null },
    { sets: 1, reps, reserve: 0, loadG: null },
  ],
  'many-then-few': (): readonly AimBlock[] => [
    { sets: 2, reps: 20, reserve: null, loadG: null },
    { sets: 3, reps: 10, reserve: null, loadG: null },
  ],
} as const;
/** A common way to lay out a movement's sets. */
export type AimPreset = keyof typeof AIM_PRESETS;

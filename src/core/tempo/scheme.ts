import type { Section } from './tempo';

/** Ways to do a set. Alternating sides and opposite muscles in turn are two sets, not ways to do one. */
export const SCHEMES = [
  'straight',
  'slow-then-normal',
  'weight-drops',
  'middle-drops',
  'stance-drops',
  'step-in-drops',
  'rest-pause',
  'partials',
  'double-failure',
] as const;
/** A way to do a set. */
export type Scheme = (typeof SCHEMES)[number];

/** What a trainer has changed of a scheme, kept with the planned movement and with every set done by it. */
export interface SchemeChoices {
  /** Reps of each part from the first; null for one, or left out: the scheme's own. */
  readonly reps: readonly (number | null)[];
  /** How many drops in load; null: two. */
  readonly drops: number | null;
  /** Off at each drop in load, per cent; null: between 25 and 30. */
  readonly dropPercent: number | null;
  /** Half of the range that is gone on with first; null: the stronger one. */
  readonly half: Half | null;
  /** Where the rep is slow, by the target joint's angle; null: as the tempo is planned. */
  readonly slow: Section | 'none' | null;
  /** Reps in reserve at the end of the set, 0 to failure; null: nothing is asked. */
  readonly reserve: number | null;
}

/** Halves of the range: that from the stretch, and that to the finish. */
export const HALVES = ['first', 'second'] as const;
/** A half of the range. */
export type Half = (typeof HALVES)[number];

/** A scheme as it comes. */
export const AS_IT_COMES: SchemeChoices = {
  reps: [],
  drops: null,
  dropPercent: null,
  half: null,
  slow: null,
  reserve: null,
};

/** Nothing was changed of it. */
export const isAsItComes = ({ reps, ...others }: SchemeChoices): boolean =>
  reps.every((n) => n === null) && Object.values(others).every((v) => v === null);

/** A scheme with what was changed of it. */
export interface ChosenScheme {
  readonly scheme: Scheme;
  readonly choices: SchemeChoices;
}

/** What can be chosen: reps of a part, number and size of drops in load, reps in reserve; least and most. */
export const SCHEME_LIMITS = { reps: [1, 60], drops: [1, 4], dropPercent: [10, 50], reserve: [0, 5] } as const;
/** Most reps of a set with all its parts. */
export const MOST_SET_REPS = 200;
const USUAL_DROPS = 2;

/** One part of a set, done without racking for good. */
export interface SchemePart {
  readonly reps: number;
  readonly tempo: string;
  /** Integer grams. */
  readonly loadG: number;
  /** Mark to stand on, metres from the column; null: where the client stands. */
  readonly standX: number | null;
  /** Rest before it, seconds. */
  readonly restS: number;
  /** Part of the range, shares of it. */
  readonly from: number;
  readonly to: number;
  /** The trainer or a partner helps. */
  readonly helped: boolean;
}

/** What the parts of a scheme are made of. */
export interface SchemeInput {
  readonly reps: number;
  readonly tempo: string;
  readonly loadG: number;
  /** Loads of the drops on the steps there are; shorter where nothing lighter is left. */
  readonly dropsG: readonly number[];
  /** Load good for about 20 normal reps; null when nothing is known of it. */
  readonly twentyG: number | null;
  /** Marks that put the peak at the contracted, middle and lengthened third, as far as they can be used. */
  readonly stances: readonly number[];
  /** Marks of steps in, the first where the client stands. */
  readonly stepIns: readonly number[];
  /** The half of the range in which the load asks for less of what the client has there. */
  readonly strongerHalf: Half;
  /** Reps of each part that the trainer chose instead; see `SchemeChoices`. */
  readonly repsOfParts: readonly (number | null)[];
}

/**
 * Common practice, all of them: slow work is 8 x 5-5-5-5 straight into 12; drops of 25-30 % for 15, then 15 faster over
 * the middle 80 %, or both over the middle; double failure is full reps, then half reps of the stronger half, then of
 * the weaker half with help.
 */
const SLOW = { reps: 8, tempo: '5-5-5-5', then: 12 } as const;
const DROP_REPS = 15;
const FAST_TEMPO = '1-0-1-0';
const MIDDLE = [0.1, 0.9] as const;
const STANCE_REPS = 8;
const STEP_IN_REPS = 7;
const PAUSE_S = 15;
const HALF_REPS = 6;
const HELPED_REPS = 4;
const HALF = { first: { from: 0, to: 0.5 }, second: { from: 0.5, to: 1 } } as const;
const DROP_FRACTION = 0.275;

/** Fraction off at each drop in load, one entry a drop. */
export const dropFractions = ({ drops, dropPercent }: SchemeChoices): number[] =>
  Array.from({ length: drops ?? USUAL_DROPS }, () => (dropPercent === null ? DROP_FRACTION : dropPercent / 100));

/** Parts of a set, with the reps that were chosen for them; empty when the scheme cannot be done with what is here. */
export const buildParts = (scheme: Scheme, input: SchemeInput): SchemePart[] =>
  usualParts(scheme, input).map((p, k) => ({ ...p, reps: input.repsOfParts[k] ?? p.reps }));

function usualParts(scheme: Scheme, i: SchemeInput): SchemePart[] {
  const part = (change: Partial<SchemePart>): SchemePart => ({
    reps: i.reps,
    tempo: i.tempo,
    loadG: i.loadG,
    standX: null,
    restS: 0,
    from: 0,
    to: 1,
    helped: false,
    ...change,
  });
  switch (scheme) {
    case 'straight':
      return [part({})];
    case 'slow-then-normal': {
      const loadG = i.twentyG ?? i.loadG;
      return [part({ reps: SLOW.reps, tempo: SLOW.tempo, loadG }), part({ reps: SLOW.then, loadG })];
    }
    case 'weight-drops':
    case 'middle-drops': {
      const middle = { from: MIDDLE[0], to: MIDDLE[1] };
      const last = { tempo: FAST_TEMPO, ...middle };
      const drops = i.dropsG.map((loadG, k) =>
        part({ loadG, reps: DROP_REPS, ...(k > 0 ? last : scheme === 'middle-drops' ? middle : {}) }),
      );
      return drops.length === 0 ? [] : [part({}), ...drops];
    }
    case 'stance-drops':
      return i.stances.length < 2 ? [] : i.stances.map((standX) => part({ reps: STANCE_REPS, standX }));
    case 'step-in-drops':
      return i.stepIns.length < 2 ? [] : i.stepIns.map((standX) => part({ reps: STEP_IN_REPS, standX }));
    case 'rest-pause': {
      const third = Math.max(1, Math.ceil(i.reps / 3));
      return [part({}), part({ reps: third, restS: PAUSE_S }), part({ reps: third, restS: PAUSE_S })];
    }
    case 'partials':
      return [part({}), part({ reps: HALF_REPS, tempo: FAST_TEMPO, ...HALF[i.strongerHalf] })];
    case 'double-failure': {
      const weaker = i.strongerHalf === 'first' ? 'second' : 'first';
      return [
        part({}),
        part({ reps: HALF_REPS, ...HALF[i.strongerHalf] }),
        part({ reps: HELPED_REPS, ...HALF[weaker], helped: true }),
      ];
    }
  }
}

/** The part runs on from the one before without a hand on pin or floor. */
export const runsOn = (before: SchemePart, p: SchemePart): boolean =>
  p.restS === 0 && p.loadG === before.loadG && p.standX === before.standX;

import { noteDefaults, type ClientNote, type NoteDefaults } from '@/core/body/client-note';
import type { ArmKey } from '@/core/movement/keyframes';
import { toRad } from '@/core/units/angle';
import type { BookEntry } from './book-entry';
import { hasHandlePlace } from './palm';

/** Part of its range that a movement keeps when it stops before the rest zone (common practice: about 90 %). */
const NINE_TENTHS = 0.9;
/** Resistance at the finish below this share of the peak: stop before it. */
const REST_AT_TOP = 0.25;
/** How far the blade reaches and is drawn back, metres (our judgement; a few centimetres). */
const REACH_M = 0.03;
const RETRACT_M = 0.02;
/** The part of its range that constant tension leaves out at the stretch (our judgement). */
const SHORT_OF_STRETCH = 0.08;
/** An arm that hangs along the trunk is this far from it, degrees. */
const BESIDE_DEG = 6;

const isRow = (e: BookEntry): boolean => e.group === 'rows' && e.load.kind !== 'body';
const isLatPull = (e: BookEntry): boolean =>
  (e.group === 'rows' || e.group === 'pulldowns') &&
  (e.target === 'lat-lower' || e.target === 'lat-upper') &&
  e.action !== 'trunk.extension';
/** Movements whose stretch is loaded and can be shortened: arms that reach. */
const stretches = (e: BookEntry): boolean =>
  e.path.kind === 'arm' && (e.peakTarget === 'lengthened' || isLatPull(e)) && e.loadedFrom === null;
const isTraining = (e: BookEntry): boolean => e.group !== 'before';

/** Sine of the angle that an arm hangs from the trunk with its elbow beside it. */
const BESIDE = Math.sin(toRad(BESIDE_DEG));
/** Pulls that end with the elbow behind the trunk: an arm's azimuth goes from ahead, 90, to behind, -90 degrees. */
function endsBehind({ path }: BookEntry): boolean {
  if (path.kind !== 'arm') return false;
  const { azimuthDeg, elevationDeg } = path.keys.at(-1)!.upper;
  return Math.sin(toRad(elevationDeg)) * Math.sin(toRad(-azimuthDeg)) > BESIDE;
}

/** Two seconds held in the stretch. */
const withPause = (tempo: string): string =>
  tempo
    .split('-')
    .map((p, i) => (i === 1 && Number(p) < 2 ? '2' : p))
    .join('-');

/** The last key of an arm's range changed. */
const withLastKey = (e: BookEntry, change: (k: ArmKey) => ArmKey): BookEntry =>
  e.path.kind === 'arm'
    ? { ...e, path: { ...e.path, keys: e.path.keys.map((k, i, all) => (i === all.length - 1 ? change(k) : k)) } }
    : e;

/** Every key of an arm's range changed. */
const withEveryKey = (e: BookEntry, change: (k: ArmKey) => ArmKey): BookEntry =>
  e.path.kind === 'arm' ? { ...e, path: { ...e.path, keys: e.path.keys.map(change) } } : e;

/**
 * Shoulder girdle forward at the start or drawn back at the finish, added to what the body does anyway; null leaves an
 * end as it is.
 */
function withScapula(e: BookEntry, startM: number | null, finishM: number | null): BookEntry {
  const motion = e.motion.length > 0 ? e.motion : [{ at: 0 }, { at: 1 }];
  return {
    ...e,
    motion: motion.map((k, i) => {
      const m = i === 0 ? startM : i === motion.length - 1 ? finishM : null;
      return m === null ? k : { ...k, scapula: { protractionM: m, elevationM: k.scapula?.elevationM ?? 0 } };
    }),
  };
}

/** The movement's own way. */
const own = (e: BookEntry): BookEntry => e;

/** What a side taken does to a movement, by the side's name. */
type Sides = Readonly<Record<string, (e: BookEntry) => BookEntry>>;

/** A question on which practitioners differ: which movements raise it, its sides, and ours for a client's notes. */
interface PracticeRule<S extends Sides> {
  readonly raisedBy: (e: BookEntry) => boolean;
  readonly sides: S;
  /** `finishShare`: resistance at the finish over the peak. */
  readonly preset: (notes: NoteDefaults, finishShare: number) => keyof S & string;
  /** Sides that a client's notes leave out; none where this is missing. */
  readonly without?: (notes: NoteDefaults) => readonly (keyof S & string)[];
  /** Its sides are told apart by the cue, the pace or who helps, also where no number moves. */
  readonly beyondNumbers?: true;
}

const rule = <S extends Sides>(r: PracticeRule<S>): PracticeRule<S> => r;

/** Every question that changes how a movement is set or done, in the order they are asked. */
const RULES = {
  'row-base': rule({
    raisedBy: (e) => e.raises.includes('row-base'),
    sides: {
      'both-feet-down': own,
      'knee-on-bench': (e) => ({ ...e, posture: { kind: 'hand-and-knee' } }),
      'forearm-on-thigh': (e) => ({ ...e, posture: { kind: 'forearm-on-thigh', trunkDeg: 35 } }),
    },
    preset: () => 'both-feet-down',
    without: (notes) => (notes.avoidStraddle ? ['knee-on-bench'] : []),
  }),
  'heavy-row-brace': rule({
    raisedBy: (e) => e.posture.kind === 'forearm-on-thigh',
    sides: { 'own-thigh': own, bench: (e) => ({ ...e, posture: { kind: 'hand-on-bench' } }) },
    preset: () => 'own-thigh',
  }),
  'row-bottom': rule({
    beyondNumbers: true,
    raisedBy: isRow,
    sides: { 'keep-set': own, reach: (e) => withScapula(e, REACH_M, 0) },
    preset: (notes) => (notes.keepBladeSet ? 'keep-set' : 'reach'),
  }),
  'lat-aim': rule({
    beyondNumbers: true,
    raisedBy: (e) => isLatPull(e) && e.group === 'rows',
    sides: {
      'neutral-to-hip': own,
      // Close to the side, elbow a little further back.
      'supinated-tight': (e) =>
        withLastKey(e, (k) => ({ ...k, upper: { azimuthDeg: -88, elevationDeg: k.upper.elevationDeg } })),
      'neutral-to-armpit': (e) => {
        const secondary = e.secondary.filter((r) => r !== 'lat-upper' && r !== 'lat-lower');
        return withLastKey({ ...e, target: 'lat-upper', secondary: ['lat-lower', ...secondary] }, (k) => ({
          ...k,
          upper: { azimuthDeg: -55, elevationDeg: Math.min(80, k.upper.elevationDeg + 18) },
        }));
      },
    },
    preset: () => 'neutral-to-hip',
  }),
  'blades-in-lat-pull': rule({
    beyondNumbers: true,
    raisedBy: isLatPull,
    sides: { quiet: own, 'retract-first': (e) => withScapula(e, null, -RETRACT_M) },
    preset: () => 'quiet',
  }),
  'elbow-past-body': rule({
    raisedBy: (e) => isLatPull(e) && e.load.kind === 'cable' && endsBehind(e),
    sides: {
      // The upper arm stops along the trunk.
      beside: (e) =>
        withLastKey(e, (k) => ({
          ...k,
          upper: { azimuthDeg: k.upper.azimuthDeg, elevationDeg: Math.min(k.upper.elevationDeg, BESIDE_DEG) },
        })),
      'slightly-behind': own,
    },
    preset: (_, finishShare) => (finishShare < REST_AT_TOP ? 'beside' : 'slightly-behind'),
  }),
  'range-top': rule({
    raisedBy: (e) => e.path.kind === 'arm' && e.load.kind !== 'none',
    sides: { full: own, 'stop-at-ninety': (e) => ({ ...e, stopAt: NINE_TENTHS }) },
    preset: (_, finishShare) => (finishShare < REST_AT_TOP ? 'stop-at-ninety' : 'full'),
  }),
  'rear-delt-elbows': rule({
    raisedBy: (e) => e.raises.includes('rear-delt-elbows'),
    sides: { soft: own, locked: (e) => withEveryKey(e, (k) => ({ ...k, fore: k.upper })) },
    preset: () => 'soft',
  }),
  'stretch-depth': rule({
    beyondNumbers: true,
    raisedBy: stretches,
    sides: {
      'to-active-range': own,
      // Never past the active range: that cuts the path whatever is chosen here.
      'deep-paused': (e) => ({ ...e, tempo: withPause(e.tempo) }),
      'constant-tension': (e) => ({ ...e, startAt: Math.max(e.startAt, SHORT_OF_STRETCH) }),
    },
    preset: () => 'to-active-range',
  }),
  'pulldown-legs': rule({
    beyondNumbers: true,
    raisedBy: (e) => e.legs !== null,
    sides: { locked: own, free: (e) => ({ ...e, legs: 'free' }) },
    preset: () => 'locked',
  }),
  'last-reps': rule({
    beyondNumbers: true,
    raisedBy: isTraining,
    sides: { strict: own, 'little-help': own },
    preset: () => 'strict',
  }),
  breathing: rule({
    beyondNumbers: true,
    raisedBy: isTraining,
    sides: { 'out-on-effort': own, 'in-on-pull': own },
    preset: () => 'out-on-effort',
  }),
  'set-order': rule({
    beyondNumbers: true,
    raisedBy: (e) => isTraining(e) && e.hands === 'one',
    sides: { straight: own, alternate: own },
    preset: () => 'straight',
  }),
  'side-raise-hand': rule({
    beyondNumbers: true,
    raisedBy: (e) => e.target === 'deltoid-side',
    sides: {
      level: own,
      'little-finger-up': (e) => ({ ...e, secondary: e.secondary.filter((r) => r !== 'deltoid-front') }),
      'thumb-up': (e) => ({
        ...e,
        secondary: ['deltoid-front', ...e.secondary.filter((r) => r !== 'deltoid-front')],
      }),
    },
    preset: (notes) => (notes.stopLevel ? 'thumb-up' : 'level'),
  }),
  'handle-place': rule({
    beyondNumbers: true,
    raisedBy: hasHandlePlace,
    sides: {
      middle: own,
      'thumb-side': (e) => ({ ...e, handlePlace: 'thumb-side' }),
      'little-finger-side': (e) => ({ ...e, handlePlace: 'little-finger-side' }),
    },
    preset: () => 'middle',
  }),
} as const;

type Rules = typeof RULES;
/** A question on which practitioners differ. */
export type PracticeQuestion = keyof Rules;
/** The sides of a question. */
export type PracticeSide<Q extends PracticeQuestion = PracticeQuestion> = keyof Rules[Q]['sides'] & string;

/** Sides taken where practitioners differ; a question left out is answered by the movement's own way. */
export type PracticeChoice = { readonly [Q in PracticeQuestion]?: PracticeSide<Q> | undefined };

/** Every question on which practitioners differ. */
export const PRACTICE_QUESTIONS = Object.keys(RULES) as readonly PracticeQuestion[];

/** Rules by question, where the question is only known while running. */
const ruleOf = (question: PracticeQuestion): PracticeRule<Sides> => RULES[question] as unknown as PracticeRule<Sides>;

/** Every side of a question. */
export const sidesOfPractice = (question: PracticeQuestion): readonly string[] => Object.keys(ruleOf(question).sides);

/** The side of a question that leaves a movement as the book has it. */
export const ownSideOf = (question: PracticeQuestion): string =>
  Object.entries(ruleOf(question).sides).find(([, change]) => change === own)![0];

/** Our sides of a question for a client's notes: one, or two where the curve of the movement decides between them. */
export function presetsOf(question: PracticeQuestion, notes: readonly ClientNote[]): readonly string[] {
  const { preset } = ruleOf(question);
  return [...new Set([0, 1].map((finishShare) => preset(noteDefaults(notes), finishShare)))];
}

/** Whether a question is worth asking whatever it changes in the numbers. */
export const asksBeyondNumbers = (question: PracticeQuestion): boolean => ruleOf(question).beyondNumbers === true;

/** One question asked of a movement: the sides there are for this client, and the one that is ours. */
export interface Practice {
  readonly question: PracticeQuestion;
  readonly options: readonly string[];
  readonly preset: string;
}

/**
 * Questions that a movement raises, with our side for a client's notes; `finishShare` is its resistance at the finish
 * over the peak.
 */
export function practicesOf(e: BookEntry, notes: readonly ClientNote[], finishShare: number): readonly Practice[] {
  const noted = noteDefaults(notes);
  return PRACTICE_QUESTIONS.flatMap((question): Practice[] => {
    const { raisedBy, preset, without } = ruleOf(question);
    if (!raisedBy(e)) return [];
    const left = without?.(noted) ?? [];
    const options = sidesOfPractice(question).filter((side) => !left.includes(side));
    return [{ question, options, preset: preset(noted, finishShare) }];
  });
}

/** The movement with one side taken. Throws for a side that the question does not have. */
function withSide(e: BookEntry, question: PracticeQuestion, side: string): BookEntry {
  const change = ruleOf(question).sides[side];
  if (!change) throw new Error(`practice: ${question} has no side ${side}`);
  return change(e);
}

/** Sides of the questions that a movement raises: one that an older version kept of another question is left out. */
export const raisedSides = (e: BookEntry, chosen: PracticeChoice): PracticeChoice =>
  Object.fromEntries(Object.entries(chosen).filter(([q]) => ruleOf(q as PracticeQuestion).raisedBy(e)));

/** A movement with all sides taken of what it raises, in the order the questions are asked. */
export function withPractices(e: BookEntry, chosen: PracticeChoice): BookEntry {
  const sides = raisedSides(e, chosen);
  return PRACTICE_QUESTIONS.reduce((was, q) => {
    const side = sides[q];
    return side === undefined ? was : withSide(was, q, side);
  }, e);
}

import { noteDefaults, type ClientNote } from '@/core/body/client-note';
import type { ArmKey } from '@/core/movement/keyframes';
import type { BookEntry } from './book-entry';

/** Questions on which practitioners differ and that change how a movement is set or done. */
export const SCHOOL_QUESTIONS = [
  'row-base',
  'heavy-row-brace',
  'row-bottom',
  'lat-aim',
  'range-top',
  'rear-delt-elbows',
  'side-raise-hand',
  'blades-in-lat-pull',
  'elbow-past-body',
  'stretch-depth',
  'pulldown-legs',
  'last-reps',
  'breathing',
  'set-order',
] as const;
export type SchoolQuestion = (typeof SCHOOL_QUESTIONS)[number];

/** One question asked of a movement: its sides, and the one that is ours for this client. */
export interface School {
  readonly question: SchoolQuestion;
  readonly options: readonly string[];
  readonly preset: string;
}

export type SchoolChoice = Partial<Readonly<Record<SchoolQuestion, string>>>;

/** Part of its range that a movement keeps when it stops before the rest zone (common practice: about 90 %). */
const NINE_TENTHS = 0.9;
/** Resistance at the finish below this share of the peak: stop before it. */
const REST_AT_TOP = 0.25;
/** How far the blade reaches and is drawn back, metres (our judgement; a few centimetres). */
const REACH_M = 0.03;
const RETRACT_M = 0.02;

/** The part of its range that constant tension leaves out at the stretch (our judgement). */
const SHORT_OF_STRETCH = 0.08;

/** Movements whose stretch is loaded and can be shortened: arms that reach. */
const stretches = (e: BookEntry): boolean =>
  e.path.kind === 'arm' && (e.wantedPeak === 'lengthened' || isLatPull(e)) && e.loadedFrom === null;
/** Two seconds held in the stretch. */
const withPause = (tempo: string): string =>
  tempo
    .split('-')
    .map((p, i) => (i === 1 && Number(p) < 2 ? '2' : p))
    .join('-');
const isRow = (e: BookEntry): boolean => e.group === 'rows' && e.id !== 'strap-row';
const isLatPull = (e: BookEntry): boolean =>
  (e.group === 'rows' || e.group === 'pulldowns') &&
  (e.target === 'lat-lower' || e.target === 'lat-upper') &&
  e.action !== 'trunk.extension';

/**
 * Questions that a movement raises, with our side for a client's notes; `finishShare` is its resistance at the finish
 * over the peak.
 */
export function schoolsOf(e: BookEntry, notes: readonly ClientNote[], finishShare: number): readonly School[] {
  const d = noteDefaults(notes);
  const schools: School[] = [];
  const ask = (when: boolean, question: SchoolQuestion, options: readonly string[], preset: string): void =>
    void (when && schools.push({ question, options, preset }));
  ask(
    e.id === 'dumbbell-row-one-arm',
    'row-base',
    ['both-feet-down', 'knee-on-bench', 'forearm-on-thigh'],
    'both-feet-down',
  );
  ask(e.posture.kind === 'forearm-on-thigh', 'heavy-row-brace', ['own-thigh', 'bench'], 'own-thigh');
  ask(isRow(e), 'row-bottom', ['keep-set', 'reach'], d.keepBladeSet ? 'keep-set' : 'reach');
  ask(
    isLatPull(e) && e.group === 'rows',
    'lat-aim',
    ['neutral-to-hip', 'supinated-tight', 'neutral-to-armpit'],
    'neutral-to-hip',
  );
  ask(isLatPull(e), 'blades-in-lat-pull', ['quiet', 'retract-first'], 'quiet');
  ask(
    isLatPull(e) && e.load.kind === 'cable',
    'elbow-past-body',
    ['beside', 'slightly-behind'],
    finishShare < REST_AT_TOP ? 'beside' : 'slightly-behind',
  );
  ask(
    e.path.kind === 'arm' && e.load.kind !== 'none',
    'range-top',
    ['full', 'stop-at-ninety'],
    finishShare < REST_AT_TOP ? 'stop-at-ninety' : 'full',
  );
  ask(
    e.target === 'deltoid-rear' &&
      e.action === 'shoulder.horizontalAbduction' &&
      e.load.kind === 'cable' &&
      e.id !== 'rear-delt-cable-row',
    'rear-delt-elbows',
    ['soft', 'locked'],
    'soft',
  );
  ask(stretches(e), 'stretch-depth', ['to-active-range', 'deep-paused', 'constant-tension'], 'to-active-range');
  ask(e.legs !== null, 'pulldown-legs', ['locked', 'free'], 'locked');
  ask(e.group !== 'before', 'last-reps', ['strict', 'little-help'], 'strict');
  ask(e.group !== 'before', 'breathing', ['out-on-effort', 'in-on-pull'], 'out-on-effort');
  ask(e.group !== 'before' && e.hands === 'one', 'set-order', ['straight', 'alternate'], 'straight');
  ask(
    e.target === 'deltoid-side',
    'side-raise-hand',
    ['level', 'little-finger-up', 'thumb-up'],
    d.stopLevel ? 'thumb-up' : 'level',
  );
  return schools;
}

const mapKeys = (e: BookEntry, change: (k: ArmKey, i: number, last: number) => ArmKey): BookEntry =>
  e.path.kind === 'arm'
    ? { ...e, path: { ...e.path, keys: e.path.keys.map((k, i, all) => change(k, i, all.length - 1)) } }
    : e;

/** The movement as a school does it; an option that is the entry's own way changes nothing. */
function withOption(e: BookEntry, question: SchoolQuestion, option: string): BookEntry {
  switch (`${question}/${option}`) {
    case 'row-base/knee-on-bench':
      return { ...e, posture: { kind: 'hand-and-knee' } };
    case 'row-base/forearm-on-thigh':
      return { ...e, posture: { kind: 'forearm-on-thigh', trunkDeg: 35 } };
    case 'heavy-row-brace/bench':
      return { ...e, posture: { kind: 'hand-on-bench' } };
    case 'row-bottom/reach':
      return { ...e, motion: withScapula(e, REACH_M, 0) };
    case 'blades-in-lat-pull/retract-first':
      return { ...e, motion: withScapula(e, null, -RETRACT_M) };
    case 'lat-aim/supinated-tight':
      // Close to the side, elbow a little further back.
      return mapKeys(e, (k, i, last) =>
        i === last ? { ...k, upper: { azimuthDeg: -88, elevationDeg: k.upper.elevationDeg } } : k,
      );
    case 'lat-aim/neutral-to-armpit':
      return mapKeys(
        {
          ...e,
          target: 'lat-upper',
          secondary: ['lat-lower', ...e.secondary.filter((r) => r !== 'lat-upper' && r !== 'lat-lower')],
        },
        (k, i, last) =>
          i === last ? { ...k, upper: { azimuthDeg: -55, elevationDeg: Math.min(80, k.upper.elevationDeg + 18) } } : k,
      );
    case 'elbow-past-body/beside':
      // The upper arm stops along the trunk.
      return mapKeys(e, (k, i, last) =>
        i === last
          ? { ...k, upper: { azimuthDeg: k.upper.azimuthDeg, elevationDeg: Math.min(k.upper.elevationDeg, 6) } }
          : k,
      );
    case 'range-top/stop-at-ninety':
      return { ...e, stopAt: NINE_TENTHS };
    case 'rear-delt-elbows/locked':
      return mapKeys(e, (k) => ({ ...k, fore: k.upper }));
    case 'stretch-depth/deep-paused':
      // Never past the active range: that cuts the path whatever a school says.
      return { ...e, tempo: withPause(e.tempo) };
    case 'stretch-depth/constant-tension':
      return { ...e, startAt: Math.max(e.startAt, SHORT_OF_STRETCH) };
    case 'pulldown-legs/free':
      return { ...e, legs: 'free' };
    case 'side-raise-hand/thumb-up':
      return { ...e, secondary: ['deltoid-front', ...e.secondary.filter((r) => r !== 'deltoid-front')] };
    case 'side-raise-hand/little-finger-up':
      return { ...e, secondary: e.secondary.filter((r) => r !== 'deltoid-front') };
    default:
      return e;
  }
}

/**
 * Shoulder girdle forward at the start or drawn back at the finish, added to what the body does anyway; null leaves an
 * end as it is.
 */
function withScapula(e: BookEntry, startM: number | null, finishM: number | null): BookEntry['motion'] {
  const motion = e.motion.length > 0 ? e.motion : [{ at: 0 }, { at: 1 }];
  return motion.map((k, i) => {
    const m = i === 0 ? startM : i === motion.length - 1 ? finishM : null;
    return m === null ? k : { ...k, scapula: { protractionM: m, elevationM: k.scapula?.elevationM ?? 0 } };
  });
}

/** A movement with all choices made, in the order the questions are asked. */
export const withSchools = (e: BookEntry, chosen: SchoolChoice): BookEntry =>
  SCHOOL_QUESTIONS.reduce((was, q) => (chosen[q] === undefined ? was : withOption(was, q, chosen[q])), e);

import type { PeakTarget } from '@/core/movement/peak-target';
import type { FrontFoot } from '@/core/movement/sweep-path';
import { withArmPath } from './arm-path';
import type { FootPlace } from './foot-place';
import type { BookEntry, Grip, RuledSetting } from './book-entry';
import { fittedTiltDeg, NO_FIT, type ClientFit } from './client-fit';
import { lowerArm, tuckArm } from './bend-arm';
import { PRACTICE_QUESTIONS, withPractices, type PracticeChoice } from './practice';

/** What a trainer can choose of a movement. Null: the movement's own, fitted to the client where it can be. */
export interface EntryOptions {
  readonly peak: PeakTarget;
  /** Fall of a sweep ahead of the client, degrees; 0 for other paths. */
  readonly tiltDeg: number;
  readonly frontFoot: FrontFoot;
  readonly practices: PracticeChoice;
  readonly grip: Grip | null;
  /** How far below shoulder level the arm path ends behind the body, degrees; rear-deltoid pulls. */
  readonly armPathDeg: number | null;
  /** Upper arm nearer to the side at the finish (positive) or further out, degrees. */
  readonly tuckDeg: number;
  /** Hand to hand on a bar, metres; null for the movement's own rule. */
  readonly gripWidthM: number | null;
  /** Place of the feet on a leg press plate; null for the middle. */
  readonly feet: FootPlace | null;
  /** Height of the pins that a bar starts from, metres; null for mid shin. */
  readonly pinM: number | null;
  /** Lean back on straps, degrees from upright; null for the movement's own. */
  readonly leanDeg: number | null;
  /** Angle of the bench's back instead of the rule's, degrees above level. */
  readonly backDeg: number | null;
  /** Hole of the seat, or of the back pad that puts the knee to the axis, instead of the fitted one. */
  readonly seatHole: number | null;
  /** Range stops, shares of the movement's own range. */
  readonly startAt: number;
  readonly stopAt: number;
}

/** A movement's own choices, fitted to a client. */
export const usualOptions = (e: BookEntry, fit: ClientFit = NO_FIT): EntryOptions => ({
  peak: e.peakTarget,
  tiltDeg: fittedTiltDeg(e, fit),
  frontFoot: 'left',
  practices: {},
  grip: null,
  armPathDeg: null,
  tuckDeg: 0,
  gripWidthM: null,
  feet: null,
  pinM: null,
  leanDeg: null,
  backDeg: null,
  seatHole: null,
  startAt: e.startAt,
  stopAt: e.stopAt,
});

/**
 * How much a grip turns the elbow towards the side, degrees: pronated grips bring it higher, supinated lower (common
 * practice; the size is our judgement).
 */
const GRIP_TUCK_DEG: Readonly<Record<Grip, number>> = { pronated: -15, neutral: 0, supinated: 12 };

const isPull = (e: BookEntry): boolean => e.group === 'rows' || e.group === 'pulldowns';

/** A movement with another grip than its own: in pulls the elbow rises or sinks over the range. */
function withGrip(e: BookEntry, grip: Grip): BookEntry {
  const own = e.grips[0];
  const turned = { ...e, grips: [grip, ...e.grips.filter((g) => g !== grip)] };
  if (!own || own === grip || !isPull(e) || e.path.kind !== 'arm') return turned;
  // The hand keeps its way; at the start the arm is long whatever the grip.
  return tuckArm(turned, GRIP_TUCK_DEG[grip] - GRIP_TUCK_DEG[own], true);
}

/** Whether a movement sets a bench’s notch. */
export const hasNotch = (e: BookEntry): boolean => e.ruled.some((r) => r.setting === 'notch' && r.wantDeg !== null);
/** Whether a movement sets a seat. */
export const hasSeatHole = (e: BookEntry): boolean => e.ruled.some(isSeat);
const isSeat = (r: RuledSetting): boolean => r.setting === 'seatHole' || r.setting === 'backHole';

/** Whether a movement stands its feet on a plate. */
export const hasFeet = ({ load }: BookEntry): boolean => load.kind === 'machine' && load.machine === 'leg-press';
/** Whether a movement leans on straps. */
export const hasLean = ({ load }: BookEntry): boolean => load.kind === 'body' && load.on === 'straps';

/** Whether a movement starts from pins. */
export const hasPins = (e: BookEntry): boolean => e.ruled.some((r) => r.setting === 'pinM');

/** The movement with its feet elsewhere on the plate, another lean on its straps, or other pins. */
function withStance(e: BookEntry, { feet, leanDeg, pinM }: Pick<EntryOptions, 'feet' | 'leanDeg' | 'pinM'>): BookEntry {
  const { load } = e;
  if (feet !== null && load.kind === 'machine' && hasFeet(e)) return { ...e, load: { ...load, feet } };
  if (pinM !== null) return { ...e, ruled: e.ruled.map((r) => (r.setting === 'pinM' ? { ...r, pinM } : r)) };
  if (leanDeg !== null && load.kind === 'body' && load.on === 'straps') return { ...e, load: { ...load, leanDeg } };
  return e;
}

/** The movement with the bench's back at another angle than the rule's: body or arm follows it. */
function withBack(e: BookEntry, backDeg: number): BookEntry {
  const rule = e.ruled.find((r) => r.setting === 'notch')?.wantDeg;
  if (rule == null) return e;
  const own = {
    ...e,
    ruled: e.ruled.map((r) => (r.setting === 'notch' ? { ...r, wantDeg: backDeg, ruleDeg: rule } : r)),
  };
  if (own.posture.kind === 'lying' || own.posture.kind === 'seated')
    return { ...own, posture: { ...own.posture, backDeg } };
  return own.armOn === 'bench' ? lowerArm(own, () => backDeg - rule) : own;
}

/** The movement with the seat, or the back pad, as it stands. */
const withSeat = (e: BookEntry, hole: number): BookEntry => ({
  ...e,
  ruled: e.ruled.map((r) => (isSeat(r) ? { ...r, atHole: hole } : r)),
});

/**
 * The movement as chosen: practices, grip, arm path, tuck and range stops. Wanted peak and sweep are the solver's own.
 */
export function withOptions(e: BookEntry, o: EntryOptions): BookEntry {
  let own = withPractices(e, o.practices);
  if (o.grip !== null) own = withGrip(own, o.grip);
  if (o.armPathDeg !== null) own = withArmPath(own, o.armPathDeg);
  own = tuckArm(own, o.tuckDeg);
  if (o.backDeg !== null) own = withBack(own, o.backDeg);
  own = withStance(own, o);
  if (o.seatHole !== null) own = withSeat(own, o.seatHole);
  const stopAt = Math.min(own.stopAt, o.stopAt);
  return { ...own, startAt: Math.max(own.startAt, o.startAt), stopAt, peakTarget: o.peak };
}

/** A client's fit, less what was chosen by hand for this movement. */
export const fitUnder = (fit: ClientFit, o: EntryOptions): ClientFit =>
  o.armPathDeg === null ? fit : { ...fit, armPathDeg: {} };

const samePractices = (a: PracticeChoice, b: PracticeChoice): boolean =>
  PRACTICE_QUESTIONS.every((question) => a[question] === b[question]);

/** The same choices, whatever order they were written down in. */
export const sameOptions = (a: EntryOptions, b: EntryOptions): boolean =>
  samePractices(a.practices, b.practices) &&
  (Object.keys(a) as (keyof EntryOptions)[]).every((key) => key === 'practices' || a[key] === b[key]);

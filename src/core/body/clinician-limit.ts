import type { LoadedPart, LoadLimitsKg } from './loaded-part';
import { SIDES, type Side } from './side';
import { type ActiveRangeDeg, type RangeName } from './active-range';

/** Limits on a load by what it comes on. */
export const LOAD_SUBJECTS = ['load-in-hand', 'load-on-leg', 'load-on-spine'] as const;
/** A load by what it comes on. */
export type LoadSubject = (typeof LOAD_SUBJECTS)[number];

/** What a limit is set on: a joint motion in degrees, or a load in kilograms on what it comes on. */
export type LimitSubject = RangeName | LoadSubject;

/** The limit on a load that comes on a part. */
const SUBJECT_OF: Readonly<Record<LoadedPart, LoadSubject>> = {
  hand: 'load-in-hand',
  leg: 'load-on-leg',
  spine: 'load-on-spine',
};

const isLoad = (subject: LimitSubject): subject is LoadSubject =>
  (LOAD_SUBJECTS as readonly string[]).includes(subject);

/** A limit named by a clinician. Nothing that is solved, planned or set may go past it while it stands. */
export interface ClinicianLimit {
  readonly subject: LimitSubject;
  readonly side: Side | 'both';
  /** Degrees for a motion, kilograms for a load. */
  readonly most: number;
  /** Role of who set it ("physiotherapist"), not a name. */
  readonly setBy: string;
  /** Calendar days as whole numbers since 1970; the last day counts. Null: until it is lifted. */
  readonly fromDay: number;
  readonly untilDay: number | null;
}

/** A day in milliseconds. */
export const DAY_MS = 86_400_000;

/** Limits in force on a day. */
export const limitsOn = (limits: readonly ClinicianLimit[], day: number): ClinicianLimit[] =>
  limits.filter((l) => l.fromDay <= day && (l.untilDay === null || day <= l.untilDay));

/** The joint limits in force as a range. */
export function limitRange(limits: readonly ClinicianLimit[]): ActiveRangeDeg {
  const range: Record<Side, Partial<Record<RangeName, number>>> = { left: {}, right: {} };
  for (const l of limits) {
    if (isLoad(l.subject)) continue;
    for (const side of SIDES) {
      if (l.side !== 'both' && l.side !== side) continue;
      range[side][l.subject] = Math.min(range[side][l.subject] ?? Infinity, l.most);
    }
  }
  return range;
}

/** Whether a limit holds for one of the sides that work. */
const holdsFor = (l: ClinicianLimit, sides: readonly Side[]): boolean => l.side === 'both' || sides.includes(l.side);

/** Most load allowed on each part while these sides work, kilograms. */
export function loadLimits(limits: readonly ClinicianLimit[], sides: readonly Side[]): LoadLimitsKg {
  const mostOn = (part: LoadedPart): number | null => {
    const own = limits.filter((l) => l.subject === SUBJECT_OF[part] && holdsFor(l, sides)).map((l) => l.most);
    return own.length > 0 ? Math.min(...own) : null;
  };
  return { hand: mostOn('hand'), leg: mostOn('leg'), spine: mostOn('spine') };
}

/**
 * Whether a clinician's limit covers what is done: one on a load that comes on these parts, or on a motion of the joint
 * that works, on a side that works.
 */
export const isCovered = (
  limits: readonly ClinicianLimit[],
  sides: readonly Side[],
  parts: readonly LoadedPart[],
  joint: string,
): boolean =>
  limits.some(
    (l) =>
      holdsFor(l, sides) && (parts.some((part) => SUBJECT_OF[part] === l.subject) || l.subject.startsWith(`${joint}.`)),
  );

import { SIDES, type ActiveRangeDeg, type RangeName, type Side } from './active-range';

/** What a limit is set on: a joint motion in degrees, or the load in hand in kilograms. */
export type LimitSubject = RangeName | 'load';

/** A limit named by a clinician. Nothing that is solved, planned or set may go past it while it stands. */
export interface ClinicianLimit {
  readonly subject: LimitSubject;
  readonly side: Side | 'both';
  /** Degrees for a motion, kilograms for the load. */
  readonly most: number;
  /** Role of who set it ("physiotherapist"), not a name. */
  readonly setBy: string;
  /** Calendar days as whole numbers since 1970; the last day counts. Null: until it is lifted. */
  readonly fromDay: number;
  readonly untilDay: number | null;
}

export const DAY_MS = 86_400_000;

/** Limits in force on a day. */
export const limitsOn = (limits: readonly ClinicianLimit[], day: number): ClinicianLimit[] =>
  limits.filter((l) => l.fromDay <= day && (l.untilDay === null || day <= l.untilDay));

/** The joint limits in force as a range. */
export function limitRange(limits: readonly ClinicianLimit[]): ActiveRangeDeg {
  const range: Record<Side, Partial<Record<RangeName, number>>> = { left: {}, right: {} };
  for (const l of limits) {
    if (l.subject === 'load') continue;
    for (const side of SIDES) {
      if (l.side !== 'both' && l.side !== side) continue;
      range[side][l.subject] = Math.min(range[side][l.subject] ?? Infinity, l.most);
    }
  }
  return range;
}

/** Most load in hand allowed on the working sides, kilograms; null when none is limited. */
export function mostLoadKg(limits: readonly ClinicianLimit[], sides: readonly Side[]): number | null {
  const most = limits
    .filter((l) => l.subject === 'load' && (l.side === 'both' || sides.includes(l.side)))
    .map((l) => l.most);
  return most.length > 0 ? Math.min(...most) : null;
}

import type { Side } from './side';

interface Motion {
  /** AAOS norm, degrees. */
  readonly normDeg: number;
  /** Widest entry accepted, degrees: beyond it the goniometer was misread. */
  readonly maxDeg: number;
}

/**
 * Joint motions whose active range limits movements, with the norms of the American Academy of Orthopaedic Surgeons'
 * table. Horizontal adduction is 130 or 135 by edition; horizontal abduction (about 45) is remembered, editions differ.
 */
const MOTION = {
  'shoulder.flexion': { normDeg: 180, maxDeg: 200 },
  'shoulder.extension': { normDeg: 60, maxDeg: 100 },
  'shoulder.abduction': { normDeg: 180, maxDeg: 200 },
  'shoulder.externalRotation': { normDeg: 90, maxDeg: 130 },
  'shoulder.internalRotation': { normDeg: 70, maxDeg: 120 },
  'shoulder.horizontalAbduction': { normDeg: 45, maxDeg: 80 },
  'shoulder.horizontalAdduction': { normDeg: 130, maxDeg: 160 },
  'elbow.flexion': { normDeg: 150, maxDeg: 165 },
  'forearm.pronation': { normDeg: 80, maxDeg: 110 },
  'forearm.supination': { normDeg: 80, maxDeg: 110 },
  'hip.flexion': { normDeg: 120, maxDeg: 150 },
  'knee.flexion': { normDeg: 135, maxDeg: 165 },
} as const satisfies Record<string, Motion>;

/** A motion of a joint that can be measured. */
export type RangeName = keyof typeof MOTION;
/** Every motion that can be measured. */
export const RANGE_NAMES = Object.keys(MOTION) as RangeName[];
/** What a motion usually reaches, degrees. */
export const RANGE_NORM_DEG = Object.fromEntries(RANGE_NAMES.map((n) => [n, MOTION[n].normDeg])) as Readonly<
  Record<RangeName, number>
>;
/** The most that is taken for a reading, degrees. */
export const RANGE_MAX_DEG = Object.fromEntries(RANGE_NAMES.map((n) => [n, MOTION[n].maxDeg])) as Readonly<
  Record<RangeName, number>
>;

/**
 * Active range per side in degrees, as the trainer measured it. Horizontal abduction counts behind the line straight
 * out to the side, horizontal adduction in front of it and across.
 */
export type ActiveRangeDeg = Readonly<Partial<Record<Side, Readonly<Partial<Record<RangeName, number>>>>>>;

/** The narrower of two ranges, motion by motion: what is measured and what is allowed. */
export function narrower(a: ActiveRangeDeg, b: ActiveRangeDeg): ActiveRangeDeg {
  const side = (s: Side) =>
    Object.fromEntries(
      RANGE_NAMES.flatMap((n) => {
        const known = [a[s]?.[n], b[s]?.[n]].filter((v) => v !== undefined);
        return known.length > 0 ? [[n, Math.min(...known)]] : [];
      }),
    );
  return { left: side('left'), right: side('right') };
}

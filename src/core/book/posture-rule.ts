import type { Body } from '@/core/body/body-model';
import { STAGGER_SHARE } from '@/core/body/pose-legs';
import type { Lean, Posture } from '@/core/body/posture';
import { poseBody } from '@/core/body/pose-body';
import { HIP_OVER_SEAT, SEATED_RATIO } from '@/core/body/segment-ratios';
import type { PreacherBench } from '@/core/kit/machine';
import { bisect } from '@/core/units/bisect';
import { otherSide, type Side } from '@/core/body/side';
import type { FreeRule, PostureRule, Stance } from './book-entry';

/** Heights of the surfaces in use, metres. */
export interface Surfaces {
  readonly benchHeightM: number;
  /** A low seat for rows at a column. */
  readonly lowSeatM: number;
  readonly handlesOnFloorM: number;
}

/** What a gym usually has (common practice), where nothing is measured. */
export const USUAL_SURFACES: Surfaces = { benchHeightM: 0.45, lowSeatM: 0.3, handlesOnFloorM: 0.08 };

/** Top edge of a preacher's pad that is not measured, metres (common practice). */
const USUAL_PAD_TOP_M = 0.98;
/** Knees of somebody who bends over a pad, and the flattest trunk before the knees bend further, degrees. */
const STOOP_KNEES_DEG = 30;
const STOOP_DEG = 40;
/** Armpit below the shoulder joint along the trunk, share of stature (remembered, as `SEATED_RATIO`). */
const ARMPIT_BELOW = SEATED_RATIO.seatedShoulder - SEATED_RATIO.seatedArmpit;

/**
 * Standing behind a pad: the trunk bends over it until the armpit is level with its top edge, and where that is not
 * enough the knees bend as well. Bisection.
 */
function stoopedOver(padTopM: number, body: Body): Posture {
  const posture = (trunkDeg: number, kneeFlexionDeg: number): Posture => ({ kind: 'hinged', trunkDeg, kneeFlexionDeg });
  const under = (p: Posture): boolean => {
    const { shoulder, trunkFrame } = poseBody(body, p);
    return shoulder.right[1] - ARMPIT_BELOW * body.statureM * trunkFrame.y[1] < padTopM;
  };
  return under(posture(STOOP_DEG, STOOP_KNEES_DEG))
    ? posture(
        bisect(STOOP_DEG, 90, (deg) => under(posture(deg, STOOP_KNEES_DEG))),
        STOOP_KNEES_DEG,
      )
    : posture(
        STOOP_DEG,
        bisect(STOOP_KNEES_DEG, 110, (deg) => !under(posture(STOOP_DEG, deg))),
      );
}

const leanOf = (stance: Stance | undefined): { readonly lean?: Lean } => (stance ? { lean: stance.lean } : {});

/** Feet apart by a movement's own distance, or further as the stance asks: a mark of whole 5 cm then. */
const further = (ownM: number, stance: Stance | undefined): number =>
  stance?.furtherM ? Math.round((ownM + stance.furtherM) / MARK_M) * MARK_M : ownM;
const MARK_M = 0.05;

/** One foot ahead of the other, as far as the stance has it. */
export const staggered = (body: Body, frontFoot: Side, stance: Stance | undefined): Posture => ({
  kind: 'staggered',
  frontFoot,
  stepM: further(STAGGER_SHARE * body.statureM, stance),
  ...leanOf(stance),
});

/** A body that feet and knees alone hold, in the stance that stands its load. */
function onFeetOrKnees(rule: FreeRule, working: Side, body: Body): Posture {
  const free = otherSide(working);
  switch (rule.kind) {
    case 'standing':
      return rule.stance?.furtherM
        ? { kind: 'staggered', frontFoot: free, stepM: rule.stance.furtherM, ...leanOf(rule.stance) }
        : { kind: 'standing', kneeFlexionDeg: rule.kneeFlexionDeg ?? 8, ...leanOf(rule.stance) };
    case 'staggered':
      return staggered(body, free, rule.stance);
    case 'wide':
      return {
        kind: 'wide',
        widthM: further(0.42 * body.statureM, rule.stance),
        ...leanOf(rule.stance),
      };
    case 'hinged':
      return { kind: 'hinged', trunkDeg: rule.trunkDeg, kneeFlexionDeg: 20, ...leanOf(rule.stance) };
    case 'half-kneeling':
      return { kind: 'half-kneeling', kneeDown: rule.down === 'working' ? working : free, ...leanOf(rule.stance) };
    case 'tall-kneeling':
      return { kind: 'tall-kneeling', ...leanOf(rule.stance) };
  }
}

/** The posture of a rule for a working side on these surfaces. */
export function toPosture(
  rule: PostureRule,
  working: Side,
  { surfaces: at, preacher }: { readonly surfaces: Surfaces; readonly preacher: PreacherBench | null },
  body: Body,
): Posture {
  const free = otherSide(working);
  switch (rule.kind) {
    case 'standing':
    case 'staggered':
    case 'wide':
    case 'hinged':
    case 'half-kneeling':
    case 'tall-kneeling':
      return onFeetOrKnees(rule, working, body);
    case 'stooped':
      return stoopedOver(preacher?.padTopM ?? USUAL_PAD_TOP_M, body);
    case 'hip-pad':
      return { kind: 'hip-pad', trunkDeg: rule.legDeg, legDeg: rule.legDeg };
    case 'seated':
      return {
        kind: 'seated',
        seatHeightM: rule.on === 'bench' ? at.benchHeightM : rule.on === 'low' ? at.lowSeatM : 0,
        backDeg: rule.backDeg,
      };
    case 'lying':
      return {
        kind: 'lying',
        on: rule.on === 'free-side' ? free : rule.on,
        surfaceHeightM: at.benchHeightM,
        backDeg: rule.backDeg,
      };
    case 'hand-and-knee':
      return { kind: 'hand-and-knee', benchHeightM: at.benchHeightM, support: free };
    case 'hand-on-bench':
      return { kind: 'hand-on-bench', benchHeightM: at.benchHeightM, support: free, kneeFlexionDeg: 20 };
    case 'forearm-on-thigh':
      return { kind: 'forearm-on-thigh', support: free, trunkDeg: rule.trunkDeg };
    case 'plank':
      return { kind: 'plank', handHeightM: at.handlesOnFloorM };
    case 'hanging':
      // High enough for the feet to swing free.
      return { kind: 'hanging', barHeightM: 1.34 * body.statureM };
    case 'leg-machine':
      return {
        kind: 'leg-machine',
        seatHeightM: at.benchHeightM + (0.05 - HIP_OVER_SEAT) * body.statureM,
        backDeg: rule.backDeg,
        thighDeg: 90 - rule.backDeg,
        kneeFlexionDeg: 90,
      };
  }
}

import type { Body } from '@/core/body/body-model';
import { CENTRE_ALONG, leanM } from '@/core/body/lean';
import { centreOfMass, type ArmPoints } from '@/core/body/centre-of-mass';
import type { BodyPose } from '@/core/body/posture';
import { SIDES, type Side } from '@/core/body/side';
import { between, type Vec3 } from '@/core/geometry/vector';
import type { LoadSamples } from '@/core/mechanics/load';
import { kneesDown, pressureAt, standingMargin, supportOf, type Spot, type Standing } from '@/core/mechanics/standing';
import type { ChainPath } from '@/core/movement/chain-path';
import { clampedAsin, toDeg } from '@/core/units/angle';
import { GRAVITY_MS2 } from '@/core/units/mass';

/** A working limb with what acts on its hand over the range. */
interface LoadedLimb {
  readonly path: ChainPath;
  readonly load: LoadSamples;
}

/** A load that is stood: the body over the range, its working limbs, and what is set, kilograms. */
export interface StoodLoad {
  readonly body: Body;
  readonly poseAt: (i: number) => BodyPose;
  readonly limbs: readonly LoadedLimb[];
  readonly loadKg: number;
  /** One arm works and the other one is free to hold on. */
  readonly freeHand: boolean;
}

/**
 * Least distance from tipping as drawn, the load that this carries, kilograms (null where it is far off), before it
 * tips or slips, and what else would stand it, 0 where it stands: a lean of the whole body against the pull, degrees,
 * feet further that way, metres, or a free hand that holds on, newtons (null without one).
 */
export interface StandingReason {
  readonly code: 'standing';
  readonly marginM: number;
  readonly mostKg: number | null;
  readonly slips: boolean;
  /** Knees on the floor: none stands, one half-kneels. */
  readonly kneesDown: number;
  readonly leanDeg: number;
  readonly splitM: number;
  readonly holdN: number | null;
}

/** Most that the supporting hand presses on its bench over the rep, newtons. */
export interface BraceReason {
  readonly code: 'brace';
  readonly pressN: number;
}

/** What is kept inside the edge, metres (our judgement). */
export const BALANCE_M = 0.02;
/** A free hand holds on to a column at about the height of the chest, share of stature (our judgement). */
const HOLD_SHARE = 0.72;
/** Samples at which a stance is looked at. */
export const STOOD_AT = [0, 10, 20, 30, 40] as const;

/** The body and what acts on its hands at a sample, stand frame. */
export function momentAt({ body, poseAt, limbs }: StoodLoad, i: number): Standing {
  const pose = poseAt(i);
  const arms: Partial<Record<Side, ArmPoints>> = {};
  if (pose.supportArm) arms[pose.supportArm.side] = { elbow: pose.supportArm.elbow, wrist: pose.supportArm.hand };
  for (const { path } of limbs) arms[path.side] = { elbow: path.middle[i]!, wrist: path.distal[i]! };
  return {
    support: supportOf(body, pose),
    centre: centreOfMass(body, pose, arms),
    hands: limbs.map(({ path, load: { forceN } }) => ({
      at: path.contact[i]!,
      forceN: [forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!],
    })),
  };
}

/** Where a load is stood over the range, for a drawing: the outline of feet and knees, and the centre of pressure. */
export interface StoodPressure {
  readonly support: readonly Spot[];
  /** Over the range, and at the shown sample; null where the pull would lift the body. */
  readonly over: readonly (Spot | null)[];
  readonly now: Spot | null;
}

/** Where a load is stood, stand frame, metres; `now` is the shown sample. */
export function pressureOver(stood: StoodLoad, now: number): StoodPressure {
  const spot = (i: number): Spot | null => pressureAt(stood.body.massKg, momentAt(stood, i));
  const own = momentAt(stood, now);
  return { support: own.support, over: STOOD_AT.map(spot), now: pressureAt(stood.body.massKg, own) };
}

/** How a load is stood, for a client whom nothing but feet and knees holds. */
export function standingReason(stood: StoodLoad): StandingReason {
  const { body, loadKg, freeHand } = stood;
  const { marginM, mostShare, slips, downN } = standingMargin(
    body.massKg,
    STOOD_AT.map((i) => momentAt(stood, i)),
  );
  const shortM = marginM >= 0 ? 0 : BALANCE_M - marginM;
  return {
    code: 'standing',
    marginM,
    mostKg: mostShare === null ? null : mostShare * loadKg,
    slips,
    kneesDown: kneesDown(body, stood.poseAt(0)),
    leanDeg: toDeg(clampedAsin(shortM / (CENTRE_ALONG * leanM(body, 90, false)))),
    splitM: shortM,
    // Moments about the edge: what the pressure lacks in metres, the hand gives in newtons at its height.
    holdN: freeHand && shortM > 0 ? (downN * shortM) / (HOLD_SHARE * body.statureM) : null,
  };
}

/**
 * Most that a supporting hand presses on its bench over the range, newtons: feet and knee carry the rest, in their
 * middle. With the whole pressure D at p, feet at f and the hand at h along the body, the hand takes D (p - f) / (h -
 * f). Null where no hand supports, or it never presses.
 */
export function braceReason(stood: StoodLoad): BraceReason | null {
  const { body, poseAt } = stood;
  let most = 0;
  for (const i of STOOD_AT) {
    const { supportArm, leg } = poseAt(i);
    if (!supportArm) return null;
    const moment = momentAt(stood, i);
    const at = pressureAt(body.massKg, moment);
    if (!at) return null;
    const feet = SIDES.map((side): Vec3 => {
      const { knee, heel, toe } = leg[side];
      // A knee that lies on the bench carries instead of its foot.
      return knee[1] - heel[1] < KNEELS ? knee : between(heel, toe, 0.5);
    });
    const middle = between(feet[0]!, feet[1]!, 0.5);
    const down = body.massKg * GRAVITY_MS2 - moment.hands.reduce((sum, { forceN }) => sum + forceN[1], 0);
    most = Math.max(most, (down * (at[0] - middle[0])) / (supportArm.hand[0] - middle[0]));
  }
  return most > 0 ? { code: 'brace', pressN: most } : null;
}

/** A shank this flat, metres from heel to knee, lies on something. */
const KNEELS = 0.15;

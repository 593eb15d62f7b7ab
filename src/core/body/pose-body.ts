import { bisect } from '@/core/units/bisect';
import { type Side, otherSide, signOf } from '@/core/body/side';
import { fromFrame, frameOf, rotateFrame, UPRIGHT, type Frame } from '@/core/geometry/frame';
import { add, along, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { clampedAsin, toDeg, toRad } from '@/core/units/angle';
import type { Body } from './body-model';
import { balancedHinge, feetApart, footOf, hipHalfM, segmentsOf, standOn } from './pose-legs';
import {
  SCAPULA_AT_REST,
  STRAIGHT_TRUNK,
  type BodyPose,
  type Lean,
  type Leg,
  type Posture,
  type Scapula,
  type SupportArm,
  type TrunkShape,
} from './posture';
import { balanceAheadM, leant } from './lean';
import { HIP_OVER_SEAT } from './segment-ratios';
import { armToGripM } from './arm-length';
import { middleJoint } from './two-link';

/**
 * Half the flesh of a bent knee, wrist on a bench, or shank on the floor, as shares of stature (our judgement; a few
 * cm).
 */
const KNEE_PAD = 0.03;
const PALM = 0.02;
const ON_TOES = 0.115;
const DOWN: Vec3 = [0, -1, 0];
/** A kneeling foot lies on its instep, sole up. */
const UP: Vec3 = [0, 1, 0];
const AHEAD: Vec3 = [1, 0, 0];
interface Lower {
  readonly pelvis: Vec3;
  readonly pelvisFrame: Frame;
  readonly trunkFrame: Frame;
  readonly leg: Readonly<Record<Side, Leg>>;
  readonly support?: { readonly side: Side; readonly at: Vec3; readonly hint: Vec3 };
}

/** Trunk axes with the spine `deg` above level, chest ahead and down: hinged, prone, plank. */
const bowed = (deg: number): Frame => frameOf([Math.cos(toRad(deg)), Math.sin(toRad(deg)), 0], [0, 0, 1]);
/** Trunk axes with the spine `deg` above level, chest up: seated and lying on the back. */
const reclined = (deg: number): Frame => frameOf([-Math.cos(toRad(deg)), Math.sin(toRad(deg)), 0], [0, 0, 1]);

const both = (leg: (side: Side) => Leg): Readonly<Record<Side, Leg>> => ({ left: leg('left'), right: leg('right') });
const armLength = (body: Body): number => body.length.upperArm.m + body.length.forearm.m;
const trunkLength = (body: Body): number => body.height.shoulderHeight.m - body.height.hipHeight.m;

function kneeling(body: Body, kneeDown: Side | 'both'): Lower {
  const s = segmentsOf(body);
  const kneeY = KNEE_PAD * body.statureM;
  const hipY = kneeY + s.thighM;
  const leg = (side: Side): Leg => {
    const z = signOf(side) * hipHalfM(body);
    const hip: Vec3 = [0, hipY, z];
    if (kneeDown === 'both' || kneeDown === side) {
      const ankle: Vec3 = [-s.shankM, kneeY, z];
      return { hip, knee: [0, kneeY, z], ankle, ...footOf(body, ankle, UP, [-1, 0, 0]) };
    }
    // Front shank upright, so that the thigh is nearly level.
    return standOn(
      body,
      hip,
      [Math.sqrt(Math.max(0, s.thighM ** 2 - (hipY - s.ankleY - s.shankM) ** 2)), s.ankleY, z],
      AHEAD,
    );
  };
  return { pelvis: [0, hipY, 0], pelvisFrame: UPRIGHT, trunkFrame: UPRIGHT, leg: both(leg) };
}

/**
 * Straight legs from a hip pad down to where the heels are held, and the trunk bowed over its edge. The pad is set as
 * high as the hips of a client who stands beside it (our judgement): lower, a bar in hanging arms would meet the floor
 * before the trunk is level.
 */
function hipPad(body: Body, trunkDeg: number, legDeg: number): Lower {
  const s = segmentsOf(body);
  const down: Vec3 = [-Math.cos(toRad(legDeg)), -Math.sin(toRad(legDeg)), 0];
  const hipY = body.height.hipHeight.m;
  const leg = (side: Side): Leg => {
    const hip: Vec3 = [0, hipY, signOf(side) * hipHalfM(body)];
    const knee = along(hip, down, s.thighM);
    const ankle = along(knee, down, s.shankM);
    return { hip, knee, ankle, ...footOf(body, ankle, down, [-down[1], down[0], 0]) };
  };
  const frame = bowed(trunkDeg);
  return { pelvis: [0, hipY, 0], pelvisFrame: frame, trunkFrame: frame, leg: both(leg) };
}

function seated(body: Body, seatHeightM: number, backDeg: number): Lower {
  const s = segmentsOf(body);
  const hipY = seatHeightM + HIP_OVER_SEAT * body.statureM;
  const frame = reclined(backDeg);
  const leg = (side: Side): Leg => {
    const z = signOf(side) * hipHalfM(body);
    const hip: Vec3 = [0, hipY, z];
    const low = hipY - s.ankleY < s.shankM * 0.8;
    // From a seat the shanks hang upright; near the floor the legs lie ahead, knees soft.
    const reach = Math.sqrt(Math.max(0, (0.97 * (s.thighM + s.shankM)) ** 2 - (hipY - s.ankleY) ** 2 - (0.4 * z) ** 2));
    const ankle: Vec3 = [low ? reach : s.thighM, s.ankleY, z * 1.4];
    return standOn(body, hip, ankle, [0.3, 1, 0]);
  };
  return { pelvis: [0, hipY, 0], pelvisFrame: UPRIGHT, trunkFrame: frame, leg: both(leg) };
}

function lying(body: Body, p: Extract<Posture, { kind: 'lying' }>): Lower {
  const s = segmentsOf(body);
  const h = body.statureM;
  if (p.on === 'back') {
    const { pelvis, leg } = seated(body, p.surfaceHeightM, p.backDeg);
    return { pelvis, pelvisFrame: reclined(p.backDeg), trunkFrame: reclined(p.backDeg), leg };
  }
  if (p.on === 'front') {
    const frame = bowed(p.backDeg);
    const hipY = p.surfaceHeightM + (HIP_OVER_SEAT + 0.01) * h;
    const drop = Math.min(0.98 * (s.thighM + s.shankM), Math.max(0, hipY - ON_TOES * h));
    const back = Math.sqrt((0.98 * (s.thighM + s.shankM)) ** 2 - drop ** 2);
    const leg = (side: Side): Leg => {
      const z = signOf(side) * hipHalfM(body);
      const ankle: Vec3 = [-back, hipY - drop, z];
      const hip: Vec3 = [0, hipY, z];
      return {
        hip,
        knee: middleJoint(hip, ankle, s.thighM, s.shankM, DOWN),
        ankle,
        ...footOf(body, ankle, [-1, 0, 0], DOWN),
      };
    };
    return { pelvis: [0, hipY, 0], pelvisFrame: frame, trunkFrame: frame, leg: both(leg) };
  }
  const upwards = signOf(otherSide(p.on));
  const a = toRad(p.backDeg);
  const frame = frameOf([-Math.cos(a), Math.sin(a), 0], scale([Math.sin(a), Math.cos(a), 0], upwards));
  const pelvis: Vec3 = [0, p.surfaceHeightM + hipHalfM(body) + KNEE_PAD * h, 0];
  const thigh = normalise(add(scale(frame.x, 0.8), scale(frame.y, -0.6)));
  const shank = normalise(add(scale(frame.x, -0.9), scale(frame.y, -0.4)));
  const leg = (side: Side): Leg => {
    const hip = along(pelvis, frame.z, signOf(side) * hipHalfM(body));
    const knee = along(hip, thigh, s.thighM);
    const ankle = along(knee, shank, s.shankM);
    return {
      hip,
      knee,
      ankle,
      ...footOf(
        body,
        ankle,
        shank,
        normalise(
          subtract(frame.x, scale(shank, frame.x[0] * shank[0] + frame.x[1] * shank[1] + frame.x[2] * shank[2])),
        ),
      ),
    };
  };
  return { pelvis, pelvisFrame: frame, trunkFrame: frame, leg: both(leg) };
}

/**
 * Trunk angle at which a straight arm from the shoulder stands on a bench; bisection between level and nearly upright.
 */
function hingeOntoBench(body: Body, benchHeightM: number, kneeFlexionDeg: number): number {
  const wanted = benchHeightM + armLength(body) + PALM * body.statureM;
  return bisect(0, 85, (trunkDeg) => {
    const { pelvis } = balancedHinge(body, trunkDeg, kneeFlexionDeg);
    return pelvis[1] + trunkLength(body) * Math.sin(toRad(trunkDeg)) < wanted;
  });
}

function handAndKnee(body: Body, benchHeightM: number, support: Side): Lower {
  const s = segmentsOf(body);
  const h = body.statureM;
  const kneeY = benchHeightM + KNEE_PAD * h;
  const out = hipHalfM(body) + 0.09 * h;
  const straight = s.ankleY + Math.sqrt((0.99 * (s.thighM + s.shankM)) ** 2 - (out - hipHalfM(body)) ** 2);
  // A high bench would lift the foot off the floor: then the thigh on the bench slants instead.
  const hipY = Math.min(kneeY + s.thighM, straight);
  const slant = Math.sqrt(Math.max(0, s.thighM ** 2 - (hipY - kneeY) ** 2));
  const leg = (side: Side): Leg => {
    const z = signOf(side) * hipHalfM(body);
    const hip: Vec3 = [0, hipY, z];
    if (side !== support) return standOn(body, hip, [0, s.ankleY, signOf(side) * out], AHEAD);
    const ankle: Vec3 = [slant - s.shankM, kneeY, z];
    return { hip, knee: [slant, kneeY, z], ankle, ...footOf(body, ankle, UP, [-1, 0, 0]) };
  };
  const shoulderY = benchHeightM + armLength(body) + PALM * h;
  const deg = toDeg(clampedAsin((shoulderY - hipY) / trunkLength(body)));
  const frame = bowed(deg);
  const at: Vec3 = [
    trunkLength(body) * frame.y[0],
    benchHeightM,
    signOf(support) * (body.length.shoulderBreadth.m / 2),
  ];
  return {
    pelvis: [0, hipY, 0],
    pelvisFrame: frame,
    trunkFrame: frame,
    leg: both(leg),
    support: { side: support, at, hint: [-1, 0, 0] },
  };
}

function plank(body: Body, handHeightM: number): Lower {
  const s = segmentsOf(body);
  const h = body.statureM;
  const shoulderY = handHeightM + armToGripM(body);
  // Toes under the ball of the foot, heel back along the slanted leg.
  const ankleY = (ON_TOES + 0.017) * h;
  const whole = trunkLength(body) + s.thighM + s.shankM;
  const rise = Math.min(0.95, (shoulderY - ankleY) / whole);
  const frame = bowed(toDeg(clampedAsin(rise)));
  const pelvis = subtract([0, shoulderY, 0], scale(frame.y, trunkLength(body)));
  const leg = (side: Side): Leg => {
    const hip: Vec3 = [pelvis[0], pelvis[1], signOf(side) * hipHalfM(body)];
    const knee = along(hip, frame.y, -s.thighM);
    const ankle = along(knee, frame.y, -s.shankM);
    return { hip, knee, ankle, ...footOf(body, ankle, scale(frame.y, -1), DOWN) };
  };
  return { pelvis, pelvisFrame: frame, trunkFrame: frame, leg: both(leg) };
}

function hanging(body: Body, barHeightM: number): Lower {
  const s = segmentsOf(body);
  const shoulderY = barHeightM - armToGripM(body);
  const hipY = shoulderY - trunkLength(body);
  const clear = hipY - s.thighM - s.shankM - s.ankleY > 0.02;
  const leg = (side: Side): Leg => {
    const hip: Vec3 = [0, hipY, signOf(side) * hipHalfM(body)];
    const knee = along(hip, clear ? DOWN : normalise([0.5, -1, 0]), s.thighM);
    const shank: Vec3 = clear ? DOWN : [-1, 0, 0];
    const ankle = along(knee, shank, s.shankM);
    return { hip, knee, ankle, ...footOf(body, ankle, shank, clear ? AHEAD : DOWN) };
  };
  return { pelvis: [0, hipY, 0], pelvisFrame: UPRIGHT, trunkFrame: UPRIGHT, leg: both(leg) };
}

function legMachine(body: Body, p: Extract<Posture, { kind: 'leg-machine' }>): Lower {
  const s = segmentsOf(body);
  const pelvis: Vec3 = [0, p.seatHeightM + HIP_OVER_SEAT * body.statureM, 0];
  const ray = (deg: number): Vec3 => [Math.cos(toRad(deg)), Math.sin(toRad(deg)), 0];
  const shank = ray(p.thighDeg - p.kneeFlexionDeg);
  const leg = (side: Side): Leg => {
    const hip: Vec3 = [0, pelvis[1], signOf(side) * hipHalfM(body)];
    const knee = along(hip, ray(p.thighDeg), s.thighM);
    const ankle = along(knee, shank, s.shankM);
    return { hip, knee, ankle, ...footOf(body, ankle, shank, [-shank[1], shank[0], 0]) };
  };
  return { pelvis, pelvisFrame: reclined(p.backDeg), trunkFrame: reclined(p.backDeg), leg: both(leg) };
}

function lowerBody(body: Body, p: Posture): Lower {
  const lower = lowerAsDrawn(body, p);
  return 'lean' in p && p.lean && p.lean.deg !== 0 && p.kind !== 'hinged'
    ? { ...lower, ...leant(body, lower, p.lean) }
    : lower;
}

function lowerAsDrawn(body: Body, p: Posture): Lower {
  const upright = (l: Pick<Lower, 'pelvis' | 'leg'>): Lower => ({ ...l, pelvisFrame: UPRIGHT, trunkFrame: UPRIGHT });
  const hinge = (trunkDeg: number, kneeFlexionDeg: number, lean?: Lean): Lower => {
    const frame = bowed(trunkDeg);
    const aheadM = balanceAheadM(body, lean);
    return { ...balancedHinge(body, trunkDeg, kneeFlexionDeg, aheadM), pelvisFrame: frame, trunkFrame: frame };
  };
  switch (p.kind) {
    case 'standing':
      return upright(balancedHinge(body, 90, p.kneeFlexionDeg));
    case 'staggered':
      return upright(feetApart(body, { ahead: p.frontFoot, stepM: p.stepM }));
    case 'wide':
      return upright(feetApart(body, { widthM: p.widthM }));
    case 'hinged':
      return hinge(p.trunkDeg, p.kneeFlexionDeg, p.lean);
    case 'hip-pad':
      return hipPad(body, p.trunkDeg, p.legDeg);
    case 'half-kneeling':
      return kneeling(body, p.kneeDown);
    case 'tall-kneeling':
      return kneeling(body, 'both');
    case 'seated':
      return seated(body, p.seatHeightM, p.backDeg);
    case 'lying':
      return lying(body, p);
    case 'hand-and-knee':
      return handAndKnee(body, p.benchHeightM, p.support);
    case 'hand-on-bench': {
      const lower = hinge(hingeOntoBench(body, p.benchHeightM, p.kneeFlexionDeg), p.kneeFlexionDeg);
      const at: Vec3 = [
        lower.pelvis[0] + trunkLength(body) * lower.trunkFrame.y[0],
        p.benchHeightM,
        signOf(p.support) * (body.length.shoulderBreadth.m / 2),
      ];
      return { ...lower, support: { side: p.support, at, hint: [-1, 0, 0] } };
    }
    case 'forearm-on-thigh': {
      const lower = feetApart(body, { ahead: p.support });
      const frame = bowed(p.trunkDeg);
      const { hip, knee } = lower.leg[p.support];
      const at = add(add(hip, scale(subtract(knee, hip), 0.9)), [0, KNEE_PAD * body.statureM, 0]);
      return {
        ...lower,
        pelvisFrame: frame,
        trunkFrame: frame,
        support: { side: p.support, at, hint: [0, 0, signOf(p.support)] },
      };
    }
    case 'plank':
      return plank(body, p.handHeightM);
    case 'hanging':
      return hanging(body, p.barHeightM);
    case 'leg-machine':
      return legMachine(body, p);
  }
}

function bend(frame: Frame, shape: TrunkShape): Frame {
  const leaned = rotateFrame(frame, frame.z, -toRad(shape.leanDeg));
  const bent = rotateFrame(leaned, leaned.x, toRad(shape.sideBendDeg));
  return rotateFrame(bent, bent.y, toRad(shape.turnDeg));
}

/** Legs and pelvis do not change while trunk and girdle move: they are posed once for a posture of a body. */
const lowers = new WeakMap<Posture, { readonly body: Body; readonly lower: Lower }>();

function lowerOf(body: Body, posture: Posture): Lower {
  const known = lowers.get(posture);
  if (known?.body === body) return known.lower;
  const lower = lowerBody(body, posture);
  lowers.set(posture, { body, lower });
  return lower;
}

/**
 * Pose a body: joint centres of trunk, head, shoulders and legs, and the arm that supports where one does. Metres, body
 * frame. Precondition: a body with positive segment lengths; surface heights within reach give feet on the floor,
 * others leave them hanging.
 */
export function poseBody(
  body: Body,
  posture: Posture,
  shape: TrunkShape = STRAIGHT_TRUNK,
  scapula: Partial<Record<Side, Scapula>> = {},
): BodyPose {
  const lower = lowerOf(body, posture);
  const trunkFrame = bend(lower.trunkFrame, shape);
  const neckBase = along(lower.pelvis, trunkFrame.y, trunkLength(body));
  const half = body.length.shoulderBreadth.m / 2;
  const chin = body.height.chinHeight.m - body.height.shoulderHeight.m;
  const crown = body.statureM - body.height.shoulderHeight.m;
  const headRadiusM = (crown - chin) / 2;
  const shoulder = (side: Side): Vec3 => {
    const { protractionM, elevationM } = scapula[side] ?? SCAPULA_AT_REST;
    return add(neckBase, fromFrame(trunkFrame, [protractionM, elevationM, signOf(side) * half]));
  };
  const shoulders = { left: shoulder('left'), right: shoulder('right') };
  const supportArm = (s: NonNullable<Lower['support']>): SupportArm => {
    const hand = s.at;
    return {
      side: s.side,
      hand,
      elbow: middleJoint(shoulders[s.side], hand, body.length.upperArm.m, body.length.forearm.m, s.hint),
    };
  };
  return {
    pelvis: lower.pelvis,
    pelvisFrame: lower.pelvisFrame,
    trunkFrame,
    neckBase,
    neck: along(neckBase, trunkFrame.y, chin * 0.4),
    head: add(along(neckBase, trunkFrame.y, (chin + crown) / 2), scale(trunkFrame.x, headRadiusM * 0.2)),
    headRadiusM,
    shoulder: shoulders,
    leg: lower.leg,
    supportArm: lower.support ? supportArm(lower.support) : null,
  };
}

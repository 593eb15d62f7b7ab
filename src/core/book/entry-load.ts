import { signOf } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { centreOfMass, shareOnHands } from '@/core/body/centre-of-mass';
import { dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { BodyPose } from '@/core/body/posture';
import type { Band } from '@/core/kit/band';
import type { Machine, MachineKind } from '@/core/kit/machine';
import { readTable } from '@/core/kit/force-table';
import { forceAt, type Load } from '@/core/mechanics/load';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry, LoadRule } from './book-entry';
import type { PosedEntry } from './pose-entry';
import type { StationKit } from './station-kit';

/** Moment arm of a turning machine that is not measured, metres (common practice). */
const USUAL_ARM_M: Partial<Readonly<Record<MachineKind, number>>> = {
  'leg-extension': 0.25,
  'leg-curl': 0.25,
  'chest-fly': 0.35,
  'reverse-fly': 0.35,
};

/** Where along the bar the hand holds it, share of its length (common practice: just inside or on the thick end). */
const GRIP_ON_BAR = 0.88;
/**
 * Part of the body's weight in the straps when leaning back about 45 degrees (our judgement), and their rise above
 * level.
 */
const STRAP_SHARE = 0.6;
const STRAP_RISE_DEG = 35;

/**
 * A landmine's pivot for the grip at the start: on the floor behind the hand, or to its free side when standing square.
 */
export function landminePivot(
  grip: Vec3,
  at: 'alongside' | 'square' | 'between',
  side: 'left' | 'right',
  kit: StationKit['landmine'],
): Vec3 {
  const reach = GRIP_ON_BAR * kit.barM;
  const level = Math.sqrt(Math.max(0.01, reach ** 2 - (grip[1] - kit.pivotHeightM) ** 2));
  if (at === 'square') return [grip[0], kit.pivotHeightM, grip[2] + -signOf(side) * level];
  return [grip[0] - level, kit.pivotHeightM, at === 'between' ? 0 : grip[2]];
}

/** Length of a strap that is drawn, metres. */
const STRAP_M = 1.3;

/**
 * Where a bar or strap in the hand ends, stand frame: a landmine's pivot, a point along the strap; null where nothing
 * does.
 */
export function anchorOf(entry: BookEntry, posed: PosedEntry, kit: StationKit): Vec3 | null {
  const { load } = entry;
  const from = posed.path.contact[0]!;
  if (load.kind === 'landmine') return landminePivot(from, load.at, posed.path.side, kit.landmine);
  if (load.kind !== 'body' || load.on !== 'straps') return null;
  const rise = (STRAP_RISE_DEG * Math.PI) / 180;
  return [from[0] + STRAP_M * Math.cos(rise), from[1] + STRAP_M * Math.sin(rise), from[2]];
}

type MachineLoad = Extract<LoadRule, { kind: 'machine' }>;
type BodyLoad = Extract<LoadRule, { kind: 'body' }>;

/**
 * A machine that runs on a guide, or on an arm so long that the hand's way is nearly straight; `back` is where the hand
 * came from. Both arms share the stack.
 */
function guideLoad(measured: Machine | undefined, back: Vec3, stackN: number): Load {
  if (!measured) return { kind: 'guide', direction: back, forceN: stackN / 2 };
  const { path } = measured;
  if (path.kind === 'arc') {
    const forceN = (stackN * readTable(path.momentArm, 0)) / path.radiusM / 2;
    return { kind: 'guide', direction: back, forceN };
  }
  // The guide's own slope, against the way the hand goes.
  const rise = (path.guideDeg * Math.PI) / 180;
  const along: Vec3 = [Math.cos(rise), Math.sin(rise), 0];
  const direction = dot(along, back) >= 0 ? along : scale(along, -1);
  return { kind: 'guide', direction, forceN: (stackN * path.ratio) / 2 };
}

/** A machine's stack on one limb: on a guide, or on an arc about the joint that turns. */
function machineLoad(load: MachineLoad, { path, target }: PosedEntry, loadKg: number, kit: StationKit): Load {
  const stackN = loadKg * GRAVITY_MS2;
  const measured = kit.machines[load.machine];
  const usualArmM = USUAL_ARM_M[load.machine];
  const from = path.contact[0]!;
  if (usualArmM === undefined || measured?.path.kind === 'guide')
    return guideLoad(measured, normalise(subtract(from, path.contact.at(-1)!)), stackN);
  const table = measured?.path.kind === 'arc' ? measured.path.momentArm : [{ x: 0, y: usualArmM }];
  const mid = Math.round((path.contact.length - 1) / 2);
  const joint = target.joint === 'middle' ? path.middle[mid]! : path.proximal[mid]!;
  // The limb drives the arm about its own axis: the stack turns it back.
  return {
    kind: 'arc',
    centre: joint,
    axis: target.axis[mid]!,
    stackN: stackN / 2,
    arm: { zero: subtract(from, joint), table },
  };
}

/**
 * A band from the bar to the foot that stands in it, as one hand feels it: the hands carry the weight W less the band's
 * pull F, so that each holds W / 2 up and half of F along the band, down to the foot. It is drawn under the hand, since
 * it hangs from the middle of the bar and its pull has no part to the side.
 */
function bandUnderHand({ restM, table }: Band, { path, pose }: PosedEntry): Load {
  const { heel } = pose.leg[path.side];
  const anchor: Vec3 = [heel[0], heel[1], path.contact[0]![2]];
  return { kind: 'band', anchor, restM, table: table.map(({ x, y }) => ({ x, y: y / 2 })) };
}

/** What a band takes off both hands on the way up, newtons: its upward pull, the mean over the rep. */
export function bandHelpN(band: Band, posed: PosedEntry): number {
  const load = bandUnderHand(band, posed);
  const { contact } = posed.path;
  return contact.reduce((sum, at) => sum - 2 * forceAt(load, at)[1], 0) / contact.length;
}

/** Hanging from a bar with all of the body's weight, or with what a band leaves of it. */
function hangingLoads(body: Body, posed: PosedEntry, withBand: boolean, kit: StationKit): Load[] {
  const weight = body.massKg * GRAVITY_MS2;
  const held = (helpN: number): Load => ({ kind: 'held', forceN: [0, (weight - helpN) / 2, 0] });
  if (!withBand) return [held(0)];
  return kit.band ? [held(0), bandUnderHand(kit.band, posed)] : [held(kit.bandN)];
}

/** The body's own weight on one hand: what the feet leave on floor or straps. */
function leaningLoad(load: BodyLoad, body: Body, pose: BodyPose): Load {
  const weight = body.massKg * GRAVITY_MS2;
  if (load.on === 'floor') {
    const share = shareOnHands(centreOfMass(body, pose)[0], 0, pose.leg.left.toe[0]);
    return { kind: 'held', forceN: [0, (weight * share) / 2, 0] };
  }
  const rise = (STRAP_RISE_DEG * Math.PI) / 180;
  return { kind: 'held', forceN: scale([Math.cos(rise), Math.sin(rise), 0], (weight * STRAP_SHARE) / 2) };
}

/**
 * Loads of a movement without a cable, on one side; `loadKg` is the dumbbell, the bar with its plates, the plates of a
 * landmine, or the stack.
 */
export function entryLoads(entry: BookEntry, posed: PosedEntry, body: Body, loadKg: number, kit: StationKit): Load[] {
  const { load } = entry;
  switch (load.kind) {
    case 'cable':
      throw new Error(`entryLoads: ${entry.id} hangs on a cable; solve its place first`);
    case 'weight':
      return [{ kind: 'weight', massKg: loadKg * load.share }];
    case 'landmine': {
      const { barKg, barM, platesAtM } = kit.landmine;
      const pivot = landminePivot(posed.path.contact[0]!, load.at, posed.path.side, kit.landmine);
      return [{ kind: 'landmine', pivot, bar: { barKg, barM, platesKg: loadKg, platesAtM }, share: load.share }];
    }
    case 'machine':
      return [machineLoad(load, posed, loadKg, kit)];
    case 'body':
      return load.on === 'bar' ? hangingLoads(body, posed, load.band, kit) : [leaningLoad(load, body, posed.pose)];
    case 'none':
      return [{ kind: 'held', forceN: [0, 0, 0] }];
  }
}

/** How much of a load is in one hand, kilograms. */
export function inHandKg(e: BookEntry, loadKg: number, pulleyRatio: number): number {
  const { load } = e;
  switch (load.kind) {
    case 'cable':
      return loadKg / pulleyRatio / (load.shared ? 2 : 1);
    case 'weight':
    case 'landmine':
      return loadKg * load.share;
    case 'machine':
      return loadKg / 2;
    case 'body':
    case 'none':
      return 0;
  }
}

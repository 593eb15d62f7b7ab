import { otherSide } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { centreOfMass, shareOnHands } from '@/core/body/centre-of-mass';
import { dot, length, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { Band } from '@/core/kit/band';
import type { Machine, MachineKind } from '@/core/kit/machine';
import { readTable } from '@/core/kit/force-table';
import { forceAt, type Load } from '@/core/mechanics/load';
import { towards } from '@/core/movement/joint-action';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { mean } from '@/core/units/mean';
import type { BookEntry, LoadRule } from './book-entry';
import type { PosedEntry } from './pose-entry';
import type { StationKit } from './station-kit';

/** Moment arm of a turning machine that is not measured, metres (common practice). */
const USUAL_ARM_M: Partial<Readonly<Record<MachineKind, number>>> = {
  'leg-extension': 0.25,
  'leg-curl': 0.25,
  'chest-fly': 0.35,
  'reverse-fly': 0.35,
  pullover: 0.35,
};

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
 * A band from the bar to the foot that stands in it, as one hand feels it over the rep: the hands carry the weight W
 * less the band's pull F, so that each holds W / 2 up and half of F along the band, down to the foot, which rises with
 * the body. It is drawn under the hand, since it hangs from the middle of the bar and its pull has no part to the side.
 */
function bandUnderHand({ restM, table }: Band, { path, bodyAt }: PosedEntry): Extract<Load, { kind: 'samples' }> {
  const forceN = new Float64Array(3 * path.contact.length);
  const half = table.map(({ x, y }) => ({ x, y: y / 2 }));
  path.contact.forEach((hand, i) => {
    const { heel } = bodyAt(i).leg[path.side];
    forceN.set(forceAt({ kind: 'band', anchor: [heel[0], heel[1], hand[2]], restM, table: half }, hand), 3 * i);
  });
  return { kind: 'samples', forceN };
}

/** What a band takes off both hands on the way up, newtons: its upward pull, the mean over the rep. */
function bandHelpN(band: Band, posed: PosedEntry): number {
  const { forceN } = bandUnderHand(band, posed);
  return -2 * mean(posed.path.contact.map((_, i) => forceN[3 * i + 1]!));
}

/** Hanging from a bar with all of the body's weight, or with what a band leaves of it. */
function hangingLoads(body: Body, posed: PosedEntry, withBand: boolean, kit: StationKit): Load[] {
  const weight = body.massKg * GRAVITY_MS2;
  const held = (helpN: number): Load => ({ kind: 'held', forceN: [0, (weight - helpN) / 2, 0] });
  if (!withBand) return [held(0)];
  return kit.band ? [held(0), bandUnderHand(kit.band, posed)] : [held(kit.bandN)];
}

/**
 * The body's own weight on one hand, sample by sample: what the feet leave on the floor, or on the straps. By moments
 * about the feet: on the floor the hands carry W (x_com - x_feet) / (x_hands - x_feet); straps along a line that passes
 * the heels at a distance d pull with W (x_heels - x_com) / d.
 */
function leaningLoad(load: BodyLoad, body: Body, { path, bodyAt }: PosedEntry): Load {
  const weight = body.massKg * GRAVITY_MS2;
  const forceN = new Float64Array(3 * path.contact.length);
  path.contact.forEach((hand, i) => {
    const pose = bodyAt(i);
    const own = { elbow: path.middle[i]!, wrist: path.distal[i]! };
    const other = { elbow: mirrorZ(own.elbow), wrist: mirrorZ(own.wrist) };
    const centreX = centreOfMass(body, pose, {
      [path.side]: own,
      [otherSide(path.side)]: other,
    })[0];
    if (load.on === 'floor') {
      forceN[3 * i + 1] = (weight * shareOnHands(centreX, hand[0], pose.leg.left.toe[0])) / 2;
      return;
    }
    const line = towards(own.elbow, hand);
    const { heel } = pose.leg.left;
    const passes = (hand[0] - heel[0]) * line[1] - (hand[1] - heel[1]) * line[0];
    const pullN = Math.max(0, (weight * (heel[0] - centreX)) / Math.abs(passes)) / 2;
    forceN.set(scale(line, pullN), 3 * i);
  });
  return { kind: 'samples', forceN };
}

/** A band that was not measured: length of one end at rest from the soles, and its pull by stretch (our judgement). */
const USUAL_BAND: Band = {
  restM: 0.45,
  table: [
    { x: 0, y: 0 },
    { x: 0.2, y: 45 },
    { x: 0.6, y: 110 },
    { x: 1, y: 190 },
  ],
};

/** A band that is held so that it pulls where the rep begins is this much longer there than at rest (our judgement). */
const TAUT = 1.05;

/**
 * A band round both soles with an end in each hand. Half of it lies on each side, so that it stretches by twice what an
 * end does; and it is held as short as it has to be to pull from the start on: a band of the same stuff and k times the
 * length pulls at k times the stretch.
 */
function feetBand({ anchor, path }: PosedEntry, band: Band | null): Extract<Load, { kind: 'band' }> {
  if (!anchor) throw new Error('feetBand: a band runs from the soles');
  const half = band ? 0.5 : 1;
  const { restM, table } = band ?? USUAL_BAND;
  const startM = length(subtract(path.contact[0]!, anchor));
  const k = half * Math.min(1, startM / TAUT / (half * restM));
  return { kind: 'band', anchor, restM: k * restM, table: table.map(({ x, y }) => ({ x: k * x, y })) };
}

/**
 * What both hands carry with a band hung, newtons, the mean over the rep: the body's weight less what the band takes
 * off, or the pull of a band that the hands row against. With none: the body's weight, or nothing.
 */
export function bandedHandsN(e: BookEntry, body: Body, band: Band | null, posed: PosedEntry): number {
  if (e.load.kind === 'body') return body.massKg * GRAVITY_MS2 - (band ? bandHelpN(band, posed) : 0);
  if (!band) return 0;
  const end = feetBand(posed, band);
  return 2 * mean(posed.path.contact.map((hand) => length(forceAt(end, hand))));
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
      if (!posed.anchor) throw new Error(`${entry.id}: a landmine turns about its pivot`);
      return [
        { kind: 'landmine', pivot: posed.anchor, bar: { barKg, barM, platesKg: loadKg, platesAtM }, share: load.share },
      ];
    }
    case 'band':
      return [feetBand(posed, kit.band)];
    case 'machine':
      return [machineLoad(load, posed, loadKg, kit)];
    case 'body':
      return load.on === 'bar' ? hangingLoads(body, posed, load.band, kit) : [leaningLoad(load, body, posed)];
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
    case 'band':
    case 'body':
    case 'none':
      return 0;
  }
}

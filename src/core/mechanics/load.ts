import { add, cross, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { readTable, type TablePoint } from '@/core/kit/force-table';
import { clampedAcos, toDeg } from '@/core/units/angle';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { SKIN_FRICTION, TRACK, TRACK_STRIDE, type LimbTrack } from './limb-track';

/**
 * What pulls or pushes on the limb at its contact, in the stand frame; newtons, metres, kilograms.
 * - `cable`: along itself to the pulley.
 * - `weight`: straight down (dumbbell, plate, this hand's share of a bar).
 * - `landmine`: this hand's share of a bar turning about a pivot on the floor; square to the bar.
 * - `arc`: a machine arm turning about an axis; square to it, against the way the limb goes. The moment is the stack's
 *   force times a moment arm, constant or a table over the arm's angle from `zero`, degrees.
 * - `guide`: a carriage on a straight guide; a force along it.
 * - `band`: along itself to its anchor, by its table of force over stretch; slack below its rest length.
 * - `held`: a force that does not change with the limb (body weight on a bar).
 * - `samples`: a force known at every sample, flat (body weight on straps or the floor, by the pose of the body).
 */
export type Load =
  | { readonly kind: 'cable'; readonly pulley: Vec3; readonly tensionN: number; readonly attachmentM: number }
  | { readonly kind: 'weight'; readonly massKg: number }
  | { readonly kind: 'landmine'; readonly pivot: Vec3; readonly bar: LandmineBar; readonly share: number }
  | {
      readonly kind: 'arc';
      readonly centre: Vec3;
      readonly axis: Vec3;
      readonly stackN: number;
      readonly arm: MomentArm;
    }
  | { readonly kind: 'guide'; readonly direction: Vec3; readonly forceN: number }
  | { readonly kind: 'band'; readonly anchor: Vec3; readonly restM: number; readonly table: readonly TablePoint[] }
  | { readonly kind: 'held'; readonly forceN: Vec3 }
  | { readonly kind: 'samples'; readonly forceN: Float64Array };

/** A bar in a landmine with its plates, kilograms and metres. */
export interface LandmineBar {
  readonly barKg: number;
  readonly barM: number;
  readonly platesKg: number;
  /** Middle of the plates from the pivot. */
  readonly platesAtM: number;
}

/** Moment of the stack about a machine's axis, as metres of arm. Angles in the table count from `zero`, degrees. */
export interface MomentArm {
  readonly zero: Vec3;
  readonly table: readonly TablePoint[];
}

/**
 * Forces on the contact, flat (3 per sample, N), what of them hands push to the side through one thing (1 per sample,
 * N), and the line's length beyond the handle (m); room is reused.
 */
export interface LoadSamples {
  readonly forceN: Float64Array;
  readonly asideN: Float64Array;
  readonly travelM: Float64Array;
}

/** Room for the forces of so many samples; it is reused. */
export const allocateLoad = (samples: number): LoadSamples => ({
  forceN: new Float64Array(3 * samples),
  asideN: new Float64Array(samples),
  travelM: new Float64Array(samples),
});

/** Whether a load hangs on a line whose length matters: its stack must leave the stop and its cable reach. */
export const hasLine = (load: Load): boolean => load.kind === 'cable' || load.kind === 'band';

/** Force of a landmine's bar on a grip: bar moment balance about the pivot, perpendicular to the bar. */
export function landmineForceN(pivot: Vec3, grip: Vec3, bar: LandmineBar): Vec3 {
  const r = subtract(grip, pivot);
  const reach = length(r);
  const u = scale(r, 1 / reach);
  // Down, less its part along the bar.
  const square = subtract([0, -1, 0], scale(u, -u[1]));
  const cos = length(square);
  if (cos < 1e-9) return [0, 0, 0];
  const force = (GRAVITY_MS2 * cos * (bar.barKg * (bar.barM / 2) + bar.platesKg * bar.platesAtM)) / reach;
  return scale(square, force / cos);
}

/** Force of a machine arm on a contact that turns with it, against the turn from `zero` about `axis`. */
export function arcForceN(centre: Vec3, axis: Vec3, contact: Vec3, stackN: number, arm: MomentArm): Vec3 {
  const r = subtract(contact, centre);
  const radial = subtract(r, scale(axis, dot(r, axis)));
  const reach = length(radial);
  const zero = normalise(subtract(arm.zero, scale(axis, dot(arm.zero, axis))));
  const u = scale(radial, 1 / reach);
  const angle = toDeg(clampedAcos(dot(u, zero))) * (dot(cross(zero, u), axis) < 0 ? -1 : 1);
  const moment = stackN * readTable(arm.table, angle);
  // The stack turns the arm back, about minus the axis.
  return scale(cross(axis, u), -moment / reach);
}

const { joint: JOINT, contact: CONTACT, line: LINE, aside: ASIDE } = TRACK;
const STRIDE: number = TRACK_STRIDE;

/**
 * Add to a force on a hand what goes to the side through what both hands hold, at a sample. What is held by pressing
 * pushes a hand out to its own side, never in.
 */
function pushAside({ data, squeeze }: LimbTrack, { forceN, asideN }: LoadSamples, i: number): void {
  const a = i * STRIDE + ASIDE;
  const f = 3 * i;
  const fx = forceN[f]!;
  const fy = forceN[f + 1]!;
  const fz = forceN[f + 2]!;
  const own = fx * data[a]! + fy * data[a + 1]! + fz * data[a + 2]!;
  const loadN = Math.sqrt(fx * fx + fy * fy + fz * fz);
  const most = SKIN_FRICTION * loadN;
  const spares = Math.min(most, Math.max(-most, own));
  const push = squeeze ? squeeze.out * Math.max(squeeze.least * loadN, squeeze.out * spares) : spares;
  asideN[i] = push;
  forceN[f + 2] = fz + push;
}

/** Fill the forces of a load over a track. */
export function fillLoad(track: LimbTrack, load: Load, out: LoadSamples): void {
  const { data, samples } = track;
  const { forceN, travelM } = out;
  if (load.kind === 'cable') {
    const [qx, qy, qz] = load.pulley;
    for (let i = 0; i < samples; i++) {
      const o = i * STRIDE;
      const dx = qx - data[o + JOINT]! - data[o + CONTACT]! - data[o + LINE]!;
      const dy = qy - data[o + JOINT + 1]! - data[o + CONTACT + 1]! - data[o + LINE + 1]!;
      const dz = qz - data[o + JOINT + 2]! - data[o + CONTACT + 2]! - data[o + LINE + 2]!;
      const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
      const k = load.tensionN / distance;
      forceN[3 * i] = dx * k;
      forceN[3 * i + 1] = dy * k;
      forceN[3 * i + 2] = dz * k;
      pushAside(track, out, i);
      travelM[i] = distance - load.attachmentM;
    }
    return;
  }
  for (let i = 0; i < samples; i++) {
    const o = i * STRIDE;
    const contact: Vec3 = [
      data[o + JOINT]! + data[o + CONTACT]!,
      data[o + JOINT + 1]! + data[o + CONTACT + 1]!,
      data[o + JOINT + 2]! + data[o + CONTACT + 2]!,
    ];
    const f = forceOn(load, contact, i);
    forceN[3 * i] = f[0];
    forceN[3 * i + 1] = f[1];
    forceN[3 * i + 2] = f[2];
    travelM[i] = load.kind === 'band' ? length(subtract(load.anchor, contact)) : 0;
  }
}

/** Force of a load on a sample's contact, newtons. */
function forceOn(load: Load, contact: Vec3, i: number): Vec3 {
  if (load.kind !== 'samples') return forceAt(load, contact);
  return [load.forceN[3 * i]!, load.forceN[3 * i + 1]!, load.forceN[3 * i + 2]!];
}

/** Force of a load on a contact, newtons, in the frame both are given in. */
export function forceAt(load: Exclude<Load, { kind: 'samples' }>, contact: Vec3): Vec3 {
  switch (load.kind) {
    case 'cable':
      return scale(normalise(subtract(load.pulley, contact)), load.tensionN);
    case 'weight':
      return [0, -load.massKg * GRAVITY_MS2, 0];
    case 'landmine':
      return scale(landmineForceN(load.pivot, contact, load.bar), load.share);
    case 'arc':
      return arcForceN(load.centre, load.axis, contact, load.stackN, load.arm);
    case 'guide':
      return scale(load.direction, load.forceN);
    case 'band': {
      const d = subtract(load.anchor, contact);
      const stretch = length(d) - load.restM;
      return stretch > 0 ? scale(normalise(d), Math.max(0, readTable(load.table, stretch))) : [0, 0, 0];
    }
    case 'held':
      return load.forceN;
  }
}

/** Loads that act together on one contact (a dumbbell with a band, body weight less a band's help). */
export function fillLoads(track: LimbTrack, loads: readonly Load[], out: LoadSamples): void {
  const [first, ...rest] = loads;
  if (!first) throw new Error('fillLoads: expected at least one load');
  fillLoad(track, first, out);
  for (const load of rest) {
    for (let i = 0; i < track.samples; i++) {
      const o = i * STRIDE;
      const f = forceOn(
        load,
        add(
          [data3(track, o, 0), data3(track, o, 1), data3(track, o, 2)],
          [data3(track, o, 3), data3(track, o, 4), data3(track, o, 5)],
        ),
        i,
      );
      for (let k = 0; k < 3; k++) out.forceN[3 * i + k]! += f[k]!;
    }
  }
  // A cable's own force has gone aside already.
  if (first.kind !== 'cable') for (let i = 0; i < track.samples; i++) pushAside(track, out, i);
}

const data3 = (track: LimbTrack, o: number, k: number): number => track.data[o + k]!;

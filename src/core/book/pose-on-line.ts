import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import type { Posture } from '@/core/body/posture';
import { regionPull } from '@/core/body/region-axis';
import { signOf, type Side } from '@/core/body/side';
import { toUnit } from '@/core/geometry/direction';
import { fromFrame, rotateFrame, UPRIGHT } from '@/core/geometry/frame';
import { turn } from '@/core/geometry/rotation';
import { along, type Vec3 } from '@/core/geometry/vector';
import { SAMPLES, type ChainPath } from '@/core/movement/chain-path';
import { bodyAt, yawAt } from '@/core/movement/keyframes';
import { BONES, closeOnLine, layLineArm, pointsOf, type LineArm, type ShoulderAt } from '@/core/movement/line-arm';
import type { BookEntry, LoadRule } from './book-entry';
import { handWidths } from './hand-width';

/** What of a pull's arm lies along its cable or band; null for what is no pull. */
export function lineOf(load: LoadRule): 'forearm' | 'arm' | null {
  if (load.kind === 'band') return 'forearm';
  return load.kind === 'cable' ? load.line : null;
}

/** Cable and arm of a pull before a place is known: as if the pulley stood where the movement's own start points. */
const NOMINAL_M = 2;

/**
 * What pulls on a hand: where the cable comes from, stand frame, null while no place is known, and how hard, newtons.
 */
export interface Pull {
  readonly pulley: Vec3 | null;
  readonly tensionN: number;
}

/** Lay out the arm of a pull on a cable over a part of its range, for any place of the pulley. */
export function layPull(
  entry: BookEntry,
  body: Body,
  side: Side,
  posture: Posture,
  tensionN: number,
  from: number,
  to: number,
  samples: number,
): LineArm {
  const { path, motion, load, hold } = entry;
  const line = lineOf(load);
  if (path.kind !== 'arm' || line === null) throw new Error(`${entry.id}: no pull along a line`);
  const at = Float64Array.from({ length: samples }, (_, i) => from + ((to - from) * i) / Math.max(1, samples - 1));
  const still = motion.length === 0 ? poseBody(body, posture) : null;
  const shoulderAt = (s: number): ShoulderAt => {
    const pose = still ?? bodyAt(body, posture, motion, side, s);
    const yaw = still ? 0 : signOf(side) * yawAt(motion, s);
    if (yaw === 0) return { shoulder: pose.shoulder[side], frame: pose.trunkFrame };
    return { shoulder: turn(pose.shoulder[side], yaw), frame: rotateFrame(pose.trunkFrame, UPRIGHT.y, yaw) };
  };
  const keys = {
    keyAt: path.keys.map((k) => k.at),
    upper: path.keys.map((k) => toUnit(k.upper, side)),
    fore: path.keys.map((k) => toUnit(k.fore, side)),
    along: line === 'forearm',
    hands: handWidths(hold, body, null),
    tensionN,
    action: entry.action,
    answers: line === 'forearm' ? regionPull(entry.target) : null,
  };
  return layLineArm(body, side, keys, at, shoulderAt);
}

/** Where the cable comes from while no place is known, stand frame. */
const nominalPulley = ({ from, upper, hands }: LineArm): Vec3 => {
  const at = along(from.shoulder, fromFrame(from.frame, upper[0]!), NOMINAL_M);
  return hands ? [at[0], at[1], 0] : at;
};

/** A pull's arm over a part of its range, closed on a pulley; stand frame, metres. */
export function poseOnLine(
  entry: BookEntry,
  body: Body,
  side: Side,
  posture: Posture,
  { pulley, tensionN }: Pull,
  from: number,
  to: number,
): ChainPath {
  const arm = layPull(entry, body, side, posture, tensionN, from, to, SAMPLES);
  const bones = new Float64Array(BONES * SAMPLES);
  closeOnLine(arm, pulley ?? nominalPulley(arm), bones);
  return { side, chain: 'arm', ...pointsOf(arm, bones) };
}

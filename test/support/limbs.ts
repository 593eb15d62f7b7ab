import type { Side } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import type { Posture } from '@/core/body/posture';
import type { Direction } from '@/core/geometry/direction';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import { allocateSamples, profileLoads } from '@/core/mechanics/line-profile';
import type { Load } from '@/core/mechanics/load';
import { targetOf, type ChainPath } from '@/core/movement/chain-path';
import type { JointAction } from '@/core/movement/joint-action';
import { poseKeyframes, type BodyKey, type KeyframePath } from '@/core/movement/keyframes';

export const d = (azimuthDeg: number, elevationDeg: number): Direction => ({ azimuthDeg, elevationDeg });
export const STANDING: Posture = { kind: 'standing', kneeFlexionDeg: 5 };

/** One of every kind of posture, sized for a common bench and bar. */
export const POSTURES: readonly Posture[] = [
  STANDING,
  { kind: 'staggered', frontFoot: 'left' },
  { kind: 'wide', widthM: 0.8 },
  { kind: 'hinged', trunkDeg: 60, kneeFlexionDeg: 20 },
  { kind: 'hinged', trunkDeg: 0, kneeFlexionDeg: 25 },
  { kind: 'half-kneeling', kneeDown: 'right' },
  { kind: 'tall-kneeling' },
  { kind: 'seated', seatHeightM: 0.45, backDeg: 80 },
  { kind: 'seated', seatHeightM: 0, backDeg: 90 },
  { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 30 },
  { kind: 'lying', on: 'front', surfaceHeightM: 0.5, backDeg: 45 },
  { kind: 'lying', on: 'left', surfaceHeightM: 0.45, backDeg: 45 },
  { kind: 'hand-and-knee', benchHeightM: 0.45, support: 'left' },
  { kind: 'hand-on-bench', benchHeightM: 0.45, support: 'left', kneeFlexionDeg: 20 },
  { kind: 'forearm-on-thigh', support: 'left', trunkDeg: 35 },
  { kind: 'plank', handHeightM: 0.1 },
  { kind: 'hanging', barHeightM: 2.4 },
  { kind: 'leg-machine', seatHeightM: 0.5, backDeg: 80, thighDeg: 5, kneeFlexionDeg: 80 },
];

/** The posture seen in the sagittal mirror. */
export function mirrored(p: Posture): Posture {
  const flip = (s: Side): Side => (s === 'left' ? 'right' : 'left');
  switch (p.kind) {
    case 'staggered':
      return { ...p, frontFoot: flip(p.frontFoot) };
    case 'half-kneeling':
      return { ...p, kneeDown: flip(p.kneeDown) };
    case 'hand-and-knee':
    case 'hand-on-bench':
    case 'forearm-on-thigh':
      return { ...p, support: flip(p.support) };
    case 'lying':
      return p.on === 'left' || p.on === 'right' ? { ...p, on: flip(p.on) } : p;
    default:
      return p;
  }
}

/** Arm keyframes at even spacing, in the trunk's axes unless said otherwise: pairs of upper arm and forearm. */
export const armPath = (
  frame: 'trunk' | 'floor',
  ...keys: readonly (readonly [Direction, Direction])[]
): KeyframePath => ({
  kind: 'arm',
  frame,
  keys: keys.map(([upper, fore], i) => ({ at: keys.length === 1 ? 0 : i / (keys.length - 1), upper, fore })),
});

export function profilePath(body: Body, path: ChainPath, action: JointAction, loads: readonly Load[]) {
  const target = targetOf(path, action);
  const track = buildLimbTrack(body, path, target);
  const samples = allocateSamples(track.samples);
  return { path, target, track, samples, metrics: profileLoads(track, loads, samples) };
}

/** Pose and profile in one go, right side. */
export function lift(
  body: Body,
  posture: Posture,
  keys: KeyframePath,
  action: JointAction,
  loads: readonly Load[],
  motion: readonly BodyKey[] = [],
) {
  return profilePath(body, poseKeyframes(body, posture, keys, 'right', motion), action, loads);
}

export const weight = (massKg: number): Load => ({ kind: 'weight', massKg });

import { signOf } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { centreOfMass, shareOnHands } from '@/core/body/centre-of-mass';
import { dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { MachineKind } from '@/core/kit/machine';
import { readTable } from '@/core/kit/force-table';
import type { Load } from '@/core/mechanics/load';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry } from './book-entry';
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

/**
 * Loads of a movement without a cable, on one side; `loadKg` is the dumbbell, the bar with its plates, the plates of a
 * landmine, or the stack.
 */
export function entryLoads(entry: BookEntry, posed: PosedEntry, body: Body, loadKg: number, kit: StationKit): Load[] {
  const { load } = entry;
  const { path, target, pose } = posed;
  const last = path.contact.length - 1;
  const mid = Math.round(last / 2);
  const from = path.contact[0]!;
  const to = path.contact[last]!;
  switch (load.kind) {
    case 'cable':
      throw new Error(`entryLoads: ${entry.id} hangs on a cable; solve its place first`);
    case 'weight':
      return [{ kind: 'weight', massKg: loadKg * load.share }];
    case 'landmine':
      return [
        {
          kind: 'landmine',
          pivot: landminePivot(from, load.at, path.side, kit.landmine),
          bar: {
            barKg: kit.landmine.barKg,
            barM: kit.landmine.barM,
            platesKg: loadKg,
            platesAtM: kit.landmine.platesAtM,
          },
          share: load.share,
        },
      ];
    case 'machine': {
      const stackN = loadKg * GRAVITY_MS2;
      const measured = kit.machines[load.machine];
      const usualArmM = USUAL_ARM_M[load.machine];
      if (usualArmM === undefined || measured?.path.kind === 'guide') {
        // A press runs on a guide, or on an arm so long that the hand's way is nearly straight.
        const back = normalise(subtract(from, to));
        if (!measured) return [{ kind: 'guide', direction: back, forceN: stackN / 2 }];
        if (measured.path.kind === 'arc')
          return [
            {
              kind: 'guide',
              direction: back,
              forceN: (stackN * readTable(measured.path.momentArm, 0)) / measured.path.radiusM / 2,
            },
          ];
        // The guide's own slope, against the way the hand goes.
        const rise = (measured.path.guideDeg * Math.PI) / 180;
        const along: Vec3 = [Math.cos(rise), Math.sin(rise), 0];
        return [
          {
            kind: 'guide',
            direction: dot(along, back) >= 0 ? along : scale(along, -1),
            forceN: (stackN * measured.path.ratio) / 2,
          },
        ];
      }
      const table = measured?.path.kind === 'arc' ? measured.path.momentArm : [{ x: 0, y: usualArmM }];
      const joint = target.joint === 'middle' ? path.middle[mid]! : path.proximal[mid]!;
      // The limb drives the arm about its own axis: the stack turns it back.
      return [
        {
          kind: 'arc',
          centre: joint,
          axis: target.axis[mid]!,
          stackN: stackN / 2,
          arm: { zero: subtract(from, joint), table },
        },
      ];
    }
    case 'body': {
      const weight = body.massKg * GRAVITY_MS2;
      if (load.on === 'bar') return [{ kind: 'held', forceN: [0, (weight - (load.band ? kit.bandN : 0)) / 2, 0] }];
      if (load.on === 'floor') {
        const share = shareOnHands(centreOfMass(body, pose)[0], 0, pose.leg.left.toe[0]);
        return [{ kind: 'held', forceN: [0, (weight * share) / 2, 0] }];
      }
      const rise = (STRAP_RISE_DEG * Math.PI) / 180;
      return [{ kind: 'held', forceN: scale([Math.cos(rise), Math.sin(rise), 0], (weight * STRAP_SHARE) / 2) }];
    }
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

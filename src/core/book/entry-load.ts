import type { Body } from '@/core/body/body-model';
import { centreOfMass, shareOnHands } from '@/core/body/centre-of-mass';
import { normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { MachineKind } from '@/core/kit/machine';
import type { TablePoint } from '@/core/kit/force-table';
import type { Load } from '@/core/mechanics/load';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { BookEntry } from './book-entry';
import type { PosedEntry } from './pose-entry';

/** Kit that a movement without a cable is loaded by; what is usual stands where nothing is measured. */
export interface LoadKit {
  /** Moment arm of a machine's arc by angle, degrees and metres. */
  readonly momentArm: (machine: MachineKind) => readonly TablePoint[];
  /** Force over stack on guided machines. */
  readonly guideRatio: number;
  readonly landmine: { readonly pivotHeightM: number; readonly barKg: number; readonly barM: number; readonly platesAtM: number };
  /** Help of a band on a bar, both hands together, newtons. */
  readonly bandN: number;
}

/** Usual kit (common practice); measured kit replaces it. */
export const USUAL_LOAD_KIT: LoadKit = { momentArm: (m) => [{ x: 0, y: m === 'leg-extension' || m === 'leg-curl' ? 0.25 : 0.35 }], guideRatio: 1, landmine: { pivotHeightM: 0.09, barKg: 20, barM: 2.18, platesAtM: 1.96 }, bandN: 150 };

/** Where along the bar the hand holds it, share of its length (common practice: just inside or on the thick end). */
const GRIP_ON_BAR = 0.88;
/** Part of the body's weight in the straps when leaning back about 45 degrees (our judgement), and their rise above level. */
const STRAP_SHARE = 0.6;
const STRAP_RISE_DEG = 35;

/** A landmine's pivot for the grip at the start: on the floor behind the hand, or to its free side when standing square. */
function landminePivot(grip: Vec3, at: 'alongside' | 'square' | 'between', side: 'left' | 'right', kit: LoadKit['landmine']): Vec3 {
  const reach = GRIP_ON_BAR * kit.barM;
  const level = Math.sqrt(Math.max(0.01, reach ** 2 - (grip[1] - kit.pivotHeightM) ** 2));
  if (at === 'square') return [grip[0], kit.pivotHeightM, grip[2] + (side === 'right' ? -1 : 1) * level];
  return [grip[0] - level, kit.pivotHeightM, at === 'between' ? 0 : grip[2]];
}

/** Loads of a movement without a cable, on one side; `loadKg` is the dumbbell, the bar with its plates, the plates of a landmine, or the stack. */
export function entryLoads(entry: BookEntry, posed: PosedEntry, body: Body, loadKg: number, kit: LoadKit): Load[] {
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
      return [{ kind: 'landmine', pivot: landminePivot(from, load.at, path.side, kit.landmine), bar: { barKg: kit.landmine.barKg, barM: kit.landmine.barM, platesKg: loadKg, platesAtM: kit.landmine.platesAtM }, share: load.share }];
    case 'machine': {
      const stackN = loadKg * GRAVITY_MS2;
      const turns = load.machine === 'leg-extension' || load.machine === 'leg-curl' || load.machine === 'chest-fly' || load.machine === 'reverse-fly';
      if (!turns) return [{ kind: 'guide', direction: normalise(subtract(from, to)), forceN: (stackN * kit.guideRatio) / 2 }];
      const joint = target.joint === 'middle' ? path.middle[mid]! : path.proximal[mid]!;
      // The limb drives the arm about its own axis: the stack turns it back.
      return [{ kind: 'arc', centre: joint, axis: target.axis[mid]!, stackN: stackN / 2, arm: { zero: subtract(from, joint), table: kit.momentArm(load.machine) } }];
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

import { GRAVITY_MS2 } from '@/core/units/mass';
import type { Band } from '@/core/kit/band';
import type { StationKit } from '@/core/book/station-kit';
import type { AttachmentShape } from '@/core/kit/attachment';
import { calibrateNotches, type Bench } from '@/core/kit/bench';
import { calibrateRuler, type HoleRuler } from '@/core/kit/calibrate-ruler';
import { calibrateArms, type Column, type Room } from '@/core/kit/column';
import type { Machine, PreacherBench } from '@/core/kit/machine';
import { toStackSteps } from '@/core/load/stack-steps';
import { kgToGrams, lbToGrams, type LoadUnit } from '@/core/units/mass';
import { toReadings, type KitSpec } from './kit-spec';

/** Core's kit from checked specs: metres, degrees, grams. Misfits cannot come here; they throw. */

/** Straps are set so that the handles hang about this high, and no shorter than this, metres (common practice). */
const HANDS_HANG_M = 0.95;
const LEAST_STRAP_M = 0.5;

type Typed = { readonly hole: number; readonly heightCm: number };

function toRuler(readings: readonly Typed[], holes: number, numberedFrom: 'bottom' | 'top'): HoleRuler {
  const fit = calibrateRuler(toReadings(readings), holes, numberedFrom);
  if (!fit.ok) throw new Error(`kit: stored readings do not fit (${fit.reason})`);
  return { firstHoleM: fit.firstHoleM, pitchM: fit.pitchM, holes, numberedFrom };
}

export const toGrams = (loads: readonly number[], unit: LoadUnit): number[] =>
  loads.map(unit === 'kg' ? kgToGrams : lbToGrams);

export function toCoreColumn(s: KitSpec<'column'>): {
  readonly column: Column;
  readonly room: Room;
  readonly stackG: readonly number[];
  readonly stackUnit: LoadUnit;
} {
  const base = {
    holes: s.holes,
    numberedFrom: s.numberedFrom,
    pulleyRatio: s.pulleyRatio,
    clearanceM: s.clearanceCm / 100,
    travelM: s.travelCm / 100,
    floorPlateM: s.floorPlateCm / 100,
    twinSpacingM: s.columnKind === 'single' ? 0 : s.twinSpacingCm! / 100,
  };
  const room = { minDistanceM: s.minDistanceCm / 100, maxDistanceM: s.maxDistanceCm / 100 };
  const stackG = withAddOns(toGrams(s.stack, s.stackUnit), toGrams(s.addOns, s.stackUnit));
  if (s.columnKind === 'arms') {
    const [pivotHeightM, armM] = [s.pivotHeightCm! / 100, s.armCm! / 100];
    const fit = calibrateArms(toReadings(s.readings), pivotHeightM, armM, s.numberedFrom);
    if (!fit) throw new Error('kit: stored readings do not fit the arms');
    return {
      column: {
        ...base,
        kind: 'arms',
        pivotHeightM,
        armM,
        firstDeg: fit.firstDeg,
        pitchDeg: fit.pitchDeg,
        swingDeg: s.swingDeg,
      },
      room,
      stackG,
      stackUnit: s.stackUnit,
    };
  }
  const leftRuler =
    s.columnKind === 'twin' && s.leftNumbering === 'own'
      ? toRuler(s.leftReadings, s.leftHoles!, s.leftNumberedFrom)
      : null;
  return {
    column: { ...base, kind: s.columnKind, ...toRuler(s.readings, s.holes, s.numberedFrom), leftRuler },
    room,
    stackG,
    stackUnit: s.stackUnit,
  };
}

/** Every load of a stack with none, one or several of its add-on plates, each used once; integer grams. */
function withAddOns(stackG: readonly number[], addOnsG: readonly number[]): number[] {
  let extras = [0];
  for (const a of addOnsG) extras = [...extras, ...extras.map((x) => x + a)];
  return toStackSteps(stackG.flatMap((g) => extras.map((x) => g + x)));
}

export const toAttachmentShape = (s: KitSpec<'attachment'>): AttachmentShape => ({
  kind: s.attachmentKind,
  lengthM: s.lengthCm / 100,
  handsM: s.handsFromCm === undefined ? null : [s.handsFromCm / 100, s.handsToCm! / 100],
  swivels: s.swivels === 'yes',
});

export const toBench = (s: KitSpec<'bench'>): Bench => ({
  seatHeightM: s.seatHeightCm / 100,
  backDeg: s.notches === 1 ? [s.notchReadings[0]!.deg] : calibrateNotches(s.notchReadings, s.notches)!.anglesDeg,
  seatDeg: s.seatDeg,
  feetApartM: s.feetApartCm / 100,
  blockHeightsM: s.blocksCm.map((b) => b / 100),
});

export const toPreacher = (s: KitSpec<'preacher'>): PreacherBench => ({
  seat: toRuler(s.readings, s.holes, s.numberedFrom),
  padTopM: s.padTopCm / 100,
  padDeg: s.padDeg,
  padM: s.padCm / 100,
});

export const toMachine = (s: KitSpec<'machine'>): Machine => ({
  kind: s.machineKind,
  seat: s.seatHoles === undefined ? null : toRuler(s.seatReadings, s.seatHoles, s.seatNumberedFrom),
  back: s.backHoles === undefined ? null : toRuler(s.backReadings, s.backHoles, s.backNumberedFrom),
  axisOverSeatM: (s.axisOverSeatCm ?? 0) / 100,
  handleHeightM: (s.handleHeightCm ?? 0) / 100,
  path:
    s.pathKind === 'arc'
      ? { kind: 'arc', radiusM: s.radiusCm! / 100, momentArm: s.momentArms.map((r) => ({ x: r.deg, y: r.cm / 100 })) }
      : { kind: 'guide', guideDeg: s.guideDeg!, ratio: s.guideRatio! },
  independentArms: s.independentArms === 'yes',
});

export const toLandmine = (s: KitSpec<'landmine'>): StationKit['landmine'] => ({
  pivotHeightM: s.pivotHeightCm / 100,
  barKg: s.barKg,
  barM: s.barCm / 100,
  platesAtM: s.platesAtCm / 100,
});

/** Straps on their anchor: long enough to hang about the hips, as they are usually set. */
export const toStraps = (s: KitSpec<'strap-anchor'>): StationKit['straps'] => ({
  anchorM: s.heightCm / 100,
  strapM: Math.max(LEAST_STRAP_M, s.heightCm / 100 - HANDS_HANG_M),
});

/** A band as typed, for the solver. */
export const toBand = (spec: KitSpec<'band'>): Band => ({
  restM: spec.restCm / 100,
  table: spec.table.map((r) => ({ x: r.stretchCm / 100, y: r.kg * GRAVITY_MS2 })),
});

import { GRAVITY_MS2 } from '@/core/units/mass';
import { z } from 'zod';
import { MACHINE_KINDS } from '@/core/kit/machine';
import type { StationKit } from '@/core/book/station-kit';
import { USUAL_KIT } from '@/core/book/station-kit';
import { columnSchema, rulerSchema } from './column-schema';
import { numberBetween, oneOf } from './field';
import { EXPECTED } from '@/messages/expected';

/** Where a client may stand when a case does not say. */
const DEFAULT_ROOM = { minDistanceM: -0.3, maxDistanceM: 2 } as const;

const arc = z.strictObject({
  kind: z.literal('arc'),
  radiusM: numberBetween(0.1, 1.5, 'm'),
  momentArm: z
    .array(z.strictObject({ x: numberBetween(-180, 180, 'degrees'), y: numberBetween(0, 1, 'm') }))
    .min(1)
    .max(12)
    .describe('moment arm of the stack (y, m) over the angle of the arm (x, degrees)'),
});
const guide = z.strictObject({
  kind: z.literal('guide'),
  guideDeg: numberBetween(-90, 90, 'degrees'),
  ratio: numberBetween(0.1, 4),
});

const machineSchema = z.strictObject({
  kind: oneOf(MACHINE_KINDS),
  seat: rulerSchema.nullable().default(null).describe('height of the seat by hole'),
  back: rulerSchema.nullable().default(null).describe('distance of the back pad from the axis by hole'),
  axisOverSeatM: numberBetween(-0.2, 0.6, 'm').default(0),
  handleHeightM: numberBetween(0, 2.5, 'm').default(0),
  path: z.discriminatedUnion('kind', [arc, guide]),
  independentArms: z.boolean().default(false),
});
const benchSchema = z.strictObject({
  seatHeightM: numberBetween(0.2, 0.8, 'm'),
  backDeg: z
    .array(numberBetween(-30, 95, 'degrees'))
    .min(1, { error: EXPECTED.oneNotch })
    .max(20, { error: EXPECTED.atMost(20, 'notches') })
    .describe('back above level by notch, notch 1 first'),
  seatDeg: z
    .array(numberBetween(-10, 45, 'degrees'))
    .max(20)
    .default([]),
  feetApartM: numberBetween(0.4, 2.5, 'm').default(1.1),
  blockHeightsM: z
    .array(numberBetween(0.005, 0.6, 'm'))
    .max(20)
    .default([]),
});
const preacherSchema = z.strictObject({
  seat: rulerSchema,
  padTopM: numberBetween(0.4, 1.6, 'm'),
  padDeg: numberBetween(0, 90, 'degrees'),
  padM: numberBetween(0.15, 0.8, 'm'),
});
const landmineSchema = z.strictObject({
  pivotHeightM: numberBetween(0, 0.6, 'm'),
  barKg: numberBetween(1, 60, 'kg'),
  barM: numberBetween(0.6, 2.6, 'm'),
  platesAtM: numberBetween(0.5, 2.5, 'm'),
});

const strapsSchema = z
  .strictObject({
    anchorM: numberBetween(0.1, 4, 'm'),
    strapM: numberBetween(0.2, 3.5, 'm').describe('from the anchor to the middle of the hand'),
  })
  .refine(({ anchorM, strapM }) => anchorM - strapM >= 0.5 && anchorM - strapM <= 1.3, {
    path: ['strapM'],
    error: EXPECTED.handlesHang,
  });

const bandSchema = z
  .strictObject({
    restM: numberBetween(0.05, 3, 'm'),
    table: z
      .array(z.strictObject({ stretchM: numberBetween(0, 4, 'm'), forceN: numberBetween(0, 1500, 'N') }))
      .min(2, EXPECTED.twoRows),
  })
  .refine((b) => b.table.every((r, i) => i === 0 || r.stretchM > b.table[i - 1]!.stretchM), {
    path: ['table'],
    error: EXPECTED.risingStretches,
  });

/**
 * Kit of a case: a column for what hangs on a cable, whatever else the movement is done on; what is left out is as
 * usual.
 */
export const stationSchema = z.strictObject({
  column: columnSchema.optional().describe('needed by every movement that hangs on a cable'),
  room: z
    .strictObject({
      minDistanceM: numberBetween(-2, 2, 'm').default(DEFAULT_ROOM.minDistanceM),
      maxDistanceM: numberBetween(0, 6, 'm').default(DEFAULT_ROOM.maxDistanceM),
    })
    .default(DEFAULT_ROOM),
  bench: benchSchema.optional(),
  preacher: preacherSchema.optional(),
  machine: machineSchema.optional(),
  landmine: landmineSchema.optional(),
  straps: strapsSchema.optional(),
  band: bandSchema.optional().describe('the band of an assisted pull-up, from the bar to the foot'),
  bandKg: numberBetween(0, 100, 'kg').optional().describe('help of a band that is not measured, both hands together'),
});
export type StationCase = z.output<typeof stationSchema>;

/** Core's kit beside the column. */
export function toStationKit(s: StationCase): StationKit {
  return {
    surfaces: s.bench ? { ...USUAL_KIT.surfaces, benchHeightM: s.bench.seatHeightM } : USUAL_KIT.surfaces,
    bench: s.bench ?? null,
    preacher: s.preacher ?? null,
    machines: s.machine ? { [s.machine.kind]: s.machine } : {},
    landmine: s.landmine ?? USUAL_KIT.landmine,
    straps: s.straps ?? USUAL_KIT.straps,
    band: s.band ? { restM: s.band.restM, table: s.band.table.map((r) => ({ x: r.stretchM, y: r.forceN })) } : null,
    bandN: s.bandKg === undefined ? USUAL_KIT.bandN : s.bandKg * GRAVITY_MS2,
  };
}

/** The part of a gym's kit that a movement uses, in the case format. */
export function fromStationKit(
  kit: StationKit,
  machine: keyof StationKit['machines'] | null,
): Omit<z.input<typeof stationSchema>, 'column' | 'room'> {
  const own = machine === null ? undefined : kit.machines[machine];
  return {
    ...(kit.bench
      ? {
          bench: {
            ...kit.bench,
            backDeg: [...kit.bench.backDeg],
            seatDeg: [...kit.bench.seatDeg],
            blockHeightsM: [...kit.bench.blockHeightsM],
          },
        }
      : {}),
    ...(kit.preacher ? { preacher: kit.preacher } : {}),
    ...(own
      ? {
          machine: {
            ...own,
            path: own.path.kind === 'arc' ? { ...own.path, momentArm: [...own.path.momentArm] } : own.path,
          },
        }
      : {}),
    landmine: kit.landmine,
    straps: kit.straps,
    ...(kit.band
      ? { band: { restM: kit.band.restM, table: kit.band.table.map(({ x, y }) => ({ stretchM: x, forceN: y })) } }
      : {}),
  };
}

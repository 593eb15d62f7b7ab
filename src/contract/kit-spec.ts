import { z } from 'zod';
import { ATTACHMENT_KINDS } from '@/core/kit/attachment';
import { calibrateNotches } from '@/core/kit/bench';
import { calibrateRuler, type RulerMisfit } from '@/core/kit/calibrate-ruler';
import { calibrateArms } from '@/core/kit/column';
import { KIT_KINDS, type KitKind } from '@/core/kit/kit-kind';
import { MACHINE_KINDS } from '@/core/kit/machine';
import { readNumberList } from '@/core/units/number-list';
import { LOAD_UNITS } from '@/core/units/mass';
import { COLUMN_KINDS } from './column-schema';
import { numberBetween, oneOf, text, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

/** Each kind is kept as it is typed: centimetres, degrees, and loads in the unit of the plates. */
const NUMBERED_FROM = ['bottom', 'top'] as const;

/** Numbers typed in one box, single or by range, with spaces or commas between; an empty box is none. */
const numbers = (min: number, max: number, unit: string, least = 1) => {
  const expected = least > 0 ? EXPECTED.numberList(min, max, unit) : EXPECTED.numberListOrNothing(min, max, unit);
  return z.preprocess(
    (v) => (typeof v === 'string' ? readNumberList(v) : v),
    z
      .array(
        z
          .number({ error: ({ input }) => EXPECTED.entry(String(input), expected) })
          .min(min, { error: ({ input }) => EXPECTED.entry(String(input), expected) })
          .max(max, { error: ({ input }) => EXPECTED.entry(String(input), expected) }),
        { error: expected },
      )
      .min(least, { error: expected })
      .max(80, { error: EXPECTED.atMost(80, 'numbers') }),
  );
};
const loads = (least = 1) => numbers(0.1, 500, '', least);
/** A box that may stay empty. */
export const unlessEmpty = <T extends z.ZodType>(schema: T) =>
  z.preprocess((v) => (v === '' || v === null ? undefined : v), schema.optional());
const cm = (min: number, max: number) => numberBetween(min, max, 'cm');
const reading = z.object({ hole: wholeBetween(1, 60), heightCm: cm(0, 400) });
const readings = z.array(reading).min(2, EXPECTED.twoHoles).max(6, EXPECTED.atMost(6, 'measured holes'));
/** Rows left wholly empty were not measured. */
const fewReadings = z.preprocess(
  (v) => (Array.isArray(v) ? v.filter((r) => r?.hole !== '' || r?.heightCm !== '') : v),
  z.array(reading).max(6, EXPECTED.atMost(6, 'measured holes')),
);

const MISFIT: Readonly<Record<RulerMisfit['reason'], string>> = {
  'too-few': EXPECTED.twoHoles,
  'same-hole': EXPECTED.differentHoles,
  'wrong-direction': EXPECTED.risingHeights,
  'below-floor': EXPECTED.lowestAboveFloor,
};

interface TypedRuler {
  readonly holes: number;
  readonly numberedFrom: 'bottom' | 'top';
  readonly readings: readonly { readonly hole: number; readonly heightCm: number }[];
}

export const toReadings = (r: TypedRuler['readings']) => r.map((x) => ({ hole: x.hole, heightM: x.heightCm / 100 }));

type Report = (path: (string | number)[], message: string) => void;

/** What is wrong with measured holes, told at the field that shows it. */
function checkRuler(r: TypedRuler, at: string, report: Report): void {
  r.readings.forEach((x, i) => {
    if (x.hole > r.holes) report([at, i, 'hole'], EXPECTED.holeUpTo(r.holes));
  });
  const last = r.readings.length - 1;
  const fit = calibrateRuler(toReadings(r.readings), r.holes, r.numberedFrom);
  if (!fit.ok) report([at, last, fit.reason === 'same-hole' ? 'hole' : 'heightCm'], MISFIT[fit.reason]);
  else if (new Set(r.readings.map((x) => x.hole)).size < r.readings.length)
    report([at, last, 'hole'], EXPECTED.eachHoleOnce);
  else if (fit.pitchM < 0.01 || fit.pitchM > 0.5)
    report([at, last, 'heightCm'], EXPECTED.pitch((fit.pitchM * 100).toFixed(1)));
}

const issueAt =
  (ctx: z.RefinementCtx): Report =>
  (path, message) =>
    ctx.addIssue({ code: 'custom', path, message });

const column = z
  .object({
    columnKind: oneOf(COLUMN_KINDS),
    holes: wholeBetween(2, 60),
    numberedFrom: oneOf(NUMBERED_FROM),
    readings,
    leftNumbering: oneOf(['same', 'own']),
    leftHoles: unlessEmpty(wholeBetween(2, 60)),
    leftNumberedFrom: oneOf(NUMBERED_FROM),
    leftReadings: fewReadings,
    twinSpacingCm: unlessEmpty(cm(30, 800)),
    pivotHeightCm: unlessEmpty(cm(0, 300)),
    armCm: unlessEmpty(cm(20, 200)),
    swingDeg: numberBetween(-30, 90, 'degrees'),
    pulleyRatio: numberBetween(0.25, 8),
    clearanceCm: cm(0, 50),
    travelCm: cm(30, 800),
    floorPlateCm: cm(0, 100).default(0),
    minDistanceCm: cm(-200, 200),
    maxDistanceCm: cm(0, 600),
    stack: loads(),
    addOns: loads(0),
    stackUnit: oneOf(LOAD_UNITS),
  })
  .superRefine((s, ctx) => {
    const report = issueAt(ctx);
    const need = (path: keyof typeof s, expected: string): void => {
      if (s[path] === undefined) report([path], expected);
    };
    if (s.columnKind !== 'single') need('twinSpacingCm', EXPECTED.between(30, 800, 'cm'));
    if (s.columnKind === 'arms') {
      need('pivotHeightCm', EXPECTED.between(0, 300, 'cm'));
      need('armCm', EXPECTED.between(20, 200, 'cm'));
      const fit =
        s.pivotHeightCm === undefined || s.armCm === undefined
          ? 'unknown'
          : calibrateArms(toReadings(s.readings), s.pivotHeightCm / 100, s.armCm / 100, s.numberedFrom);
      if (fit === null) report(['readings', s.readings.length - 1, 'heightCm'], EXPECTED.armNotches);
    } else checkRuler(s, 'readings', report);
    if (s.columnKind === 'twin' && s.leftNumbering === 'own') {
      if (s.leftHoles === undefined) report(['leftHoles'], EXPECTED.wholeBetween(2, 60));
      else
        checkRuler(
          { holes: s.leftHoles, numberedFrom: s.leftNumberedFrom, readings: s.leftReadings },
          'leftReadings',
          report,
        );
    }
    if (s.minDistanceCm >= s.maxDistanceCm) report(['maxDistanceCm'], EXPECTED.overNearestPlace);
  });

const attachment = z
  .object({
    attachmentKind: oneOf(ATTACHMENT_KINDS),
    lengthCm: cm(0, 100),
    handsFromCm: unlessEmpty(cm(0, 150)),
    handsToCm: unlessEmpty(cm(0, 150)),
    swivels: oneOf(['yes', 'no']),
  })
  .superRefine((a, ctx) => {
    if ((a.handsFromCm === undefined) !== (a.handsToCm === undefined))
      issueAt(ctx)([a.handsFromCm === undefined ? 'handsFromCm' : 'handsToCm'], EXPECTED.bothHandDistances);
    else if (a.handsFromCm !== undefined && a.handsFromCm > a.handsToCm!)
      issueAt(ctx)(['handsToCm'], EXPECTED.overNarrowest);
  });

const bench = z
  .object({
    seatHeightCm: cm(20, 80),
    notches: wholeBetween(1, 20),
    notchReadings: z
      .array(z.object({ notch: wholeBetween(1, 20), deg: numberBetween(-30, 95, 'degrees') }))
      .min(1, EXPECTED.oneNotch)
      .max(20, EXPECTED.atMost(20, 'notches')),
    seatDeg: numbers(-10, 45, 'degrees', 0),
    feetApartCm: cm(40, 250),
    blocksCm: numbers(0.5, 60, 'cm', 0),
  })
  .superRefine((b, ctx) => {
    const report = issueAt(ctx);
    b.notchReadings.forEach((r, i) => {
      if (r.notch > b.notches) report(['notchReadings', i, 'notch'], EXPECTED.notchUpTo(b.notches));
      if (b.notchReadings.findIndex((x) => x.notch === r.notch) < i)
        report(['notchReadings', i, 'notch'], EXPECTED.eachNotchOnce);
    });
    if (b.notches > 1 && !calibrateNotches(b.notchReadings, b.notches))
      report(['notchReadings', b.notchReadings.length - 1, 'notch'], EXPECTED.differentNotches);
    b.blocksCm.forEach((x) => {
      if (x >= b.feetApartCm) report(['blocksCm'], EXPECTED.blocksUnderBench);
    });
  });

const seat = { holes: wholeBetween(2, 30), numberedFrom: oneOf(NUMBERED_FROM), readings };
const preacher = z
  .object({ ...seat, padTopCm: cm(40, 160), padDeg: numberBetween(0, 90, 'degrees'), padCm: cm(15, 80) })
  .superRefine((p, ctx) => checkRuler(p, 'readings', issueAt(ctx)));

const machine = z
  .object({
    machineKind: oneOf(MACHINE_KINDS),
    seatHoles: unlessEmpty(wholeBetween(2, 30)),
    seatNumberedFrom: oneOf(NUMBERED_FROM),
    seatReadings: fewReadings,
    backHoles: unlessEmpty(wholeBetween(2, 30)),
    backNumberedFrom: oneOf(NUMBERED_FROM),
    backReadings: fewReadings,
    axisOverSeatCm: unlessEmpty(cm(-20, 60)),
    handleHeightCm: unlessEmpty(cm(20, 250)),
    pathKind: oneOf(['arc', 'guide']),
    radiusCm: unlessEmpty(cm(10, 150)),
    momentArms: z.preprocess(
      (v) => (Array.isArray(v) ? v.filter((r) => r?.deg !== '' || r?.cm !== '') : v),
      z
        .array(z.object({ deg: numberBetween(-180, 180, 'degrees'), cm: cm(0, 100) }))
        .max(12, EXPECTED.atMost(12, 'rows')),
    ),
    guideDeg: unlessEmpty(numberBetween(-90, 90, 'degrees')),
    guideRatio: unlessEmpty(numberBetween(0.1, 4)),
    independentArms: oneOf(['yes', 'no']),
    stack: loads(0),
    stackUnit: oneOf(LOAD_UNITS),
  })
  .superRefine((m, ctx) => {
    const report = issueAt(ctx);
    for (const part of ['seat', 'back'] as const) {
      const holes = m[`${part}Holes`];
      if (holes !== undefined)
        checkRuler(
          { holes, numberedFrom: m[`${part}NumberedFrom`], readings: m[`${part}Readings`] },
          `${part}Readings`,
          report,
        );
    }
    const legs = m.machineKind === 'leg-extension' || m.machineKind === 'leg-curl';
    if (legs && m.axisOverSeatCm === undefined) report(['axisOverSeatCm'], EXPECTED.between(-20, 60, 'cm'));
    if (legs && m.backHoles === undefined) report(['backHoles'], EXPECTED.wholeBetween(2, 30));
    if (!legs && m.machineKind !== 'leg-press' && m.handleHeightCm === undefined)
      report(['handleHeightCm'], EXPECTED.between(20, 250, 'cm'));
    if (m.pathKind === 'arc') {
      if (m.radiusCm === undefined) report(['radiusCm'], EXPECTED.between(10, 150, 'cm'));
      if (m.momentArms.length === 0) report(['momentArms', 0, 'cm'], EXPECTED.oneRow);
      m.momentArms.forEach((r, i) => {
        if (i > 0 && r.deg <= m.momentArms[i - 1]!.deg) report(['momentArms', i, 'deg'], EXPECTED.risingAngles);
      });
    } else {
      if (m.guideDeg === undefined) report(['guideDeg'], EXPECTED.between(-90, 90, 'degrees'));
      if (m.guideRatio === undefined) report(['guideRatio'], EXPECTED.between(0.1, 4));
    }
  });

const band = z
  .object({
    restCm: cm(5, 300),
    table: z
      .array(z.object({ stretchCm: cm(0, 400), kg: numberBetween(0, 150, 'kg') }))
      .min(2, EXPECTED.twoRows)
      .max(12, EXPECTED.atMost(12, 'rows')),
  })
  .superRefine((b, ctx) => {
    b.table.forEach((r, i) => {
      if (i > 0 && r.stretchCm <= b.table[i - 1]!.stretchCm)
        issueAt(ctx)(['table', i, 'stretchCm'], EXPECTED.risingStretches);
    });
  });

/** The part of a piece that its kind has of its own, as typed. */
export const KIT_SPEC = {
  column,
  attachment,
  bench,
  preacher,
  machine,
  dumbbells: z.object({ loads: loads(), unit: oneOf(LOAD_UNITS) }),
  plates: z.object({ loads: loads(), pairs: wholeBetween(1, 20), unit: oneOf(LOAD_UNITS) }),
  bar: z.object({ massKg: numberBetween(1, 60, 'kg'), lengthCm: cm(60, 260) }),
  landmine: z.object({
    pivotHeightCm: cm(0, 60),
    barKg: numberBetween(1, 60, 'kg'),
    barCm: cm(60, 260),
    platesAtCm: cm(50, 250),
  }),
  band,
  'strap-anchor': z.object({ heightCm: cm(10, 400) }),
} as const satisfies Record<KitKind, z.ZodType>;

export type KitSpec<K extends KitKind> = z.output<(typeof KIT_SPEC)[K]>;

/** A piece of kit as its sheet gives it. */
export const pieceSchema = z.object({
  name: text(1, 60),
  outOfOrder: oneOf(['yes', 'no']),
  kind: oneOf(KIT_KINDS),
  spec: z.record(z.string(), z.unknown()),
});

/** The kind of kit that an address names; null for none. */
export const readKitKind = (kind: string): KitKind | null => oneOf(KIT_KINDS).safeParse(kind).data ?? null;

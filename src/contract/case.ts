import { noteDefaults } from '@/core/body/client-note';
import { worksOn } from '@/core/book/book-entry';
import { z } from 'zod';
import { entryOf, MOVEMENT_IDS, type MovementId } from '@/core/book/book';
import type { ClientFit } from '@/core/book/client-fit';
import { ATTACHMENT_KINDS } from '@/core/kit/attachment';
import { LENGTH_RATIO } from '@/core/body/segment-ratios';
import { bodyFields, findMeasureSlips } from './body-schema';
import { columnGaps, type ColumnCase } from './column-schema';
import { numberBetween, oneOf, wholeBetween } from './field';
import { optionGaps, optionsSchema } from './options-schema';
import { stationSchema } from './station-schema';
import { EXPECTED } from '@/messages/expected';

export const CASE_FORMAT = 'jorvix-case/1';

/**
 * Hand to pulley needs room beyond the shoulders: the narrowest spacing is the shoulder breadth and this much, metres.
 */
export const SPACING_OVER_SHOULDERS_M = 0.2;

export const placementSchema = z.strictObject({
  hole: wholeBetween(1, 60),
  leftBy: wholeBetween(-59, 59).optional().describe('hole numbers that the left carriage stands above the right one'),
  standX: numberBetween(-3, 6, 'm'),
  standZ: numberBetween(-3, 3, 'm'),
  yawDeg: numberBetween(-180, 180, 'degrees'),
});

/** Every movement of the book by its id. */
export const movementSchema = z.enum(MOVEMENT_IDS as readonly [MovementId, ...MovementId[]], {
  error: EXPECTED.movement,
});

/** The movement that an address names; null for none of the book. */
export const readMovement = (id: string): MovementId | null => movementSchema.safeParse(id).data ?? null;

const plain = z.strictObject({
  format: z.literal(CASE_FORMAT, { error: EXPECTED.format(CASE_FORMAT) }),
  client: z.strictObject(bodyFields),
  station: stationSchema.prefault({}),
  attachment: z
    .strictObject({
      lengthM: numberBetween(0, 1, 'm'),
      kind: oneOf(ATTACHMENT_KINDS)
        .optional()
        .describe(
          'what it is; a rope held in the fist turns the forearm. Left out: it pulls at the middle of the hand',
        ),
      handsM: z
        .tuple([numberBetween(0, 2, 'm'), numberBetween(0, 2, 'm')])
        .optional()
        .describe('narrowest and widest hand to hand; left out: as usual for its kind'),
    })
    .optional()
    .describe('needed by every movement that hangs on a cable'),
  movement: movementSchema,
  side: oneOf(['left', 'right', 'both']),
  options: optionsSchema.default({}),
  loadKg: numberBetween(0, 500, 'kg').describe(
    'stack, dumbbell, bar with its plates, or the plates of a landmine; nothing where the body is the load',
  ),
  given: placementSchema.partial().optional(),
  lastUsed: placementSchema.optional().describe('a set-up that worked before; it is not moved for nothing'),
});

type Report = (path: (string | number)[], message: string) => void;

function checkColumn(column: ColumnCase, shoulders: number, report: Report): void {
  for (const gap of columnGaps(column)) report(['station', 'column', gap.path], gap.message);
  const rise = column.numberedFrom === 'top' ? (column.firstHoleM ?? 0) - (column.holes - 1) * (column.pitchM ?? 0) : 0;
  if (column.kind !== 'arms' && rise < 0) report(['station', 'column', 'firstHoleM'], EXPECTED.lowestHoleAboveFloor);
  const narrowest = shoulders + SPACING_OVER_SHOULDERS_M;
  if (column.kind === 'twin' && column.twinSpacingM !== undefined && column.twinSpacingM < narrowest) {
    report(['station', 'column', 'twinSpacingM'], EXPECTED.spacingOverShouldersM(narrowest.toFixed(2)));
  }
}

/**
 * The solver's case. Cross-field rules: measures fit the stature, the kit fits the movement, holes lie on the column,
 * the spacing clears the shoulders.
 */
export const caseSchema = plain.superRefine((c, ctx) => {
  const report: Report = (path, message) => ctx.addIssue({ code: 'custom', path, message });
  for (const slip of findMeasureSlips(c.client.statureM, c.client.measuredM)) {
    const expected =
      slip.kind === 'span'
        ? EXPECTED.spanM(slip.minM, slip.maxM, c.client.statureM)
        : EXPECTED.heightBeside(slip.above, `the one given for ${slip.than}`);
    report(['client', 'measuredM', slip.name], expected);
  }
  const { column, room } = c.station;
  const entry = entryOf(c.movement);
  const onCable = entry.load.kind === 'cable';
  if (column)
    checkColumn(column, c.client.measuredM.shoulderBreadth ?? LENGTH_RATIO.shoulderBreadth * c.client.statureM, report);
  else if (onCable) report(['station', 'column'], EXPECTED.cableObject);
  if (c.attachment?.handsM && c.attachment.handsM[0] > c.attachment.handsM[1])
    report(['attachment', 'handsM', 1], EXPECTED.atLeastM(c.attachment.handsM[0]));
  if (onCable && !c.attachment) report(['attachment'], EXPECTED.cableObject);
  if (room.minDistanceM >= room.maxDistanceM) report(['station', 'room', 'maxDistanceM'], EXPECTED.overMinDistance);
  if (!worksOn(entry, c.side)) report(['side'], entry.hands === 'two' ? EXPECTED.bothSides : EXPECTED.oneSide);
  const straddles = c.options.practices?.['row-base'] ?? c.options.schools?.['row-base'];
  if (straddles === 'knee-on-bench' && noteDefaults(c.client.notes).avoidStraddle)
    report(['options', 'practices', 'row-base'], EXPECTED.easyOnAbdomen);
  if (c.station.machine && entry.load.kind === 'machine' && c.station.machine.kind !== entry.load.machine)
    report(['station', 'machine', 'kind'], EXPECTED.forMovement(entry.load.machine));
  for (const key of ['given', 'lastUsed'] as const) {
    if (c[key] && !onCable) report([key], EXPECTED.noColumnPlace);
    const hole = c[key]?.hole;
    if (hole !== undefined && column && hole > column.holes)
      report([key, 'hole'], EXPECTED.wholeBetween(1, column.holes));
    const leftBy = c[key]?.leftBy;
    if (!leftBy) continue;
    const left = hole === undefined ? null : hole + leftBy;
    if (c.side !== 'both' || (entry.load.kind === 'cable' && entry.load.shared))
      report([key, 'leftBy'], EXPECTED.twoCablesOnly);
    else if (left === null) report([key, 'hole'], EXPECTED.rightCarriageHole);
    else if (column && (left < 1 || left > column.holes))
      report([key, 'leftBy'], EXPECTED.leftCarriageBetween(column.holes, left));
  }
  for (const gap of optionGaps(entry, c.options)) report(['options', ...gap.path], gap.message);
});

export type Case = z.output<typeof caseSchema>;
export type CaseInput = z.input<typeof caseSchema>;

/** What was measured of a case's client that bends paths. */
export const fitOfCase = (client: Case['client']): ClientFit => ({
  armPathDeg: Object.fromEntries(
    Object.entries(client.armPathDeg).filter(([, v]) => v !== undefined),
  ) as ClientFit['armPathDeg'],
  chestLineDeg: client.chestLineDeg ?? null,
});

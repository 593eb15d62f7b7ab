import { WORKING_SIDES } from '@/core/body/side';
import { keptOptionsSchema } from './records/options-record';
import { CORRECTION_CODES, REMEDY_ORDER } from '@/core/movement/correction-code';
import { z } from 'zod';
import { OUTCOMES, type FloorEvent } from '@/core/record/floor-event';
import { FAULT_CODES } from '@/core/movement/fault-code';
import { KEPT_HZ, MOST_PACKED } from '@/core/trace/pack-trace';
import { HALVES, MOST_SET_REPS, SCHEME_LIMITS, SCHEMES, type SchemeChoices } from '@/core/tempo/scheme';
import { SECTION_LIMITS } from '@/core/tempo/tempo';
import { movementSchema, placementSchema } from './case';
import { numberBetween, oneOf, text, wholeBetween, type FieldIssue } from './field';
import { EXPECTED } from '@/messages/expected';

const id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, { error: EXPECTED.eventId });

const base = {
  id,
  actorId: id,
  deviceId: id,
  seq: z.int().min(0),
  // A tablet's clock may stand at its maker's first day or run years ahead: order does not rest on it. Up to year 3000.
  atMs: numberBetween(1, 32_503_680_000_000, 'ms'),
  clientId: id,
  itemId: id,
  movement: movementSchema,
};

const loadG = wholeBetween(0, 500_000);
const rep = wholeBetween(0, MOST_SET_REPS);
const within = ([least, most]: readonly [number, number]) => wholeBetween(least, most);

/** What a trainer has changed of a scheme. */
const choicesSchema = z.strictObject({
  reps: z.array(within(SCHEME_LIMITS.reps).nullable()).max(6),
  drops: within(SCHEME_LIMITS.drops).nullable(),
  dropPercent: within(SCHEME_LIMITS.dropPercent).nullable(),
  half: oneOf(HALVES).nullable(),
  slow: z
    .union([
      z.literal('none'),
      z
        .strictObject({
          fromDeg: within(SECTION_LIMITS.deg),
          toDeg: within(SECTION_LIMITS.deg),
          seconds: within(SECTION_LIMITS.seconds),
        })
        .refine((s) => s.fromDeg < s.toDeg, { path: ['toDeg'], error: EXPECTED.overFirstAngle }),
    ])
    .nullable(),
  reserve: within(SCHEME_LIMITS.reserve).nullable(),
}) satisfies z.ZodType<SchemeChoices>;
const side = oneOf(WORKING_SIDES);

/** Everything that is tapped on the floor, as it crosses from the device to the server. */
export const floorEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...base,
    kind: z.literal('setup-saved'),
    placement: placementSchema.nullable(),
    solved: placementSchema.nullable(),
    off: z.boolean(),
    stationId: id.nullable(),
    attachmentId: id.nullable(),
    side,
    options: keptOptionsSchema,
  }),
  z.strictObject({ ...base, kind: z.literal('scheme-chosen'), scheme: oneOf(SCHEMES), choices: choicesSchema }),
  z.strictObject({
    ...base,
    kind: z.literal('set-started'),
    setId: id,
    setNo: wholeBetween(1, 60),
    loadG,
    targetReps: wholeBetween(1, MOST_SET_REPS),
    tempo: text(1, 60),
    scheme: oneOf(SCHEMES).optional(),
    choices: choicesSchema.optional(),
    bandId: id.optional(),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('part'),
    setId: id,
    part: wholeBetween(1, 20),
    reps: rep,
    loadG,
    standX: numberBetween(-3, 6, 'm').nullable(),
  }),
  z.strictObject({ ...base, kind: z.literal('rep'), setId: id, rep }),
  z.strictObject({
    ...base,
    kind: z.literal('fault'),
    setId: id,
    rep,
    fault: oneOf(FAULT_CODES),
    side,
    severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
  }),
  z.strictObject({ ...base, kind: z.literal('clean'), setId: id, rep }),
  z.strictObject({ ...base, kind: z.literal('set-note'), setId: id, note: text(0, 1000) }),
  z.strictObject({ ...base, kind: z.literal('undo'), eventId: id }),
  z.strictObject({
    ...base,
    kind: z.literal('trace'),
    setId: id,
    hz: numberBetween(0.01, KEPT_HZ, 'readings a second'),
    data: z
      .string()
      .max(MOST_PACKED, { error: EXPECTED.atMostCharacters(MOST_PACKED) })
      .regex(/^[\w-]+$/, { error: EXPECTED.trace }),
  }),
  z.strictObject({ ...base, kind: z.literal('set-ended'), setId: id, reps: rep }),
  z.strictObject({ ...base, kind: z.literal('set-confirmed'), setId: id, loadG, reps: rep }),
  z.strictObject({ ...base, kind: z.literal('pain'), setId: id.nullable(), rep }),
  z.strictObject({ ...base, kind: z.literal('pain-note'), painId: id, note: text(0, 1000) }),
  z.strictObject({ ...base, kind: z.literal('go-ahead'), why: text(3, 400) }),
  z.strictObject({
    ...base,
    kind: z.literal('correction'),
    setId: id,
    fault: oneOf(FAULT_CODES),
    correction: oneOf(CORRECTION_CODES),
    cause: oneOf(REMEDY_ORDER),
  }),
  z.strictObject({ ...base, kind: z.literal('outcome'), correctionId: id, setId: id, outcome: oneOf(OUTCOMES) }),
]) satisfies z.ZodType<FloorEvent>;

/** One delivery from a device's outbox. Each event is judged by itself, so that one that is wrong holds up no other. */
export const deliverySchema = z.strictObject({
  // The database that the page was opened from: another one must not take its taps.
  databaseId: id.optional(),
  events: z.array(z.looseObject({ id })).min(1).max(200),
});

export interface RefusedEvent extends FieldIssue {
  readonly id: string;
}

export interface DeliveryReply {
  /** The server's clock when it answered, milliseconds. */
  readonly nowMs: number;
  /** Ids now safe in the database, new or known before. */
  readonly kept: readonly string[];
  /** Ids that will never be kept as they are, and why. */
  readonly refused: readonly RefusedEvent[];
}

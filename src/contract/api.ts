import { z } from 'zod';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import { FLOOR_EVENT_KINDS } from '@/core/record/floor-event';
import { API_EXPECTED } from '@/messages/api';
import { EXPECTED } from '@/messages/expected';
import { MASS_MAX_KG, MASS_MIN_KG } from './body-schema';

/** How many items a list gives at once, and where it goes on. */
export const pageQuery = z.object({
  cursor: z
    .string()
    .regex(/^[\w-]{1,200}$/, API_EXPECTED.cursor)
    .optional()
    .describe('`next` of the list before'),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});
/** A list that may go on. */
export const pageOf = <T extends z.ZodType>(item: T) =>
  z.object({ items: z.array(item), next: z.string().nullable().describe('null at the end') });

/** A day as programs say it. */
export const apiDay = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, EXPECTED.day)
  .describe('like 2026-11-24');

const id = z.string().describe('as it stands in addresses');
const atMs = z.number().int().describe('milliseconds since 1970, UTC');

export const apiClient = z
  .object({
    id,
    name: z.string(),
    statureM: z.number(),
    massKg: z.number(),
    isMassEstimated: z.boolean(),
    measuredM: z.record(z.string(), z.number()).describe('what the tape said, metres'),
    notes: z.array(z.string()),
    note: z.string(),
  })
  .meta({ id: 'Client' });

/** A client as programs enter one; what else there is to measure is entered on the sheet. */
export const apiNewClient = z
  .object({
    name: z.string().trim().min(1).max(80),
    statureCm: z.number().min(120).max(230),
    massKg: z.number().min(MASS_MIN_KG).max(MASS_MAX_KG).optional().describe('left out it is estimated'),
    note: z.string().max(400).default(''),
  })
  .strict()
  .meta({ id: 'NewClient' });

export const apiKit = z
  .object({
    id,
    gymId: z.string(),
    kind: z.string(),
    name: z.string(),
    isOutOfOrder: z.boolean(),
    isMeasured: z.boolean().describe('false where its sizes are only usual ones'),
    spec: z.record(z.string(), z.unknown()).describe('what was measured of it'),
  })
  .meta({ id: 'KitPiece' });

export const apiGym = z
  .object({ id, name: z.string(), saidIn: z.string().describe('how lengths and masses are said there') })
  .meta({ id: 'Gym' });

/** A piece of kit as programs enter it: as its sheet does, in centimetres, degrees and the unit of its plates. */
export const apiKitPiece = z
  .object({
    kind: z.enum(KIT_KINDS),
    name: z.string().trim().min(1).max(60),
    isOutOfOrder: z.boolean().default(false),
    spec: z.record(z.string(), z.unknown()).describe('what its kind is measured by, as pieces of that kind show it'),
  })
  .strict()
  .meta({ id: 'KitPieceSheet' });

/** A new piece of kit, and the gym that it stands in. */
export const apiNewKit = apiKitPiece.extend({ gymId: z.string() }).meta({ id: 'NewKitPiece' });

/** What was tapped, or set up as used, by another program: judged one by one. */
export const apiDelivery = z
  .object({
    events: z
      .array(
        z.looseObject({
          id: z.string().describe('made by the program; sent twice it is kept once'),
          deviceId: z.string(),
          seq: z.int().min(0).describe('counts up on one device'),
          atMs,
          clientId: z.string(),
          itemId: z.string().describe('the planned movement'),
          movement: z.string(),
          kind: z.enum(FLOOR_EVENT_KINDS).describe('setup-saved is a set-up as it was used; its fields follow it'),
        }),
      )
      .min(1)
      .max(200),
  })
  .strict()
  .meta({ id: 'Delivery' });

export const apiKept = z
  .object({
    kept: z.array(z.string()).describe('ids that are on record now'),
    refused: z
      .array(z.object({ id: z.string(), path: z.string(), message: z.string() }))
      .describe('ids that will not be kept as they are, and what is expected'),
  })
  .meta({ id: 'Kept' });

export const apiMovement = z
  .object({
    id,
    name: z.string(),
    group: z.string(),
    target: z.string(),
    secondary: z.array(z.string()),
    hands: z.enum(['one', 'two']),
    tempo: z.string(),
    cue: z.string(),
  })
  .meta({ id: 'Movement' });

const apiItem = z.object({
  id,
  movement: z.string(),
  side: z.string(),
  sets: z.number().int(),
  reps: z.number().int(),
  tempo: z.string(),
  loadG: z.number().int(),
  skipped: z.string().nullable(),
});

export const apiSession = z
  .object({
    id,
    clientId: z.string(),
    gymId: z.string(),
    startsAtMs: atMs,
    minutes: z.number().int(),
    finishedAtMs: atMs.nullable(),
    items: z.array(apiItem),
  })
  .meta({ id: 'Session' });

/** A session as programs plan one. */
export const apiNewSession = z
  .object({
    clientId: z.string(),
    day: apiDay,
    startsAt: z.string().regex(/^\d{1,2}:\d{2}$/, EXPECTED.time),
    minutes: z.number().int().min(10).max(240),
    from: z.enum(['empty', 'last']).describe('empty, or as the client’s last one with what was learned since'),
  })
  .strict()
  .meta({ id: 'NewSession' });

export const apiSet = z
  .object({
    setId: z.string(),
    itemId: z.string(),
    movement: z.string(),
    side: z.string(),
    setNo: z.number().int(),
    startedAtMs: atMs,
    endedAtMs: atMs.nullable(),
    loadG: z.number().int(),
    reps: z.number().int(),
    targetReps: z.number().int(),
    tempo: z.string(),
    scheme: z.string(),
    isConfirmed: z.boolean(),
    faults: z.array(
      z.object({ rep: z.number().int(), fault: z.string(), side: z.string(), severity: z.number().int() }),
    ),
  })
  .meta({ id: 'Set' });

export const apiEvent = z
  .object({
    id,
    itemId: z.string(),
    movement: z.string(),
    kind: z.string(),
    atMs,
    receivedAtMs: atMs,
    body: z.unknown(),
  })
  .meta({ id: 'Event' });

export const apiSetup = z
  .object({
    movement: z.string(),
    side: z.string(),
    stationId: z.string().nullable(),
    atMs,
    placement: z
      .object({
        hole: z.number().int(),
        leftBy: z.number().int().optional(),
        standX: z.number(),
        standZ: z.number(),
        yawDeg: z.number(),
      })
      .nullable()
      .describe('hole, and metres and degrees in the column’s frame; null where no cable is pulled'),
  })
  .meta({ id: 'Setup' });

export const apiLedger = z
  .object({
    clientId: z.string(),
    movements: z.array(
      z.object({
        movement: z.string(),
        faults: z.array(
          z.object({
            fault: z.string(),
            side: z.string().nullable(),
            summary: z.string(),
            isCleared: z.boolean(),
            rate: z
              .object({ seen: z.number(), low: z.number(), high: z.number() })
              .nullable()
              .describe('share of sets with it, and the interval that likely holds it'),
          }),
        ),
      }),
    ),
  })
  .meta({ id: 'Ledger' });

/** What is said where something cannot be done (RFC 9457). */
export const apiProblem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    detail: z.string().optional(),
    issues: z
      .array(z.object({ path: z.string(), message: z.string() }))
      .optional()
      .describe('what is expected, by field'),
  })
  .meta({ id: 'Problem' });

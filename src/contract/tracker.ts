import { z } from 'zod';
import { EXPECTED } from '@/messages/expected';

/**
 * The stack-line protocol: how a sensor on a stack speaks to this application. `docs/tracker.md` describes it for
 * makers of sensors.
 */
export const TRACKER_PROTOCOL = { name: 'stack-line', version: 1 } as const;

/** What a sensor is known by. */
export const shortId = z.string().regex(/^[a-z0-9-]{1,40}$/, { error: EXPECTED.sensorId });

export const sensorListSchema = z.object({
  protocol: z.literal(TRACKER_PROTOCOL.name),
  version: z.literal(TRACKER_PROTOCOL.version),
  sensors: z
    .array(z.object({ id: shortId, name: z.string().min(1).max(80), hz: z.number().min(20).max(200) }))
    .max(100),
});
export type SensorList = z.output<typeof sensorListSchema>;
export type Sensor = SensorList['sensors'][number];

/**
 * One delivery of readings: the number of its first, then seconds of the sensor's clock and metres above the stop, up
 * while lifting.
 */
export const deliverySchema = z.object({
  n: z.int().min(0),
  points: z.array(z.tuple([z.number(), z.number().min(-1).max(5)])).max(100_000),
});

/** A set is called: what is asked of one rep, leg by leg. */
export const calledSetSchema = z.object({
  legs: z
    .array(
      z.object({ seconds: z.number().min(0).max(60), from: z.number().min(0).max(1), to: z.number().min(0).max(1) }),
    )
    .min(1)
    .max(20),
  reps: z.int().min(1).max(200),
  lead_in_s: z.number().min(0).max(120),
  range_m: z.number().min(0.05).max(3),
});
export type CalledSet = z.output<typeof calledSetSchema>;

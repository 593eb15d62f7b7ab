import { z } from 'zod';
import { MOVEMENT_IDS } from '@/core/movement/movement';
import { parseTempo } from '@/core/tempo/tempo';
import { numberBetween, oneOf, text, wholeBetween } from './field';

const chosen = z.string({ error: 'expected a choice' }).min(1, { error: 'expected a choice' });

/** A movement added to today, as typed. */
export const planFormSchema = z.object({
  clientId: chosen,
  movement: oneOf(MOVEMENT_IDS),
  side: oneOf(['both', 'left', 'right']),
  stationId: chosen,
  attachmentId: chosen,
  startsAt: z.string({ error: 'expected a time like 14:30' }).regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: 'expected a time like 14:30' }),
  sets: wholeBetween(1, 12),
  reps: wholeBetween(1, 60),
  tempo: text(1, 20).refine((t) => parseTempo(t) !== null, { error: 'expected four parts like 3-1-2-1: lowering, pause, lifting, pause; X for fast' }),
  loadKg: numberBetween(0, 500, 'kg'),
});
export type PlanForm = z.output<typeof planFormSchema>;

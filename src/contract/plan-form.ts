import { z } from 'zod';
import { findEntry } from '@/core/book/book';
import { parseTempo } from '@/core/tempo/tempo';
import { movementSchema } from './case';
import { numberBetween, oneOf, text, wholeBetween } from './field';
import { unlessEmpty } from './kit-spec';

const chosen = z.string({ error: 'expected a choice' }).min(1, { error: 'expected a choice' });

/** A movement added to today, as typed; column and handle are asked for where it hangs on a cable. */
export const planFormSchema = z
  .object({
    clientId: chosen,
    movement: movementSchema,
    variantId: unlessEmpty(z.string()),
    side: oneOf(['both', 'left', 'right']),
    stationId: unlessEmpty(z.string()),
    attachmentId: unlessEmpty(z.string()),
    startsAt: z.string({ error: 'expected a time like 14:30' }).regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: 'expected a time like 14:30' }),
    sets: wholeBetween(1, 12),
    reps: wholeBetween(1, 60),
    tempo: text(1, 60).refine((t) => parseTempo(t) !== null, { error: 'expected four parts like 3-1-2-1: lowering, pause, lifting, pause; X for fast; then, if wanted, “, lower first” or “, 30-65deg: 4s”' }),
    loadKg: unlessEmpty(numberBetween(0, 500, 'kg')).describe('nothing where the body is the load'),
  })
  .superRefine((f, ctx) => {
    const entry = findEntry(f.movement);
    if (!entry) return;
    const report = (path: string, message: string): void => ctx.addIssue({ code: 'custom', path: [path], message });
    if (f.loadKg === undefined && entry.load.kind !== 'body' && entry.load.kind !== 'none') report('loadKg', 'expected a number from 0 to 500 kg');
    if (entry.load.kind === 'cable') {
      if (f.stationId === undefined) report('stationId', 'expected a choice');
      if (f.attachmentId === undefined) report('attachmentId', 'expected a choice');
    }
    if (entry.path.kind !== 'sweep' && (entry.hands === 'two') !== (f.side === 'both')) report('side', entry.hands === 'two' ? 'expected both: it is done with both sides' : 'expected left or right: it is done one side at a time');
  });
export type PlanForm = z.output<typeof planFormSchema>;

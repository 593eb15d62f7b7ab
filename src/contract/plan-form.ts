import { worksOn } from '@/core/book/book-entry';
import { z } from 'zod';
import { findEntry } from '@/core/book/book';
import { parseTempo } from '@/core/tempo/tempo';
import { LOAD_UNITS, type LoadUnit } from '@/core/units/mass';
import { movementSchema } from './case';
import { oneOf, text, wholeBetween } from './field';
import { unlessEmpty } from './kit-spec';

/** Heaviest load that is taken for one and not for a slip. */
const MOST_LOAD: Readonly<Record<LoadUnit, number>> = { kg: 500, lb: 1100 };
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
    startsAt: z
      .string({ error: 'expected a time like 14:30' })
      .regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: 'expected a time like 14:30' }),
    sets: wholeBetween(1, 12),
    reps: wholeBetween(1, 60),
    tempo: text(1, 60).refine((t) => parseTempo(t) !== null, {
      error:
        'expected four parts like 3-1-2-1: lowering, pause, lifting, pause; X for fast; then, if wanted, ' +
        '“, lower first” or “, 30-65deg: 4s”',
    }),
    load: unlessEmpty(z.number({ error: 'expected a number' })).describe(
      'as stamped; nothing where the body is the load',
    ),
    unit: z.enum(LOAD_UNITS, { error: `expected ${LOAD_UNITS.join(' or ')}` }),
  })
  .superRefine((f, ctx) => {
    const entry = findEntry(f.movement);
    if (!entry) return;
    const report = (path: string, message: string): void => ctx.addIssue({ code: 'custom', path: [path], message });
    const wants = entry.load.kind !== 'body' && entry.load.kind !== 'none';
    if (f.load === undefined ? wants : !(f.load >= 0 && f.load <= MOST_LOAD[f.unit]))
      report('load', `expected a number from 0 to ${MOST_LOAD[f.unit]} ${f.unit}`);
    if (entry.load.kind === 'cable') {
      if (f.stationId === undefined) report('stationId', 'expected a choice');
      if (f.attachmentId === undefined) report('attachmentId', 'expected a choice');
    }
    if (!worksOn(entry, f.side))
      report(
        'side',
        entry.hands === 'two'
          ? 'expected both: it is done with both sides'
          : 'expected left or right: it is done one side at a time',
      );
  });

/** A plan form as checked. */
export type PlanForm = z.output<typeof planFormSchema>;

import { worksOn } from '@/core/book/book-entry';
import { z } from 'zod';
import { findEntry } from '@/core/book/book';
import type { LoadUnit } from '@/core/units/mass';
import { movementSchema } from './case';
import { oneOf } from './field';
import { unlessEmpty } from './kit-spec';
import { clockSchema, plannedWork, unitSchema, withTempo } from './planned-fields';
import { EXPECTED } from '@/messages/expected';

/** Heaviest load that is taken for one and not for a slip. */
const MOST_LOAD: Readonly<Record<LoadUnit, number>> = { kg: 500, lb: 1100 };
/** Who works: both arms at once, one side, or each side one at a time. */
export const PLANNED_SIDES = ['both', 'each', 'left', 'right'] as const;
/** A side as it is planned. */
export type PlannedSides = (typeof PLANNED_SIDES)[number];

const chosen = z.string({ error: EXPECTED.choice }).min(1, { error: EXPECTED.choice });

const fields = z
  .object({
    clientId: chosen,
    sessionId: unlessEmpty(z.string()).describe('left empty: the one of today'),
    movement: movementSchema,
    variantId: unlessEmpty(z.string()),
    side: oneOf(PLANNED_SIDES).describe('each: both sides, one at a time'),
    stationId: unlessEmpty(z.string()),
    attachmentId: unlessEmpty(z.string()),
    bandId: unlessEmpty(z.string()),
    startsAt: unlessEmpty(clockSchema).describe('of a session that begins with it; left empty: now'),
    ...plannedWork,
    load: unlessEmpty(z.number({ error: EXPECTED.number })).describe('as stamped; nothing where the body is the load'),
    unit: unitSchema,
  })
  .superRefine((f, ctx) => {
    const entry = findEntry(f.movement);
    if (!entry) return;
    const report = (path: string, message: string): void => ctx.addIssue({ code: 'custom', path: [path], message });
    const wants = entry.load.kind !== 'body' && entry.load.kind !== 'none';
    if (f.load === undefined ? wants : !(f.load >= 0 && f.load <= MOST_LOAD[f.unit]))
      report('load', EXPECTED.between(0, MOST_LOAD[f.unit], f.unit));
    if (entry.load.kind === 'cable') {
      if (f.stationId === undefined) report('stationId', EXPECTED.choice);
      if (f.attachmentId === undefined) report('attachmentId', EXPECTED.choice);
    }
    if (!worksOn(entry, f.side === 'each' ? 'left' : f.side))
      report('side', entry.hands === 'two' ? EXPECTED.bothSides : EXPECTED.oneSide);
  });

/** A movement's own tempo; the usual one where it is none of the book's. */
const tempoOf = (form: object): string =>
  ('movement' in form && typeof form.movement === 'string' ? findEntry(form.movement)?.tempo : undefined) ?? '3-1-2-1';

/** A movement added to today, as typed; column and handle are asked for where it hangs on a cable. */
export const planFormSchema = z.preprocess((form) => withTempo(form, tempoOf), fields);

/** A plan form as checked. */
export type PlanForm = z.output<typeof planFormSchema>;

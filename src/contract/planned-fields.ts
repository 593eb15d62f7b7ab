import { z } from 'zod';
import { parseTempo, spellTempo } from '@/core/tempo/tempo';
import { SCHEME_LIMITS } from '@/core/tempo/scheme';
import { MOST_AIMS } from '@/core/tempo/set-aims';
import { LOAD_UNITS } from '@/core/units/mass';
import { text, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

/** What is typed of a planned movement and of a session, wherever it is. */

/** A time of day like 14:30. */
export const clockSchema = z
  .string({ error: EXPECTED.time })
  .regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: EXPECTED.time });

/** Most sets of a movement in a session, and most reps of one of them. */
export const [MOST_SETS, MOST_REPS] = [12, 60] as const;

/** How often a movement is done, and at which tempo. */
export const plannedWork = {
  sets: wholeBetween(1, MOST_SETS),
  reps: wholeBetween(1, MOST_REPS),
  tempo: text(1, 60).refine((t) => parseTempo(t) !== null, { error: EXPECTED.tempo }),
};

/** Sets of a movement that are alike, as they are kept: reps kept 0 is to failure, null asks for nothing. */
export const aimsRecord = z
  .array(
    z.object({
      sets: plannedWork.sets,
      reps: plannedWork.reps,
      reserve: wholeBetween(...SCHEME_LIMITS.reserve).nullable(),
      loadG: z.int().min(0).nullable(),
    }),
  )
  .max(MOST_AIMS);

/** What a load is stamped in. */
export const unitSchema = z.enum(LOAD_UNITS, { error: EXPECTED.asSaid(LOAD_UNITS.join(' or ')) });

/**
 * A form with its tempo, as people spell it, in the form that it is kept in; `ownTempo`: the movement's own, for a
 * section that is typed alone. What is no form is left to the fields.
 */
export function withTempo(form: unknown, ownTempo: (form: object) => string): unknown {
  if (typeof form !== 'object' || form === null || !('tempo' in form) || typeof form.tempo !== 'string') return form;
  return { ...form, tempo: spellTempo(form.tempo, ownTempo(form)) };
}

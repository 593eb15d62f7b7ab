import { z } from 'zod';
import { parseTempo, spellTempo } from '@/core/tempo/tempo';
import { LOAD_UNITS } from '@/core/units/mass';
import { text, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

/** What is typed of a planned movement and of a session, wherever it is. */

/** A time of day like 14:30. */
export const clockSchema = z
  .string({ error: EXPECTED.time })
  .regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: EXPECTED.time });

/** How often a movement is done, and at which tempo. */
export const plannedWork = {
  sets: wholeBetween(1, 12),
  reps: wholeBetween(1, 60),
  tempo: text(1, 60).refine((t) => parseTempo(t) !== null, { error: EXPECTED.tempo }),
};

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

import { z } from 'zod';
import { parseTempo, spellTempo } from '@/core/tempo/tempo';
import { LOAD_UNITS } from '@/core/units/mass';
import { dayText } from './client-form';
import { oneOf, text, wholeBetween } from './field';
import { unlessEmpty } from './kit-spec';
import { EXPECTED } from '@/messages/expected';

/** Shortest and longest session, minutes. */
export const SESSION_MINUTES = { least: 10, most: 240, usual: 60 } as const;
/** Where a new session's movements come from: none yet, the client's last one, another session, or a template. */
const SESSION_FROM = ['empty', 'last', 'session', 'template'] as const;

const startsAt = z
  .string({ error: EXPECTED.time })
  .regex(/^([01]?\d|2[0-3]):[0-5]\d$/, { error: EXPECTED.time })
  .describe('like 14:30');
const minutes = wholeBetween(SESSION_MINUTES.least, SESSION_MINUTES.most);

/** When a session is. */
export const sessionTimeSchema = z.object({ day: dayText, startsAt, minutes });

/** A session that is made for a client, with what it begins from. */
export const sessionFormSchema = z
  .object({
    clientId: z.string({ error: EXPECTED.choice }).min(1, { error: EXPECTED.choice }),
    gymId: unlessEmpty(z.string()).describe('left empty: where the client trained last'),
    day: dayText,
    startsAt,
    minutes,
    from: oneOf(SESSION_FROM),
    fromId: unlessEmpty(z.string()).describe('which session or template'),
    leaveOut: z.boolean().describe('movements that cannot be done there are left out'),
  })
  .superRefine((f, ctx) => {
    if ((f.from === 'session' || f.from === 'template') && f.fromId === undefined)
      ctx.addIssue({ code: 'custom', path: ['fromId'], message: EXPECTED.choice });
  });

/** A session form as checked. */
export type SessionForm = z.output<typeof sessionFormSchema>;

const itemFields = z.object({
  sets: wholeBetween(1, 12),
  reps: wholeBetween(1, 60),
  tempo: text(1, 60).refine((t) => parseTempo(t) !== null, { error: EXPECTED.tempo }),
  load: unlessEmpty(z.number({ error: EXPECTED.number }).min(0, { error: EXPECTED.number })),
  unit: z.enum(LOAD_UNITS, { error: EXPECTED.asSaid(LOAD_UNITS.join(' or ')) }),
});

/** How often and how heavy a planned movement is, as typed; the tempo as people spell it. */
export const itemFormSchema = z.preprocess(
  (form) =>
    typeof form === 'object' && form !== null && 'tempo' in form && typeof form.tempo === 'string'
      ? { ...form, tempo: spellTempo(form.tempo, form.tempo) }
      : form,
  itemFields,
);

/** Why a planned movement is not done this time. */
export const skipReasonSchema = text(1, 200);

/** What a template is kept as. */
export const templateFormSchema = z.object({ name: text(1, 60), forAll: z.boolean() });

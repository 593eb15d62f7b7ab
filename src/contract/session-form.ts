import { z } from 'zod';
import { dayText } from './client-form';
import { oneOf, text, wholeBetween } from './field';
import { unlessEmpty } from './kit-spec';
import { clockSchema, plannedWork, unitSchema, withTempo } from './planned-fields';
import { EXPECTED } from '@/messages/expected';

/** Shortest and longest session, minutes. */
export const SESSION_MINUTES = { least: 10, most: 240, usual: 60 } as const;
/** Where a new session's movements come from: none yet, the client's last one, another session, or a template. */
const SESSION_FROM = ['empty', 'last', 'session', 'template'] as const;

const minutes = wholeBetween(SESSION_MINUTES.least, SESSION_MINUTES.most);

/** When a session is. */
export const sessionTimeSchema = z.object({ day: dayText, startsAt: clockSchema, minutes });

/** A session that is made for a client, with what it begins from. */
export const sessionFormSchema = z
  .object({
    clientId: z.string({ error: EXPECTED.choice }).min(1, { error: EXPECTED.choice }),
    gymId: unlessEmpty(z.string()).describe('left empty: where the client trained last'),
    day: dayText,
    startsAt: clockSchema,
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
  ...plannedWork,
  load: unlessEmpty(z.number({ error: EXPECTED.number }).min(0, { error: EXPECTED.number })),
  unit: unitSchema,
});

/** How often and how heavy a planned movement is, as typed; `ownTempo`: what the book does it at. */
export const itemFormSchema = (ownTempo: string) => z.preprocess((form) => withTempo(form, () => ownTempo), itemFields);

/** Why a planned movement is not done this time. */
export const skipReasonSchema = text(1, 200);

/** What a template is kept as. */
export const templateFormSchema = z.object({ name: text(1, 60), forAll: z.boolean() });

import { z } from 'zod';
import { dayText } from './client-form';
import { oneOf, text, wholeBetween } from './field';
import { unlessEmpty } from './kit-spec';
import { clockSchema, MOST_REPS, MOST_SETS, plannedWork, unitSchema, withTempo } from './planned-fields';
import { SCHEME_LIMITS } from '@/core/tempo/scheme';
import { MOST_AIMS, setsOfAims } from '@/core/tempo/set-aims';
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

const load = unlessEmpty(z.number({ error: EXPECTED.number }).min(0, { error: EXPECTED.number }));
/** Sets that are alike, as typed: nothing asked at their end where `reserve` is left empty. */
const aim = z.object({
  sets: plannedWork.sets,
  reps: plannedWork.reps,
  reserve: unlessEmpty(z.coerce.number().pipe(wholeBetween(...SCHEME_LIMITS.reserve))),
  load,
});
const itemFields = z.object({
  ...plannedWork,
  load,
  unit: unitSchema,
  aims: z
    .array(aim)
    .max(MOST_AIMS)
    .refine((a) => setsOfAims(a) <= MOST_SETS, { path: [0, 'sets'], error: EXPECTED.atMostSets(MOST_SETS) })
    .default([]),
});

const within = (n: unknown, most: number): number => (Number.isInteger(n) ? Math.min(most, Math.max(1, Number(n))) : 1);

/** A form whose blocks of sets say how many there are and how long; what is wrong with a block is told at its place. */
function withAims(form: unknown): unknown {
  if (typeof form !== 'object' || form === null || !('aims' in form) || !Array.isArray(form.aims)) return form;
  const blocks = form.aims as readonly { readonly sets?: unknown; readonly reps?: unknown }[];
  if (blocks.length === 0) return form;
  const all = blocks.reduce((sum, b) => sum + Number(b?.sets), 0);
  return { ...form, sets: within(all, MOST_SETS), reps: within(blocks[0]?.reps, MOST_REPS) };
}

/** How often and how heavy a planned movement is, as typed; `ownTempo`: what the book does it at. */
export const itemFormSchema = (ownTempo: string) =>
  z.preprocess((form) => withTempo(withAims(form), () => ownTempo), itemFields);

/** Why a planned movement is not done this time. */
export const skipReasonSchema = text(1, 200);

/** What a template is kept as. */
export const templateFormSchema = z.object({ name: text(1, 60), forAll: z.boolean() });

import { z } from 'zod';
import { findEntry } from '@/core/book/book';
import { raisedSides } from '@/core/book/practice';
import { movementSchema } from './case';
import { text } from './field';
import { optionGaps, optionsSchema } from './options-schema';
import { EXPECTED } from '@/messages/expected';

/** Words that a client takes in one breath. */
const MOST_WORDS = 10;

/** A trainer's own way of doing a movement, as typed and set. */
export const variantFormSchema = z
  .object({
    id: z.string().min(1).max(64).nullable(),
    movement: movementSchema,
    name: text(1, 60),
    cue: text(0, 60).refine((c) => c.split(/\s+/).filter(Boolean).length <= MOST_WORDS, {
      error: EXPECTED.oneBreath(MOST_WORDS),
    }),
    options: optionsSchema,
  })
  .transform((v) => {
    const entry = findEntry(v.movement);
    const { practices } = v.options;
    return entry && practices ? { ...v, options: { ...v.options, practices: raisedSides(entry, practices) } } : v;
  })
  .superRefine((v, ctx) => {
    const entry = findEntry(v.movement);
    if (entry)
      for (const gap of optionGaps(entry, v.options))
        ctx.addIssue({ code: 'custom', path: ['options', ...gap.path], message: gap.message });
  });

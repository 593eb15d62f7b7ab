import { z } from 'zod';
import { sidesOfStanding, STANDING_QUESTIONS } from '@/core/book/standing-practice';
import { EXPECTED } from '@/messages/expected';

/** A side taken once, as it is sent: its question, and the side; empty takes it back. */
export const practiceFormSchema = z
  .object({ question: z.enum(STANDING_QUESTIONS), side: z.string() })
  .superRefine(({ question, side }, ctx) => {
    const sides = sidesOfStanding(question);
    if (side !== '' && !sides.includes(side))
      ctx.addIssue({ code: 'custom', path: ['side'], message: EXPECTED.oneOf(sides.join(', ')) });
  });

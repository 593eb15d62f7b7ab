import { z } from 'zod';
import { REGIONS } from '@/core/body/region-line';
import { EXPECTED } from '@/messages/expected';
import { movementSchema } from './case';
import { oneOf } from './field';
import { plannedWork } from './planned-fields';

/** What is taken of a proposed session: what it is for, and its movements in the order that they were proposed in. */
export const proposeFormSchema = z.object({
  goals: z.array(oneOf(REGIONS)).min(1, { error: EXPECTED.choice }),
  movements: z
    .array(z.object({ movement: movementSchema, sets: plannedWork.sets, reps: plannedWork.reps }))
    .min(1, { error: EXPECTED.choice }),
});

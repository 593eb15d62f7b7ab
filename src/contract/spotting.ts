import { z } from 'zod';
import { entryOf } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { PERTURBATION } from '@/core/fault/perturbation';
import { shownFaults } from '@/core/fault/show-fault';
import { FAULT_CODES } from '@/core/movement/fault-code';
import { LONGEST_ANSWER_MS, type SpottingAnswer } from '@/core/spotting/spotting-answer';
import { EXPECTED } from '@/messages/expected';
import { movementSchema } from './case';
import { numberBetween, oneOf, wholeBetween } from './field';

/** What a trainer said of reps that were shown, as it crosses from the device to the server. */
export const spottingAnswerSchema: z.ZodType<SpottingAnswer> = z
  .strictObject({
    id: z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, { error: EXPECTED.eventId }),
    atMs: numberBetween(1, 32_503_680_000_000, 'ms'),
    movement: movementSchema,
    shown: z.strictObject({ fault: oneOf(FAULT_CODES), size: z.number() }).nullable(),
    said: oneOf(FAULT_CODES).nullable(),
    tookMs: wholeBetween(0, LONGEST_ANSWER_MS),
  })
  .superRefine(({ movement, shown, said }, ctx) => {
    const entry = entryOf(movement);
    const tell = (path: string[], message: string): void => ctx.addIssue({ code: 'custom', path, message });
    if (said && !faultsOf(entry).includes(said)) tell(['said'], EXPECTED.faultOfMovement);
    if (!shown) return;
    if (!shownFaults(entry).includes(shown.fault)) return tell(['shown', 'fault'], EXPECTED.faultOfMovement);
    const { most } = PERTURBATION[shown.fault]!;
    const share = shown.size / most;
    if (!(share > 0 && share <= 1)) tell(['shown', 'size'], EXPECTED.between(Math.min(0, most), Math.max(0, most)));
  });

/** Most answers that are sent at once. */
export const SPOTTING_BATCH = 200;

import { z } from 'zod';
import { WORKING_SIDES } from '@/core/body/side';
import { movementSchema } from '../case';
import type { PlanTemplate } from '../views/plan';
import { aimsRecord, plannedWork } from '../planned-fields';
import { parseJson, type ReadRecord } from './record';
import { toFieldIssues } from '../field';

const movements = z.array(
  z.object({
    movement: movementSchema,
    variantId: z.string().nullable(),
    side: z.enum(WORKING_SIDES),
    ...plannedWork,
    aims: aimsRecord.nullish().transform((a) => a ?? null),
    pairId: z
      .string()
      .max(64)
      .nullish()
      .transform((id) => id ?? null),
    isPinned: z.boolean().default(false),
  }),
);

/** A template as its row has it. */
export type TemplateRow = Omit<PlanTemplate, 'movements' | 'forAll'> & {
  readonly movements: string;
  readonly forAll: number;
};

/** A kept template; one with a movement that this program's book does not hold cannot be read. */
export function readTemplate(row: TemplateRow): ReadRecord<PlanTemplate> {
  const read = movements.safeParse(parseJson(row.movements));
  return read.success
    ? { ok: true, value: { ...row, forAll: row.forAll === 1, movements: read.data } }
    : { ok: false, issues: toFieldIssues(read.error) };
}

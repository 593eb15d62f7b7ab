import { z } from 'zod';
import { MUSCLES } from '@/core/week/muscle';
import { numberBetween, objectOf, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

const rule = z
  .object({ indirect: numberBetween(0, 1), least: wholeBetween(0, 60), most: wholeBetween(0, 60) })
  .superRefine((r, ctx) => {
    if (r.most < r.least) ctx.addIssue({ code: 'custom', path: ['most'], message: EXPECTED.overLeast });
  });

/** How a week's sets of every muscle are counted and judged, as typed. */
export const weekRulesSchema = objectOf(MUSCLES, () => rule);

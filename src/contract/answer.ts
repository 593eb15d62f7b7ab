import { z } from 'zod';
import { ANSWERERS } from '@/core/body/answerer';
import { LEAK_AXES } from '@/core/mechanics/leak';
import { COST_TERMS, LIMITS } from '@/core/setup/cost';

export const ANSWER_FORMAT = 'jorvix-answer/1';

const point = z.tuple([z.number(), z.number(), z.number()]);
const sample = z.strictObject({
  s: z.number(),
  shoulderM: point,
  elbowM: point,
  gripM: point,
  lineUnit: point,
  resistanceNm: z.number(),
  offPlaneDeg: z.number(),
  travelM: z.number(),
});
const metrics = z.strictObject({
  offPlaneRmsDeg: z.number(),
  offPlaneFinishDeg: z.number(),
  peakAt: z.number(),
  rightAngleAt: z.number().nullable(),
  restShare: z.number(),
  loadedShare: z.number(),
  evenness: z.number(),
  minClearanceM: z.number(),
  maxTravelM: z.number(),
  leakShare: z.number(),
  peakResistanceNm: z.number(),
  peakLeverM: z.number(),
});
const bySide = <T extends z.ZodType>(schema: T) => z.union([schema, z.strictObject({ left: schema, right: schema })]);
const limit = z.strictObject({ limit: z.enum(LIMITS), need: z.number(), have: z.number(), says: z.string() });

export const evaluationSchema = z.strictObject({
  hole: z.int(),
  pulleyM: bySide(point),
  stand: z.strictObject({ x: z.number(), z: z.number(), yawDeg: z.number() }),
  bench: z.null(),
  seatHole: z.null(),
  metrics: metrics.describe('with both sides working: of the side that leaves its line more, named in metricsSide'),
  metricsSide: z.enum(['left', 'right']),
  leak: z.array(z.strictObject({ joint: z.enum(['shoulder', 'elbow']), axis: z.enum(LEAK_AXES), share: z.number(), meanNm: z.number(), answeredBy: z.enum(ANSWERERS) })).describe('moments beside the target action, largest first; of metricsSide'),
  cost: z.strictObject({ total: z.number(), terms: z.record(z.enum(COST_TERMS), z.number()) }),
  limits: z.array(limit).describe('hard limits this set-up breaks'),
  tolerance: z.strictObject({
    standXM: z.tuple([z.number(), z.number()]),
    standZM: z.tuple([z.number(), z.number()]),
    holes: z.tuple([z.int(), z.int()]),
    yawDeg: z.tuple([z.number(), z.number()]),
  }),
  why: z.array(z.string()),
  checkByEye: z.array(z.string()),
  cautions: z.array(z.string()),
  samples: bySide(z.array(sample)),
});

export const answerSchema = z.strictObject({
  format: z.literal(ANSWER_FORMAT),
  feasible: z.boolean(),
  best: evaluationSchema.nullable(),
  alternatives: z.array(evaluationSchema),
  asGiven: evaluationSchema.nullable(),
  leastChange: z
    .strictObject({
      changes: z.array(z.strictObject({ setting: z.enum(['hole', 'standX', 'standZ', 'yawDeg']), from: z.number(), to: z.number() })),
      result: evaluationSchema,
    })
    .nullable(),
  blockedBy: z.array(limit).describe('when not feasible: what stands in the way'),
  nearest: z
    .strictObject({ movement: z.string(), tiltDeg: z.number(), best: evaluationSchema, says: z.string() })
    .nullable()
    .describe('when not feasible: the nearest thing that works on this column'),
});

export type Answer = z.output<typeof answerSchema>;
export type AnswerEvaluation = z.output<typeof evaluationSchema>;

import { LIMITS } from '@/core/setup/violation';
import { z } from 'zod';
import { COMPENSATING_MUSCLES } from '@/core/body/compensating-muscle';
import { MOMENT_AXES } from '@/core/mechanics/off-axis';
import { FIT_KINDS } from '@/core/book/fit-entry';
import { REGIONS } from '@/core/body/region-line';
import { COST_TERMS } from '@/core/setup/cost';

export const ANSWER_FORMAT = 'jorvix-answer/1';

const point = z.tuple([z.number(), z.number(), z.number()]);
const common = {
  s: z.number(),
  lineUnit: point.describe('direction of the load on the limb; zero where nothing pulls'),
  resistanceNm: z.number(),
  offPlaneDeg: z.number(),
  travelM: z.number(),
};
const armSample = z.strictObject({
  ...common,
  shoulderM: point,
  elbowM: point,
  gripM: point,
  lineAtM: point.optional().describe('where the line is fixed, when both hands hold one attachment'),
});
const legSample = z.strictObject({
  ...common,
  hipM: point,
  kneeM: point,
  ankleM: point,
  contactM: point.describe('where the load meets the limb'),
});
const trunkSample = z.strictObject({ ...common, hipM: point, neckM: point, contactM: point });
const samples = z.union([z.array(armSample), z.array(legSample), z.array(trunkSample)]);
const metrics = z.strictObject({
  offPlaneRmsDeg: z.number(),
  offPlaneFinishDeg: z.number(),
  peakAt: z.number(),
  rightAngleAt: z.number().nullable(),
  restShare: z.number(),
  loadedShare: z.number(),
  evenness: z.number(),
  hardestAt: z.number().describe('where the resistance is hardest for the strength there'),
  matched: z.number().describe('mean demand over its peak: 1 where the resistance follows the strength'),
  strongerHalf: z.enum(['first', 'second']).describe('the half that is left when full reps fail'),
  minClearanceM: z.number().nullable().describe('cable out at the least; null without a cable'),
  maxTravelM: z.number().nullable(),
  leakShare: z.number(),
  peakResistanceNm: z.number(),
  peakLeverM: z.number(),
});
const bySide = <T extends z.ZodType>(schema: T) => z.union([schema, z.strictObject({ left: schema, right: schema })]);
const limit = z.strictObject({ limit: z.enum(LIMITS), need: z.number(), have: z.number(), says: z.string() });

export const evaluationSchema = z.strictObject({
  hole: z.int().nullable(),
  pulleyM: bySide(point).nullable(),
  stand: z
    .strictObject({ x: z.number(), z: z.number(), yawDeg: z.number() })
    .describe('floor mark; the origin for a movement without a column'),
  bench: z
    .strictObject({ notch: z.int().nullable(), backDeg: z.number(), blockM: z.number().nullable() })
    .nullable()
    .describe('notch is null where the bench is not measured'),
  seatHole: z.int().nullable(),
  backHole: z.int().nullable(),
  settings: z
    .array(z.strictObject({ kind: z.enum(FIT_KINDS), estimated: z.boolean(), figure: z.string(), says: z.string() }))
    .describe('everything set by rule or fit, biggest first'),
  region: z
    .strictObject({
      region: z.enum(REGIONS),
      says: z.string(),
      changes: z.array(z.strictObject({ to: z.enum(REGIONS), says: z.string() })),
    })
    .describe('what this set-up loads, and what would change it'),
  metrics: metrics.describe('with both sides working: of the side that leaves its line more, named in metricsSide'),
  metricsSide: z.enum(['left', 'right']),
  leak: z
    .array(
      z.strictObject({
        joint: z.enum(['shoulder', 'elbow', 'hip', 'knee', 'hips']),
        axis: z.enum(MOMENT_AXES),
        share: z.number(),
        meanNm: z.number(),
        answeredBy: z.enum(COMPENSATING_MUSCLES),
      }),
    )
    .describe('moments beside the target action, largest first; of metricsSide'),
  cost: z
    .strictObject({ total: z.number(), terms: z.record(z.enum(COST_TERMS), z.number()) })
    .nullable()
    .describe('null where nothing is searched'),
  limits: z.array(limit).describe('hard limits this set-up breaks'),
  tolerance: z
    .strictObject({
      standXM: z.tuple([z.number(), z.number()]),
      standZM: z.tuple([z.number(), z.number()]),
      holes: z.tuple([z.int(), z.int()]),
      yawDeg: z.tuple([z.number(), z.number()]),
    })
    .nullable(),
  why: z.array(z.string()),
  checkByEye: z.array(z.string()),
  cautions: z.array(z.string()),
  samples: bySide(samples),
});

export const answerSchema = z.strictObject({
  format: z.literal(ANSWER_FORMAT),
  feasible: z.boolean(),
  best: evaluationSchema.nullable(),
  alternatives: z.array(evaluationSchema),
  asGiven: evaluationSchema.nullable(),
  leastChange: z
    .strictObject({
      changes: z.array(
        z.strictObject({
          setting: z.enum(['hole', 'leftBy', 'standX', 'standZ', 'yawDeg']),
          from: z.number(),
          to: z.number(),
        }),
      ),
      result: evaluationSchema,
    })
    .nullable(),
  blockedBy: z.array(limit).describe('when not feasible: what stands in the way'),
  nearest: z
    .strictObject({ movement: z.string(), tiltDeg: z.number().nullable(), best: evaluationSchema, says: z.string() })
    .nullable()
    .describe(
      'when not feasible: the nearest thing that works on this column, or without one where it has a pulley too few',
    ),
});

export type Answer = z.output<typeof answerSchema>;
export type AnswerEvaluation = z.output<typeof evaluationSchema>;

import { z } from 'zod';
import { GRIPS, type BookEntry } from '@/core/book/book-entry';
import type { ClientFit } from '@/core/book/client-fit';
import {
  hasFeet,
  hasLean,
  hasNotch,
  hasPins,
  hasSeatHole,
  usualOptions,
  type EntryOptions,
} from '@/core/book/entry-options';
import { PRACTICE_QUESTIONS, practicesOf, sidesOfPractice, type PracticeChoice } from '@/core/book/practice';
import { SHORTEST_SHARE } from '@/core/book/pose-entry';
import { leansFree, MOST_LEAN_DEG } from '@/core/book/stand-up';
import { hasGripWidth } from '@/core/book/hand-width';
import { FOOT_PLACES } from '@/core/book/foot-place';
import { followsArmPath } from '@/core/book/arm-path';
import { PEAK_TARGETS } from '@/core/movement/peak-target';
import { FRONT_FEET } from '@/core/movement/sweep-path';
import { numberBetween, objectOf, oneOf, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

/** Sides taken where practitioners differ, each of its own question's. */
const practicesSchema = objectOf(PRACTICE_QUESTIONS, (q) =>
  oneOf(sidesOfPractice(q) as [string, ...string[]]).optional(),
) as unknown as z.ZodType<PracticeChoice>;

/** Every choice of a movement, each in the one form that it has at every border. */
export const choiceFields = {
  peak: oneOf(PEAK_TARGETS),
  tiltDeg: numberBetween(-60, 80, 'degrees').describe('fall of a fly’s sweep ahead of the client'),
  frontFoot: oneOf(FRONT_FEET),
  practices: practicesSchema.describe('sides taken where practitioners differ'),
  grip: oneOf(GRIPS).nullable(),
  armPathDeg: numberBetween(-10, 60, 'degrees')
    .nullable()
    .describe('rear-deltoid arm path below shoulder level, instead of the client’s'),
  tuckDeg: numberBetween(-45, 45, 'degrees').describe(
    'upper arm nearer to the side at the finish; negative: further out',
  ),
  gripWidthM: numberBetween(0.05, 1.4, 'm')
    .nullable()
    .describe('hand to hand on a bar, instead of the movement’s rule'),
  feet: oneOf(FOOT_PLACES).nullable().describe('place of the feet on a leg press plate; null for the middle'),
  pinM: numberBetween(0.1, 1.2, 'm').nullable().describe('height of the pins that a bar starts from'),
  leanDeg: numberBetween(0, 75, 'degrees')
    .nullable()
    .describe('lean back on straps, or of a body that stands free against its load; null: as it stands the load'),
  backDeg: numberBetween(-20, 90, 'degrees').nullable().describe('angle of the bench’s back instead of the rule’s'),
  seatHole: wholeBetween(1, 40)
    .nullable()
    .describe('hole of the seat, or of the back pad of a leg machine, as it stands'),
  startAt: numberBetween(0, 1).describe('start stop, share of the movement’s own range'),
  stopAt: numberBetween(0, 1).describe('finish stop, share of the movement’s own range'),
} as const;

/** A movement's own choices; what is left out is the movement's own, fitted to the client. */
export const optionsSchema = z
  .strictObject({
    ...choiceFields,
    schools: choiceFields.practices.describe('the older name of `practices`, still read'),
  })
  .partial();
export type OptionsCase = z.output<typeof optionsSchema>;

/** Sides taken where practitioners differ, by either name. */
const sidesTaken = (o: OptionsCase): NonNullable<OptionsCase['practices']> => o.practices ?? o.schools ?? {};

/** Leans that can be asked for, degrees; null where nothing leans. */
export const leansOf = (e: BookEntry): readonly [number, number] | null =>
  hasLean(e) ? [10, 75] : leansFree(e) ? [0, MOST_LEAN_DEG] : null;

/** What a movement does not have of the options given: where, and what is expected. */
export function optionGaps(
  e: BookEntry,
  o: OptionsCase,
): { readonly path: readonly string[]; readonly message: string }[] {
  const gaps: { path: string[]; message: string }[] = [];
  const report = (path: string[], message: string): void => void gaps.push({ path, message });
  if (o.tiltDeg !== undefined) {
    if (e.path.kind !== 'sweep') {
      if (o.tiltDeg !== 0) report(['tiltDeg'], EXPECTED.notASweep);
    } else if (o.tiltDeg < e.path.tiltDeg.min || o.tiltDeg > e.path.tiltDeg.max)
      report(['tiltDeg'], EXPECTED.tiltBetween(e.path.tiltDeg.min, e.path.tiltDeg.max));
  }
  // A question may be raised by the curve or by a note: ask as openly as can be.
  const raised = [...practicesOf(e, [], 0), ...practicesOf(e, [], 1)];
  for (const q of PRACTICE_QUESTIONS) {
    const side = sidesTaken(o)[q];
    if (side === undefined) continue;
    const own = raised.find((s) => s.question === q);
    if (!own) report([o.practices ? 'practices' : 'schools', q], EXPECTED.questionNotRaised);
    else if (!own.options.includes(side))
      report([o.practices ? 'practices' : 'schools', q], EXPECTED.oneOf(own.options.join(', ')));
  }
  if (o.grip != null && !e.grips.includes(o.grip))
    report(['grip'], e.grips.length > 0 ? EXPECTED.oneOfForMovement(e.grips.join(', ')) : EXPECTED.noneForMovement);
  if (o.armPathDeg != null && !followsArmPath(e)) report(['armPathDeg'], EXPECTED.noArmPath);
  if (o.tuckDeg !== undefined && o.tuckDeg !== 0 && e.path.kind !== 'arm')
    report(['tuckDeg'], EXPECTED.noneForMovement);
  if (o.gripWidthM != null && !hasGripWidth(e)) report(['gripWidthM'], EXPECTED.noneForMovement);
  if (o.feet != null && !hasFeet(e)) report(['feet'], EXPECTED.noneForMovement);
  if (o.pinM != null && !hasPins(e)) report(['pinM'], EXPECTED.noneForMovement);
  const leans = leansOf(e);
  if (o.leanDeg != null && !leans) report(['leanDeg'], EXPECTED.noneForMovement);
  else if (o.leanDeg != null && leans && (o.leanDeg < leans[0] || o.leanDeg > leans[1]))
    report(['leanDeg'], EXPECTED.leanBetween(...leans));
  if (o.backDeg != null && !hasNotch(e)) report(['backDeg'], EXPECTED.noBenchAngle);
  if (o.seatHole != null && !hasSeatHole(e)) report(['seatHole'], EXPECTED.noSeatHole);
  if ((o.stopAt ?? 1) - (o.startAt ?? 0) < SHORTEST_SHARE) report(['stopAt'], EXPECTED.moreThanStart(SHORTEST_SHARE));
  return gaps;
}

/** Options with the movement's defaults filled in, fitted to the client. */
export function toOptions(e: BookEntry, o: OptionsCase, fit: ClientFit): EntryOptions {
  const own = usualOptions(e, fit);
  const practices = Object.fromEntries(
    Object.entries(sidesTaken(o)).filter(([, v]) => v !== undefined),
  ) as PracticeChoice;
  return {
    peak: o.peak ?? own.peak,
    tiltDeg: o.tiltDeg ?? own.tiltDeg,
    frontFoot: o.frontFoot ?? own.frontFoot,
    practices,
    grip: o.grip ?? null,
    armPathDeg: o.armPathDeg ?? null,
    tuckDeg: o.tuckDeg ?? 0,
    gripWidthM: o.gripWidthM ?? null,
    feet: o.feet ?? null,
    leanDeg: o.leanDeg ?? null,
    pinM: o.pinM ?? null,
    backDeg: o.backDeg ?? null,
    seatHole: o.seatHole ?? null,
    startAt: o.startAt ?? own.startAt,
    stopAt: o.stopAt ?? own.stopAt,
  };
}

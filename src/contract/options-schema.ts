import { z } from 'zod';
import { GRIPS, type BookEntry } from '@/core/book/book-entry';
import type { ClientFit } from '@/core/book/client-fit';
import { hasNotch, hasSeatHole, usualOptions, type EntryOptions } from '@/core/book/entry-options';
import { SCHOOL_QUESTIONS, schoolsOf, type SchoolChoice } from '@/core/book/school';
import { SHORTEST_SHARE } from '@/core/book/pose-entry';
import { followsArmPath } from '@/core/book/arm-path';
import { PEAK_WISHES } from '@/core/movement/peak-wish';
import { FRONT_FEET } from '@/core/movement/sweep-path';
import { numberBetween, objectOf, oneOf, wholeBetween } from './field';

/** A movement's own choices; what is left out is the movement's own, fitted to the client. */
export const optionsSchema = z.strictObject({
  peak: oneOf(PEAK_WISHES).optional(),
  tiltDeg: numberBetween(-60, 80, 'degrees').optional().describe('fall of a fly’s sweep ahead of the client'),
  frontFoot: oneOf(FRONT_FEET).optional(),
  schools: objectOf(SCHOOL_QUESTIONS, () => z.string().optional())
    .optional()
    .describe('sides taken where practitioners differ'),
  grip: oneOf(GRIPS).nullable().optional(),
  armPathDeg: numberBetween(-10, 60, 'degrees')
    .nullable()
    .optional()
    .describe('rear-deltoid arm path below shoulder level, instead of the client’s'),
  tuckDeg: numberBetween(-45, 45, 'degrees')
    .optional()
    .describe('upper arm nearer to the side at the finish; negative: further out'),
  backDeg: numberBetween(-20, 90, 'degrees')
    .nullable()
    .optional()
    .describe('angle of the bench’s back instead of the rule’s'),
  seatHole: wholeBetween(1, 40)
    .nullable()
    .optional()
    .describe('hole of the seat, or of the back pad of a leg machine, as it stands'),
  startAt: numberBetween(0, 1).optional().describe('start stop, share of the movement’s own range'),
  stopAt: numberBetween(0, 1).optional().describe('finish stop, share of the movement’s own range'),
});
export type OptionsCase = z.output<typeof optionsSchema>;

/** What a movement does not have of the options given: where, and what is expected. */
export function optionGaps(
  e: BookEntry,
  o: OptionsCase,
): { readonly path: readonly string[]; readonly message: string }[] {
  const gaps: { path: string[]; message: string }[] = [];
  const report = (path: string[], message: string): void => void gaps.push({ path, message });
  if (o.tiltDeg !== undefined) {
    if (e.path.kind !== 'sweep') {
      if (o.tiltDeg !== 0) report(['tiltDeg'], 'expected none: this movement is not a fly’s sweep');
    } else if (o.tiltDeg < e.path.tiltDeg.min || o.tiltDeg > e.path.tiltDeg.max)
      report(
        ['tiltDeg'],
        `expected a number from ${e.path.tiltDeg.min} to ${e.path.tiltDeg.max} degrees for this movement`,
      );
  }
  // A question may be raised by the curve or by a note: ask as openly as can be.
  const raised = [...schoolsOf(e, [], 0), ...schoolsOf(e, [], 1)];
  for (const q of SCHOOL_QUESTIONS) {
    const side = o.schools?.[q];
    if (side === undefined) continue;
    const own = raised.find((s) => s.question === q);
    if (!own) report(['schools', q], 'expected none: this movement does not raise the question');
    else if (!own.options.includes(side)) report(['schools', q], `expected one of ${own.options.join(', ')}`);
  }
  if (o.grip != null && !e.grips.includes(o.grip))
    report(
      ['grip'],
      e.grips.length > 0
        ? `expected one of ${e.grips.join(', ')} for this movement`
        : 'expected none for this movement',
    );
  if (o.armPathDeg != null && !followsArmPath(e))
    report(['armPathDeg'], 'expected none: only rear-deltoid pulls on a cable follow an arm path');
  if (o.tuckDeg !== undefined && o.tuckDeg !== 0 && e.path.kind !== 'arm')
    report(['tuckDeg'], 'expected none for this movement');
  if (o.backDeg != null && !hasNotch(e)) report(['backDeg'], 'expected none: no bench angle is set for this movement');
  if (o.seatHole != null && !hasSeatHole(e))
    report(['seatHole'], 'expected none: no seat or back pad hole is set for this movement');
  if ((o.stopAt ?? 1) - (o.startAt ?? 0) < SHORTEST_SHARE)
    report(['stopAt'], `expected at least ${SHORTEST_SHARE} more than startAt`);
  return gaps;
}

/** Options with the movement's defaults filled in, fitted to the client. */
export function toOptions(e: BookEntry, o: OptionsCase, fit: ClientFit): EntryOptions {
  const own = usualOptions(e, fit);
  const schools = Object.fromEntries(
    Object.entries(o.schools ?? {}).filter(([, v]) => v !== undefined),
  ) as SchoolChoice;
  return {
    peak: o.peak ?? own.peak,
    tiltDeg: o.tiltDeg ?? own.tiltDeg,
    frontFoot: o.frontFoot ?? own.frontFoot,
    schools,
    grip: o.grip ?? null,
    armPathDeg: o.armPathDeg ?? null,
    tuckDeg: o.tuckDeg ?? 0,
    backDeg: o.backDeg ?? null,
    seatHole: o.seatHole ?? null,
    startAt: o.startAt ?? own.startAt,
    stopAt: o.stopAt ?? own.stopAt,
  };
}

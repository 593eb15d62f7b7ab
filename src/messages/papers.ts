import type { WorkingSide } from '@/core/body/side';
import type { ClinicianLimit } from '@/core/body/clinician-limit';
import type { RangeName } from '@/core/body/active-range';
import type { CorrectionEffect } from '@/core/fault/correction-effect';
import { effectText } from './faults';
import { limitMostText, RANGE_LABEL } from './measures';

/** The pages that a trainer or a client takes along. */
export const PAPER = {
  handOver: (name: string): string => `Hand-over: ${name}`,
  asOf: (date: string, by: string): string => `as of ${date}, by ${by}`,
  whoItIs: 'Who it is',
  body: 'Body',
  mind: 'Keep in mind',
  limits: 'Limits',
  screening: 'Screening',
  leftAndRight: 'Left and right',
  movements: 'Movements, newest first',
  stands: (place: string, where: string): string => (where === '' ? place : `${place}; ${where}`),
  lastDone: (load: string, reps: number, tempo: string, date: string): string =>
    `last ${load} × ${reps} at ${tempo}, ${date}`,
  works: (correction: string, effect: CorrectionEffect): string => `works: ${correction} (${effectText(effect)})`,
  watch: (seen: string, n: number, of: number): string => `watch: ${seen}, in ${n} of ${of} sets`,
  nothingToWatch: 'nothing to watch',
  nothingDone: 'Nothing was done yet.',
  handOverFoot:
    'What is written here is as it was tapped on the floor. Limits and screening go by the facility’s procedure.',
  summary: (name: string): string => `${name}: what we did`,
  whatWeDid: 'What we did',
  feel: (region: string): string => `Feel it in the ${region}.`,
  practise: 'One thing to practise',
  summaryFoot: 'Anything that hurts: stop, and tell your trainer.',
  noSets: 'No set was finished in this session.',
  nothing: 'expected the id of a client or session in your care',
  print: 'Print',
  asPdf: 'As a PDF',
  code: 'Code that opens this page',
} as const;

/** Sets in a line: "15 kg × 12, 12, 10; 12.5 kg × 12". */
export function setsText(sets: readonly { readonly load: string; readonly reps: number }[]): string {
  const groups: { load: string; reps: number[] }[] = [];
  for (const s of sets) {
    const last = groups.at(-1);
    if (last?.load === s.load) last.reps.push(s.reps);
    else groups.push({ load: s.load, reps: [s.reps] });
  }
  return groups.map((g) => `${g.load} × ${g.reps.join(', ')}`).join('; ');
}

/** What is said of each side that works; once, where it is the same of both. */
export function bySideText(said: readonly { readonly side: WorkingSide; readonly text: string }[]): string[] {
  const [a, b] = said;
  if (a && b && a.text === b.text) return [`each side: ${a.text}`];
  return said.map(({ side, text }) => (side === 'both' ? text : `${side}: ${text}`));
}

/** A range that differs between the sides. */
export const rangeDiffersText = (d: { readonly motion: RangeName; readonly left: number; readonly right: number }) =>
  `${RANGE_LABEL[d.motion]}: left ${Math.round(d.left)}°, right ${Math.round(d.right)}°`;

/** A clinician's limit in force. */
export const limitInForceText = (l: ClinicianLimit): string => `${limitMostText(l)}, by the ${l.setBy}`;

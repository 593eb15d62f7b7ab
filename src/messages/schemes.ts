import type { Scheme, SchemePart } from '@/core/tempo/scheme';
import { parseWrittenTempo } from '@/core/tempo/tempo';
import type { LoadUnit } from '@/core/units/mass';
import { loadText } from './loads';

export const SCHEME_TEXT: Readonly<Record<Scheme, string>> = {
  straight: 'straight reps',
  'slow-then-normal': 'slow, then normal',
  'weight-drops': 'lighter twice',
  'stance-drops': 'from mark to mark',
  'step-in-drops': 'a step in, twice',
  'rest-pause': 'short rests between',
  partials: 'then half reps',
};

/** The four numbers of a tempo as written. */
export const tempoNumbers = (notation: string): string => notation.split(',')[0]!.trim();

/** What a tempo says beyond its four numbers, in words. */
export function tempoExtras(notation: string): string[] {
  const w = parseWrittenTempo(notation);
  return [
    ...(w?.startsWith ? [w.startsWith === 'lifting' ? 'lift first' : 'lower first'] : []),
    ...(w?.section ? [`${w.section.seconds} s between ${w.section.fromDeg}° and ${w.section.toDeg}°`] : []),
  ];
}

const markText = (m: number): string => `mark ${Math.abs(Math.round(m * 100))} cm${m < -0.005 ? ' behind' : ''}`;

/** What changes with a part, biggest first: what is set, then what is done. */
export function partChange(p: SchemePart, before: SchemePart | null, unit: LoadUnit): string {
  if (!before || p.loadG !== before.loadG) return loadText(p.loadG, unit);
  if (p.standX !== null && p.standX !== before.standX) return markText(p.standX);
  if (p.restS > 0) return `rest ${p.restS} s`;
  return p.to - p.from < 1 ? rangeText(p) : `at ${tempoNumbers(p.tempo)}`;
}

function rangeText(p: SchemePart): string {
  if (p.from === 0) return 'the half from the stretch';
  return p.to === 1 ? 'the half to the finish' : `the middle ${Math.round((p.to - p.from) * 100)} %`;
}

export const partText = (p: SchemePart): string =>
  [`${p.reps} at ${tempoNumbers(p.tempo)}`, ...(p.to - p.from < 1 ? [rangeText(p)] : []), ...tempoExtras(p.tempo)].join(
    ', ',
  );

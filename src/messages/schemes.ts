import type { DropThird } from '@/core/setup/stance-drops';
import type { ChosenScheme, Scheme, SchemePart } from '@/core/tempo/scheme';
import { parseWrittenTempo } from '@/core/tempo/tempo';
import type { LoadUnit } from '@/core/units/mass';
import { loadText } from './loads';
import { percent } from './numbers';

export const SCHEME_TEXT: Readonly<Record<Scheme, string>> = {
  straight: 'straight reps',
  'slow-then-normal': 'slow, then normal',
  'weight-drops': 'drop set',
  'middle-drops': 'drop set over the middle',
  'stance-drops': 'stance drops',
  'step-in-drops': 'step-ins',
  'rest-pause': 'rest-pause',
  partials: 'full, then half reps',
  'double-failure': 'double failure, then helped',
};

/** How near to failure a set goes, by its reps in reserve; '' where nothing is asked. */
export const RESERVE_TEXT: Readonly<Record<string, string>> = {
  '': 'not said',
  '0': 'to failure',
  '1': '1 in reserve',
  '2': '2 in reserve',
  '3': '3 in reserve',
  '4': '4 in reserve',
  '5': '5 in reserve',
};

/** What each drop in load takes off. */
export const dropSizeText = (percent: number | null): string => (percent === null ? '25 to 30 %' : `${percent} %`);

/** A scheme with what was changed of it, as it is told. */
export function schemeText({ scheme, choices }: ChosenScheme): string {
  const { reps, drops, dropPercent, half, slow, reserve } = choices;
  return [
    SCHEME_TEXT[scheme],
    ...(drops === null && dropPercent === null ? [] : [`${drops ?? 'drops'} of ${dropSizeText(dropPercent)}`]),
    ...(reps.some((n) => n !== null) ? [`reps ${reps.map((n) => n ?? 'as usual').join(', ')}`] : []),
    ...(half === null ? [] : [`half reps ${half === 'first' ? 'from the stretch' : 'to the finish'}`]),
    ...(slow === null || slow === 'none' ? [] : [`slow from ${slow.fromDeg}° to ${slow.toDeg}°`]),
    ...(reserve === null ? [] : [RESERVE_TEXT[reserve]!]),
  ].join(', ');
}

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
  return p.to - p.from < 1 ? partOfRange(p) : `at ${tempoNumbers(p.tempo)}`;
}

function rangeText(p: SchemePart): string {
  if (p.from === 0) return 'the half from the stretch';
  return p.to === 1 ? 'the half to the finish' : `the middle ${Math.round((p.to - p.from) * 100)} %`;
}

const partOfRange = (p: SchemePart): string => `${rangeText(p)}${p.helped ? ', with help' : ''}`;

/** Reps, tempo and part of the range. */
export const partShort = (p: SchemePart): string =>
  [`${p.reps} at ${tempoNumbers(p.tempo)}`, ...(p.to - p.from < 1 ? [partOfRange(p)] : [])].join(', ');

export const partText = (p: SchemePart): string => [partShort(p), ...tempoExtras(p.tempo)].join(', ');

const MARK_AT: Readonly<Record<DropThird, string>> = { contracted: 'finish', mid: 'middle', lengthened: 'stretch' };
const floorMarkText = (m: number): string => `${Math.abs(Math.round(m * 100))}${m < -0.005 ? ' behind' : ''}`;

/** Floor marks of the drops that move the client, in the order that a set goes through them. */
export function dropTexts(
  stances: readonly { readonly third: DropThird; readonly standX: number }[],
  stepIns: readonly { readonly standX: number; readonly laterShare: number }[],
): { readonly scheme: Scheme; readonly label: string; readonly marks: string }[] {
  const shares = stepIns.slice(1).map((s) => percent(s.laterShare));
  const rows = [
    {
      scheme: 'stance-drops' as const,
      label: `Stance drops, hardest at ${stances.map((s) => MARK_AT[s.third]).join(', ')}`,
      at: stances,
    },
    {
      scheme: 'step-in-drops' as const,
      label: `Steps in, leaving ${shares.join(', ')} of the second half`,
      at: stepIns,
    },
  ];
  return rows.flatMap(({ scheme, label, at }) =>
    at.length > 0 ? [{ scheme, label, marks: `${at.map((s) => floorMarkText(s.standX)).join(', ')} cm` }] : [],
  );
}

import type { Station } from '@/data/queries/kit';
import type { WorkingSide } from '@/core/setup/setup-problem';
import { holeText } from '@/messages/holes';
import type { Plates } from '@/server/plates';
import type { DropMarks } from '@/server/set-context';

export interface PlateWords {
  readonly label: string;
  readonly value: string;
  readonly unit: string;
  readonly estimated: boolean;
}

/** How many settings by rule are shown beside hole and mark. */
const MOST_SETTINGS = 2;

/** What to set on steel in words, biggest first; nothing when it is blocked. */
export function platesInWords(plates: Plates, station: Station | null, side: WorkingSide): PlateWords[] {
  if (plates.from === 'blocked') return [];
  const { placement: p, settings, estimated } = plates;
  const solved = plates.from === 'solved' && estimated;
  return [
    ...(p && station
      ? [
          {
            label: side === 'both' ? (p.leftBy ? 'Hole, left | right' : 'Hole, both sides') : 'Hole',
            value: holeText(station.column, p, side),
            unit: '',
            estimated: solved,
          },
          {
            label: p.standX < 0 ? 'Mark, behind' : 'Mark, in front',
            value: String(Math.abs(Math.round(p.standX * 100))),
            unit: 'cm',
            estimated: false,
          },
        ]
      : []),
    ...settings
      .filter((s) => p === null || s.kind !== 'stops')
      .slice(0, MOST_SETTINGS)
      .map((s) => ({ label: s.label, value: s.figure, unit: s.unit, estimated: s.estimated })),
  ];
}

const mark = (m: number): string => `${Math.abs(Math.round(m * 100))}${m < -0.005 ? ' behind' : ''}`;

/** Marks of the drops, in the order that a set goes through them. */
export function dropsInWords({ stances, stepIns }: DropMarks): { readonly label: string; readonly marks: string }[] {
  const at = { contracted: 'finish', mid: 'middle', lengthened: 'stretch' } as const;
  return [
    ...(stances.length > 0
      ? [
          {
            label: `Stance drops, hardest at ${stances.map((s) => at[s.wish]).join(', ')}`,
            marks: `${stances.map((s) => mark(s.standX)).join(', ')} cm`,
          },
        ]
      : []),
    ...(stepIns.length > 0
      ? [
          {
            label: `Steps in, leaving ${stepIns
              .slice(1)
              .map((s) => `${Math.round(s.share * 100)} %`)
              .join(', ')}`,
            marks: `${stepIns.map((s) => mark(s.standX)).join(', ')} cm`,
          },
        ]
      : []),
  ];
}

import type { WorkingSide } from '@/core/body/side';
import type { Placement } from '@/core/setup/setup-problem';
import { entryOf, type MovementId } from '@/core/book/book';
import { parseTempo } from '@/core/tempo/tempo';
import { tempoExtras, tempoNumbers } from './schemes';

interface Aim {
  readonly movement: MovementId;
  readonly reps: number;
  readonly tempo: string;
}

function aimText({ movement, reps, tempo }: Aim): string {
  const holdS = entryOf(movement).work === 'hold' ? parseTempo(tempo)?.stretch : undefined;
  return holdS === undefined
    ? `${reps} at ${tempoNumbers(tempo)}`
    : `${reps} ${reps === 1 ? 'hold' : 'holds'} of ${holdS} s`;
}

/** How many sets of each side are done of how many, and what each aims at. */
export function progressText(
  sides: readonly { readonly side: WorkingSide; readonly done: number; readonly sets: number }[],
  item: Aim,
): string {
  const aim = [aimText(item), ...tempoExtras(item.tempo)].join(', ');
  const sets = sides
    .map((s) => `${s.side === 'both' ? '' : `${s.side} `}${Math.min(s.done, 99)} of ${s.sets}`)
    .join(', ');
  return `${sets} sets, ${aim}`;
}

/** Where the settings of a movement come from. */
export function settingsNoteText(found: {
  readonly from: 'saved' | 'solved';
  readonly placement: Placement | null;
  readonly estimated: boolean;
}): string {
  if (found.from === 'saved') return 'as saved today';
  if (found.placement === null) return 'seat, bench and range fitted to the client';
  return found.estimated ? 'solved; shoulder height estimated' : 'solved from measured shoulder height';
}

/** Where it stood the last time. */
export const lastTimeText = (last: Placement): string =>
  `last time hole ${last.hole}, ${Math.round(last.standX * 100)} cm`;

/** What the handle is called where it is one of the settings. */
export const HANDLE_LABEL = 'Handle';
/** What the band is called there. */
export const BAND_LABEL = 'Band';

import type { WorkingSide } from '@/core/body/side';
import type { Placement } from '@/core/setup/setup-problem';
import { tempoExtras, tempoNumbers } from './schemes';

/** How many sets of each side are done of how many, and what each aims at. */
export function progressText(
  sides: readonly { readonly side: WorkingSide; readonly done: number; readonly sets: number }[],
  item: { readonly reps: number; readonly tempo: string },
): string {
  const aim = [`${item.reps} at ${tempoNumbers(item.tempo)}`, ...tempoExtras(item.tempo)].join(', ');
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

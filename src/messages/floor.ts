import type { WorkingSide } from '@/core/body/side';
import type { Due } from '@/core/body/due';
import type { Placement } from '@/core/setup/setup-problem';
import { entryOf, type MovementId } from '@/core/book/book';
import { parseTempo } from '@/core/tempo/tempo';
import { limitOnText } from './measures';
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

/** How many sets of a session are done. */
export const setsText = (done: number, planned: number): string =>
  `${done} of ${planned} ${planned === 1 ? 'set' : 'sets'}`;

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

/** What was lifted the last time. */
export const lastLoadText = (load: string): string => `last time ${load}`;
/** What was held the last time. */
export const lastHandleText = (name: string): string => `last time ${name}`;

/** A station that somebody else wants at the same time; nobody's name where the client is another trainer's. */
export const wantedText = (station: string, from: string, who: string | null): string =>
  `${station} is wanted by ${who ?? 'another trainer’s client'} too, from about ${from}.`;

/** A set of an earlier day that nobody ended. */
export const unfinishedText = (who: string, movement: string, setNo: number, date: string): string =>
  `${who}, ${movement}: set ${setNo} of ${date} was never ended`;

const inDaysText = (days: number): string => (days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`);

/** What is due for a client. */
export function dueText(due: Due): string {
  switch (due.kind) {
    case 'limit-ends': {
      const { limit, inDays } = due;
      const on = limitOnText(limit);
      const by = `The limit on ${on.charAt(0).toLowerCase()}${on.slice(1)} by the ${limit.setBy}`;
      return inDays >= 0
        ? `${by} ends ${inDaysText(inDays)}: ask what holds after it.`
        : `${by} ended ${-inDays} ${inDays === -1 ? 'day' : 'days'} ago: ask what holds now.`;
    }
    case 'screening':
      return `The screening is due again ${inDaysText(due.inDays)}.`;
    case 'ranges':
      return `Active ranges were measured ${due.daysAgo} days ago: measure them again.`;
  }
}

/** What the handle is called where it is one of the settings. */
export const HANDLE_LABEL = 'Handle';
/** What the band is called there. */
export const BAND_LABEL = 'Band';

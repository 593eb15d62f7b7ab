import { lately } from '@/core/record/lately';
import { repSeconds, wholePace } from '@/core/tempo/pace';
import { aimBlocks, type Aimed } from '@/core/tempo/set-aims';
import { parseTempo } from '@/core/tempo/tempo';

/** What a planned movement's time follows from. */
export interface Timed extends Aimed {
  readonly tempo: string;
  /** Rest between its sets, seconds. */
  readonly restS: number;
  /** Column and handle; null for a movement that needs none. */
  readonly stationId: string | null;
  readonly attachmentId: string | null;
  readonly movement: string;
}

/** What has to be changed most between two movements. */
export type Change = 'side' | 'hole' | 'handle' | 'station';
/** Every kind of change, the least first. */
export const CHANGES: readonly Change[] = ['side', 'hole', 'handle', 'station'];

/** How long a change takes. */
export interface ChangeTime {
  readonly seconds: number;
  /** From the last rep to the next first one, rest and all, as past sessions took it; else the change alone. */
  readonly isWhole: boolean;
}
/** What is reckoned by: a time for every kind of change. */
export type ChangeTimes = Readonly<Record<Change, ChangeTime>>;

const alone = (seconds: number): ChangeTime => ({ seconds, isWhole: false });
/** Where a gym has no times of its own (our judgement; a busy floor takes longer). */
export const OUR_TIMES: ChangeTimes = { side: alone(15), hole: alone(30), handle: alone(45), station: alone(75) };

/**
 * Seconds of a change by itself, while somebody else or another muscle works. What past sessions took holds the rest as
 * well: the change is no longer than that, and no longer than ours.
 */
export const changeAloneS = (change: Change, times: ChangeTimes): number =>
  times[change].isWhole ? Math.min(times[change].seconds, OUR_TIMES[change].seconds) : times[change].seconds;

/** Where a movement is done, and with which handle. */
export type Placed = Pick<Timed, 'movement' | 'stationId' | 'attachmentId'>;

/** What is changed from one planned movement to the next. */
export function changeBetween(from: Placed, to: Placed): Change {
  if (from.stationId !== to.stationId || (from.stationId === null && from.movement !== to.movement)) return 'station';
  if (from.movement === to.movement) return 'side';
  return from.attachmentId === to.attachmentId ? 'hole' : 'handle';
}

/** Seconds from one movement's last rep to the next one's first: the muscles rest while things are changed. */
export const betweenS = (from: Timed, to: Timed, times: ChangeTimes = OUR_TIMES): number => {
  const { seconds, isWhole } = times[changeBetween(from, to)];
  // The other side has rested while this one worked.
  return isWhole || from.movement === to.movement ? seconds : Math.max(seconds, from.restS);
};

/** Tempos in use: a gym writes a dozen. */
const TEMPOS = 100;
const tempoSeconds = lately<number>(TEMPOS);

/** Seconds of one rep at a tempo; nought where it is none. A day's order is reckoned over and over. */
const repSecondsAt = (tempo: string): number =>
  tempoSeconds(tempo, () => {
    const pace = parseTempo(tempo);
    return pace ? repSeconds(wholePace(pace, 'lifting')) : 0;
  });

/** Seconds from a movement's first rep to its last one: sets x reps x tempo, and the rests between its sets. */
export function itemSeconds({ tempo, restS, ...planned }: Timed): number {
  const repS = repSecondsAt(tempo);
  const reps = aimBlocks(planned).reduce((sum, b) => sum + b.sets * b.reps, 0);
  return reps * repS + (planned.sets - 1) * restS;
}

/** Seconds of movements in the order given, with what lies between them. */
export const sessionSeconds = (items: readonly Timed[], times: ChangeTimes = OUR_TIMES): number =>
  items.reduce((sum, item, k) => sum + itemSeconds(item) + (k > 0 ? betweenS(items[k - 1]!, item, times) : 0), 0);

import { repSeconds, wholePace } from '@/core/tempo/pace';
import { parseTempo } from '@/core/tempo/tempo';

/** What a planned movement's time follows from. */
export interface Timed {
  readonly sets: number;
  readonly reps: number;
  readonly tempo: string;
  /** Rest between its sets, seconds. */
  readonly restS: number;
  /** Column and handle; null for a movement that needs none. */
  readonly stationId: string | null;
  readonly attachmentId: string | null;
  readonly movement: string;
}

/** Going from one movement to the next, seconds (our judgement; a busy floor takes longer). */
export const CHANGE_S = { side: 15, hole: 30, handle: 45, station: 75 } as const;
/** What has to be changed most between two movements. */
export type Change = keyof typeof CHANGE_S;

/** What is changed from one planned movement to the next. */
export function changeBetween(from: Timed, to: Timed): Change {
  if (from.stationId !== to.stationId || (from.stationId === null && from.movement !== to.movement)) return 'station';
  if (from.movement === to.movement) return 'side';
  return from.attachmentId === to.attachmentId ? 'hole' : 'handle';
}

/** Seconds from one movement's last rep to the next one's first: the muscles rest while things are changed. */
export const betweenS = (from: Timed, to: Timed): number => {
  const changeS = CHANGE_S[changeBetween(from, to)];
  // The other side has rested while this one worked.
  return from.movement === to.movement ? changeS : Math.max(changeS, from.restS);
};

/** Seconds from a movement's first rep to its last one: sets x reps x tempo, and the rests between its sets. */
export function itemSeconds({ sets, reps, tempo, restS }: Timed): number {
  const pace = parseTempo(tempo);
  const repS = pace ? repSeconds(wholePace(pace, 'lifting')) : 0;
  return sets * reps * repS + (sets - 1) * restS;
}

/** Seconds of movements in the order given, with what lies between them. */
export const sessionSeconds = (items: readonly Timed[]): number =>
  items.reduce((sum, item, k) => sum + itemSeconds(item) + (k > 0 ? betweenS(items[k - 1]!, item) : 0), 0);

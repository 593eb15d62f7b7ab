import type { OrderBlock } from '@/core/plan/session-order';
import type { Timed } from '@/core/plan/session-time';

/** Three sets of ten at six seconds, a minute of rest, on a column. */
export const timed = (more: Partial<Timed> = {}): Timed => ({
  ...{ sets: 3, reps: 10, tempo: '3-1-2-0', restS: 60, stationId: 'a', attachmentId: 'd', movement: 'm' },
  ...more,
});

const GROUPS = ['rows', 'chest', 'biceps'] as const;
const RANKS = ['wakes-up', 'compound', 'single-joint'] as const;
/** Blocks drawn at random, on few stations and of few groups, so that rules and ways meet. */
export function drawnBlocks(n: number, random: () => number): OrderBlock[] {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  return Array.from({ length: n }, (_, k) => ({
    ...{ id: `b${k}`, group: pick(GROUPS), rank: pick(RANKS), refines: random() < 0.4 },
    items: [
      timed({
        movement: `m${k}`,
        stationId: pick(['a', 'b', null]),
        attachmentId: pick(['d', 'e']),
        restS: pick([20, 60, 90]),
      }),
    ],
  }));
}

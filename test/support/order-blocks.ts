import type { OrderBlock } from '@/core/plan/session-order';
import type { Timed } from '@/core/plan/session-time';

/** Three sets of ten at six seconds, a minute of rest, on a column. */
export const timed = (more: Partial<Timed> = {}): Timed => ({
  ...{ sets: 3, reps: 10, aims: null, tempo: '3-1-2-0', restS: 60, stationId: 'a', attachmentId: 'd', movement: 'm' },
  ...more,
});

const TARGETS = ['mid-back', 'chest-mid', 'biceps-long'] as const;
const GROUPS = ['rows', 'chest', 'biceps'] as const;
/** What does not bear on most checks. */
export const PLAIN = {
  target: 'mid-back',
  refines: false,
  leads: false,
  strains: false,
  pairId: null,
  isPinned: false,
} as const;
const RANKS = ['wakes-up', 'compound', 'single-joint'] as const;
/** Blocks drawn at random, on few stations and of few groups, so that rules and ways meet. */
export function drawnBlocks(n: number, random: () => number): OrderBlock[] {
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  return Array.from({ length: n }, (_, k) => ({
    ...{ ...PLAIN, id: `b${k}`, group: pick(GROUPS), rank: pick(RANKS), refines: random() < 0.4 },
    target: pick(TARGETS),
    leads: random() < 0.2,
    strains: random() < 0.2,
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

/** Every order of some things. */
export function* permutations<T>(of: readonly T[]): Generator<T[]> {
  if (of.length === 0) yield [];
  for (const [k, one] of of.entries())
    for (const rest of permutations(of.filter((_, i) => i !== k))) yield [one, ...rest];
}

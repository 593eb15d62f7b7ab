import { OUR_TIMES, betweenS, sessionSeconds, type ChangeTimes } from './session-time';
import { turnsSeconds, type InTurns } from './turns';

/** A movement of two who train together: of one or of both, and the seconds from one's set-up to the other's. */
export interface Shared {
  readonly blocks: readonly [InTurns] | readonly [InTurns, InTurns];
  readonly changeS: number;
}

/** Movements of two sessions, those of both as one, in the order of the first; what only the second has, last. */
export function sharedBlocks<T extends InTurns & { readonly movement: string }>(
  first: readonly T[],
  second: readonly T[],
): readonly (readonly [T | null, T | null])[] {
  const left = [...second];
  const own = first.map((a): readonly [T, T | null] => {
    const at = left.findIndex((b) => b.movement === a.movement);
    return [a, at < 0 ? null : left.splice(at, 1)[0]!];
  });
  return [...own, ...left.map((b): readonly [null, T] => [null, b])];
}

/**
 * Seconds of a session that two share: of each movement they take turns, one resting while the other works and the
 * set-up is changed between them; what only one of them does is done alone.
 */
export function togetherSeconds(shared: readonly Shared[], times: ChangeTimes = OUR_TIMES): number {
  const own = ({ blocks: [a, b], changeS }: Shared): number =>
    b ? turnsSeconds(a, b, times, changeS) : sessionSeconds(a.items, times);
  return shared.reduce((sum, s, k) => {
    const before = shared[k - 1];
    const way = before ? betweenS(before.blocks.at(-1)!.items.at(-1)!, s.blocks[0].items[0]!, times) : 0;
    return sum + own(s) + way;
  }, 0);
}

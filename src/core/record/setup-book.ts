import { sameOptions } from '@/core/book/entry-options';
import type { WorkingSide } from '@/core/body/side';
import type { Placement } from '@/core/setup/setup-problem';
import type { SavedSetup } from './floor-event';
import type { SetLog } from './set-log';

/** What differs between a set-up and the one before it. */
export type SetupChange =
  | { readonly what: 'hole' | 'carriages' | 'mark' | 'sideways' | 'facing'; readonly from: number; readonly to: number }
  | { readonly what: 'column' | 'handle'; readonly from: string | null; readonly to: string | null }
  | { readonly what: 'choices' };

/** A set-up in the book, with what changed since the one before it. */
export interface SetupEntry extends SavedSetup {
  readonly id: string;
  readonly atMs: number;
  /** Against the entry before it; empty for the first and for one that was used again. */
  readonly changed: readonly SetupChange[];
}

/** One movement on one side, newest set-up first: left and right are kept apart. */
export interface SetupPage {
  readonly movement: string;
  readonly side: WorkingSide;
  readonly entries: readonly SetupEntry[];
}

const PLACE = [
  ['hole', 'hole'],
  ['carriages', 'leftBy'],
  ['mark', 'standX'],
  ['sideways', 'standZ'],
  ['facing', 'yawDeg'],
] as const satisfies readonly (readonly [SetupChange['what'], keyof Placement])[];

/**
 * What changed between two set-ups of a movement; holes are compared only on the same column, where they mean the same.
 */
export function changesBetween(before: SavedSetup, after: SavedSetup): SetupChange[] {
  const changes: SetupChange[] = [];
  if (before.stationId !== after.stationId)
    changes.push({ what: 'column', from: before.stationId, to: after.stationId });
  if (before.attachmentId !== after.attachmentId)
    changes.push({ what: 'handle', from: before.attachmentId, to: after.attachmentId });
  const [a, b] = [before.placement, after.placement];
  if (a && b) {
    for (const [what, key] of PLACE) {
      if ((key === 'hole' || key === 'leftBy') && before.stationId !== after.stationId) continue;
      const [from, to] = [a[key] ?? 0, b[key] ?? 0];
      if (Math.abs(from - to) > 1e-9) changes.push({ what, from, to });
    }
  }
  if (!sameOptions(before.options, after.options)) changes.push({ what: 'choices' });
  return changes;
}

/** Every set-up of a movement as used, by side, newest first, each with what changed since the one before. */
export function buildSetupPages(movement: string, setups: SetLog['setups']): SetupPage[] {
  const sides = [...new Set(setups.map((s) => s.side))];
  return sides.map((side) => {
    const own = setups.filter((s) => s.side === side);
    const entries = own.map((s, i): SetupEntry => ({ ...s, changed: i === 0 ? [] : changesBetween(own[i - 1]!, s) }));
    return { movement, side, entries: entries.reverse() };
  });
}

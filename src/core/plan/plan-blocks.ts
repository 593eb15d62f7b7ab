import type { WorkingSide } from '@/core/body/side';
import { entryOf, type MovementId } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import { isCompound } from '@/core/book/compound';
import { withSides } from '@/core/record/side-pair';
import type { OrderBlock, OrderRank } from './session-order';
import type { Timed } from './session-time';

/** A planned movement as its order and time ask for it. */
export interface PlannedMovement extends Omit<Timed, 'restS'> {
  readonly id: string;
  readonly movement: MovementId;
  readonly variantId: string | null;
  readonly side: WorkingSide;
}

/** What is done in one go: a planned movement, or its two sides one after the other. Its id is the first one's. */
export interface PlanBlock extends OrderBlock {
  readonly movement: MovementId;
  readonly itemIds: readonly string[];
}

function rankOf(entry: BookEntry): OrderRank {
  if (entry.group === 'before') return 'wakes-up';
  return isCompound(entry) ? 'compound' : 'single-joint';
}

const timedOf = ({ sets, reps, tempo, stationId, attachmentId, movement }: PlannedMovement): Timed => ({
  ...{ sets, reps, tempo, stationId, attachmentId, movement },
  restS: entryOf(movement).restS,
});

/**
 * Planned movements as blocks, in their order, the two sides of one together as they are on the floor. One arm at a
 * time, or on a preacher's pad, refines: about third for its muscle, and lighter (common practice); for a client who
 * works one arm at a time anyway (`oneArmFirst`) it does not.
 */
export const planBlocks = (items: readonly PlannedMovement[], oneArmFirst: boolean): PlanBlock[] =>
  withSides(items).map((own) => {
    const [{ id, movement }] = own;
    const entry = entryOf(movement);
    return {
      ...{ id, movement, group: entry.group, rank: rankOf(entry) },
      refines: !oneArmFirst && (entry.hands === 'one' || entry.armOn !== null),
      itemIds: own.map((i) => i.id),
      items: own.map(timedOf),
    };
  });

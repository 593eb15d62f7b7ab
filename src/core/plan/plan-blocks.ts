import { entryOf, type MovementId } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import { isCompound } from '@/core/book/compound';
import type { WorkingSide } from '@/core/body/side';
import type { OrderBlock, OrderRank } from './session-order';

/** A planned movement as its order and time ask for it. */
export interface PlannedMovement {
  readonly id: string;
  readonly movement: MovementId;
  readonly side: WorkingSide;
  readonly sets: number;
  readonly reps: number;
  readonly tempo: string;
  readonly stationId: string | null;
  readonly attachmentId: string | null;
}

/** Both sides of a movement that follow each other are one block; its id is the first one's. */
export interface PlanBlock extends OrderBlock {
  readonly movement: MovementId;
  readonly itemIds: readonly string[];
}

function rankOf(entry: BookEntry): OrderRank {
  if (entry.group === 'before') return 'wakes-up';
  return isCompound(entry) ? 'compound' : 'single-joint';
}

const timedOf = ({ sets, reps, tempo, stationId, attachmentId, movement }: PlannedMovement) => ({
  ...{ sets, reps, tempo, stationId, attachmentId, movement },
  restS: entryOf(movement).restS,
});

/**
 * Planned movements as blocks, in their order. One arm at a time, or on a preacher's pad, refines: about third for its
 * muscle, and lighter (common practice); for a client who works one arm at a time anyway (`oneArmFirst`) it does not.
 */
export function planBlocks(items: readonly PlannedMovement[], oneArmFirst: boolean): PlanBlock[] {
  const blocks: PlanBlock[] = [];
  for (const item of items) {
    const last = blocks.at(-1);
    const sided = item.side !== 'both';
    if (last && sided && last.movement === item.movement && last.itemIds.length === 1) {
      const before = items.find((i) => i.id === last.id)!;
      if (before.side !== 'both' && before.side !== item.side) {
        blocks[blocks.length - 1] = {
          ...last,
          itemIds: [...last.itemIds, item.id],
          items: [...last.items, timedOf(item)],
        };
        continue;
      }
    }
    const entry = entryOf(item.movement);
    blocks.push({
      id: item.id,
      movement: item.movement,
      group: entry.group,
      rank: rankOf(entry),
      refines: !oneArmFirst && (entry.hands === 'one' || entry.armOn !== null),
      itemIds: [item.id],
      items: [timedOf(item)],
    });
  }
  return blocks;
}

import { noteDefaults, type ClientNote } from '@/core/body/client-note';
import type { WorkingSide } from '@/core/body/side';
import { entryOf, type MovementId } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import type { CautionCode } from '@/core/book/caution-code';
import { isCompound } from '@/core/book/compound';
import { cautionsOf } from '@/core/book/entry-cautions';
import { withSides } from '@/core/record/side-pair';
import type { OrderBlock, OrderRank } from './session-order';
import type { Timed } from './session-time';

/** A planned movement as its order and time ask for it. */
export interface PlannedMovement extends Omit<Timed, 'restS'> {
  readonly id: string;
  readonly movement: MovementId;
  readonly variantId: string | null;
  readonly side: WorkingSide;
  readonly pairId: string | null;
  readonly isPinned: boolean;
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

const timedOf = ({ sets, reps, aims, tempo, stationId, attachmentId, movement }: PlannedMovement): Timed => ({
  ...{ sets, reps, aims, tempo, stationId, attachmentId, movement },
  restS: entryOf(movement).restS,
});

/** Cautions that ask for a joint to be warm, by the note that names the joint (common practice). */
const STRAINS: Readonly<Partial<Record<ClientNote, readonly CautionCode[]>>> = {
  shoulder: ['deep-shoulder-stretch', 'handles-behind-chest'],
  elbow: ['preacher-bottom', 'no-lockout'],
  'low-back': ['round-spine', 'bar-on-pins'],
  knee: ['knee-on-axis', 'no-lockout'],
};

/** Whether a movement loads a joint that is noted where its caution asks to be careful. */
function strains(entry: BookEntry, notes: readonly ClientNote[]): boolean {
  const cautions = cautionsOf(entry);
  return notes.some((n) => STRAINS[n]?.some((c) => cautions.includes(c)));
}

/**
 * Planned movements as blocks, in their order, the two sides of one together as they are on the floor. One arm at a
 * time, or on a preacher's pad, refines: about third for its muscle, and lighter (common practice); for a client who
 * does not feel a muscle yet, one arm at a time leads instead.
 */
export const planBlocks = (items: readonly PlannedMovement[], notes: readonly ClientNote[]): PlanBlock[] => {
  const { oneArm } = noteDefaults(notes);
  return withSides(items).map((own) => {
    const [{ id, movement, pairId, isPinned }] = own;
    const entry = entryOf(movement);
    const rank = rankOf(entry);
    const isOneArm = entry.hands === 'one' && rank !== 'wakes-up';
    return {
      ...{ id, movement, group: entry.group, target: entry.target, rank, pairId, isPinned },
      refines: !(oneArm && isOneArm) && (entry.hands === 'one' || entry.armOn !== null),
      leads: oneArm && isOneArm,
      strains: strains(entry, notes),
      itemIds: own.map((i) => i.id),
      items: own.map(timedOf),
    };
  });
};

/** How far a planned movement has come. */
export type ItemState = 'to-do' | 'under-way' | 'done' | 'stopped' | 'skipped';

/** What that follows from: its records, and its plan. */
interface Come {
  /** Sets that are ended, of how many that are planned. */
  readonly ended: number;
  readonly planned: number;
  /** A set is open. */
  readonly isOpen: boolean;
  /** Pain stopped it. */
  readonly isStopped: boolean;
  readonly isSkipped: boolean;
}

/** Pain stops a movement for good; an open set is to be ended, however many there were and whatever was planned. */
export function itemState({ ended, planned, isOpen, isStopped, isSkipped }: Come): ItemState {
  if (isStopped) return 'stopped';
  if (isOpen) return 'under-way';
  if (ended >= planned) return 'done';
  if (isSkipped) return 'skipped';
  return ended > 0 ? 'under-way' : 'to-do';
}

/** Whether nothing more is to be done with a movement. */
export const isFinished = (state: ItemState): boolean => state === 'done' || state === 'stopped' || state === 'skipped';

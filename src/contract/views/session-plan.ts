import type { PlanBlock } from '@/core/plan/plan-blocks';

/** A block of a session's plan with what is read of it. */
export interface PlanBlockView extends PlanBlock {
  readonly name: string;
  /** Sets, reps, tempo and load. */
  readonly says: string;
  readonly station: string | null;
  /** A set of it was begun: it is not moved any longer. */
  readonly isBegun: boolean;
}

/** A session in its order. */
export interface SessionPlanView {
  readonly sessionId: string;
  readonly clientName: string;
  readonly when: string;
  /** The time there is. */
  readonly minutes: number;
  readonly blocks: readonly PlanBlockView[];
  /** Movements that this program cannot read: then nothing is moved. */
  readonly unreadable: number;
}

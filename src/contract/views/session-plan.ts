import type { PlanBlock } from '@/core/plan/plan-blocks';

/** A block of a session's plan with what is read of it. */
export interface PlanBlockView extends PlanBlock {
  readonly name: string;
  /** Sets, reps, tempo and load. */
  readonly says: string;
  readonly station: string | null;
}

/** A session in its order. */
export interface SessionPlanView {
  readonly sessionId: string;
  readonly clientName: string;
  readonly when: string;
  /** The time there is. */
  readonly minutes: number;
  readonly blocks: readonly PlanBlockView[];
  /** So many from the first were begun: they stay where they are. */
  readonly begun: number;
  /** Movements that this program cannot read keep their place at the end. */
  readonly unreadable: number;
}

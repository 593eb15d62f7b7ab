import type { Question } from '@/core/book/question';
import type { LeastChange } from '@/core/setup/least-change';
import type { Placement } from '@/core/setup/setup-problem';

/** Asked of the worker; answers carry the number of their question, and only the newest counts. */
export interface LeastChangeQuestion {
  readonly no: number;
  readonly question: Question;
  readonly held: Partial<Placement>;
  readonly found: Placement;
  /** The solved placement that a change must come close to. */
  readonly best: Placement;
}

/** The change without its evaluation: the page evaluates what it shows. */
export interface LeastChangeData {
  readonly changes: LeastChange['changes'];
  readonly placement: Placement;
}

export interface LeastChangeReply {
  readonly no: number;
  readonly change: LeastChangeData | null;
}

import type { ChooseInput } from '@/core/book/choose';
import type { RegionCoverage, UsedMovement } from '@/core/week/week-coverage';

/** Asked of the worker; answers carry the number of their question, and only the newest counts. */
export interface CoverageQuestion {
  readonly no: number;
  readonly used: readonly UsedMovement[];
  readonly input: ChooseInput;
}

export type CoverageReply =
  | { readonly no: number; readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly no: number; readonly kind: 'done'; readonly coverage: readonly RegionCoverage[] };

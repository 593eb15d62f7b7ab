import type { Placement } from '@/core/setup/setup-problem';
import type { LoadUnit } from '@/core/units/mass';
import type { PosedQuestion } from '@/core/book/posed-question';

/** What a station card is made of. */
export interface CardContent {
  readonly client: string;
  readonly variant: { readonly name: string; readonly cue: string } | null;
  readonly posed: PosedQuestion;
  /** As saved or solved; null for a movement without a column. */
  readonly placement: Placement | null;
  readonly station: string | null;
  readonly handle: string | null;
  /** What its load is stamped in. */
  readonly unit: LoadUnit;
}

import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import type { ChoosingView } from './choosing';

/** What fault-spotting practice needs: a body and a gym's kit to draw on, and what the trainer said so far. */
export interface SpottingView {
  readonly choosing: ChoosingView;
  /** The newest ones, oldest first. */
  readonly answers: readonly SpottingAnswer[];
}

/** Which answers are kept now; the others say why not. */
export interface SpottingKept {
  readonly kept: readonly string[];
  /** By the id of each that was not taken. */
  readonly refused: Readonly<Record<string, string>>;
}

import type { Practice } from '@/core/book/practice';
import type { PracticeEffect } from '@/core/book/practice-effect';
import type { Question } from '@/core/book/question';

/** Asked of the worker; answers carry the number of their question, and only the newest counts. */
export interface PracticeAsked {
  readonly no: number;
  readonly question: Question;
  readonly practices: readonly Practice[];
}

export interface PracticeReply {
  readonly no: number;
  readonly effects: readonly PracticeEffect[];
}

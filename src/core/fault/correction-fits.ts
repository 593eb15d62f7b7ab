import type { BookEntry } from '@/core/book/book-entry';
import type { CorrectionCode } from '@/core/movement/correction-code';

/** Corrections that move a pulley, or the client before one. */
const AT_THE_COLUMN: readonly CorrectionCode[] = [
  'solved-hole',
  'solved-mark',
  'pulley-up',
  'step-in',
  'step-out',
  'lower-line',
];

/** Whether a correction can be made where this load is: a pulley is moved on a column, a load where there is one. */
export function correctionFits({ load }: Pick<BookEntry, 'load'>, c: CorrectionCode): boolean {
  if (AT_THE_COLUMN.includes(c)) return load.kind === 'cable';
  if (c === 'one-step-lighter') return load.kind !== 'none' && load.kind !== 'body';
  return (c !== 'straps' && c !== 'own-load') || load.kind !== 'none';
}

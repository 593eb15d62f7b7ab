import type { BookEntry } from './book-entry';
import { BICEPS, TRICEPS } from './entries/arms';
import { CHEST } from './entries/chest';
import { DELTOIDS } from './entries/deltoids';
import { BEFORE, LEGS } from './entries/legs';
import { PULLDOWNS } from './entries/pulldowns';
import { ROWS } from './entries/rows';

/** Every movement of the book, in the order of its groups. */
export const BOOK: readonly BookEntry[] = [
  ...CHEST,
  ...ROWS,
  ...PULLDOWNS,
  ...DELTOIDS,
  ...BICEPS,
  ...TRICEPS,
  ...LEGS,
  ...BEFORE,
];

export const findEntry = (id: string): BookEntry | null => BOOK.find((e) => e.id === id) ?? null;

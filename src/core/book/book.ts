import type { BookEntry } from './book-entry';
import { BICEPS } from './entries/curls';
import { TRICEPS } from './entries/extensions';
import { CHEST } from './entries/chest';
import { DELTOIDS } from './entries/deltoids';
import { BEFORE, LEGS } from './entries/legs';
import { PULLDOWNS } from './entries/pulldowns';
import { ROWS } from './entries/rows';

const ENTRIES = [...CHEST, ...ROWS, ...PULLDOWNS, ...DELTOIDS, ...BICEPS, ...TRICEPS, ...LEGS, ...BEFORE] as const;

/** Every movement of the book by its id. */
export type MovementId = (typeof ENTRIES)[number]['id'];

/** Every movement of the book, in the order of its groups. */
export const BOOK: readonly (BookEntry & { readonly id: MovementId })[] = ENTRIES;

/** The id of every movement, in the order of the book. */
export const MOVEMENT_IDS: readonly MovementId[] = ENTRIES.map((e) => e.id);

const BY_ID: ReadonlyMap<string, (typeof BOOK)[number]> = new Map(BOOK.map((e) => [e.id, e]));

/** The movement of an id that may be none of the book's. */
export const findEntry = (id: string): (typeof BOOK)[number] | null => BY_ID.get(id) ?? null;

/** The movement of an id of the book. */
export const entryOf = (id: MovementId): BookEntry => BY_ID.get(id)!;

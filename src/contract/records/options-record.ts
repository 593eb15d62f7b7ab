import { z } from 'zod';
import type { EntryOptions } from '@/core/book/entry-options';
import { choiceFields } from '../options-schema';
import type { Json, Upcast } from './record';

/** Every choice of a movement as it is kept. */
export const keptOptionsSchema: z.ZodType<EntryOptions> = z.strictObject({
  ...choiceFields,
  // Choices that came with closed chains; what was kept before them is the movement's own.
  gripWidthM: choiceFields.gripWidthM.default(null),
  feet: choiceFields.feet.default(null),
  leanDeg: choiceFields.leanDeg.default(null),
  pinM: choiceFields.pinM.default(null),
});

/** Some choices of a movement as they are kept: those that differ from the movement's own. */
export const keptSomeOptionsSchema: z.ZodType<Partial<EntryOptions>> = z.strictObject(choiceFields).partial();

/** Version 1 called the sides taken where practitioners differ `schools`. */
export const renameSchools: Upcast = ({ schools, ...rest }) =>
  schools === undefined ? rest : { ...rest, practices: schools };

/** Choices that version 1 did not know before the book had more than flies. */
const UNKNOWN_THEN: Json = {
  practices: {},
  grip: null,
  armPathDeg: null,
  tuckDeg: 0,
  backDeg: null,
  seatHole: null,
  startAt: 0,
  stopAt: 1,
};

/** Version 1 of all choices: fewer of them, and the older name. */
export const completeOptions: Upcast = (older) => ({ ...UNKNOWN_THEN, ...renameSchools(older) });

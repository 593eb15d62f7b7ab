import type { BookEntry } from './book-entry';

/** Postures that nothing but feet and knees holds: a forearm on one's own thigh leans on nothing else. */
const ON_FEET: ReadonlySet<BookEntry['posture']['kind']> = new Set([
  'standing',
  'staggered',
  'wide',
  'hinged',
  'half-kneeling',
  'tall-kneeling',
  'forearm-on-thigh',
]);

/** Whether nothing but feet and knees holds a client in a movement. */
export const standsFree = ({ posture, armOn }: BookEntry): boolean => ON_FEET.has(posture.kind) && armOn === null;

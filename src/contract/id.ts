/** What names a client, a planned movement, a piece of kit: as ids are made here. */
const ID = /^[\w-]{1,64}$/;

/** An id from outside; null where it is none: an address or a form can bring anything. */
export const readId = (value: unknown): string | null => (typeof value === 'string' && ID.test(value) ? value : null);

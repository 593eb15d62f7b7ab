import 'server-only';
import { randomUUID } from 'node:crypto';

const UUID = /^[\da-f]{8}-[\da-f]{4}-[1-8][\da-f]{3}-[89ab][\da-f]{3}-[\da-f]{12}$/;

/**
 * The id of what a form makes: the key that its page gave it, so that a form that is sent twice makes one thing; a new
 * one where there is no key, or none that is one.
 */
export const idFromKey = (key: unknown): string => (typeof key === 'string' && UUID.test(key) ? key : randomUUID());

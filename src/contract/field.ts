import { z } from 'zod';
import { EXPECTED } from '@/messages/expected';

/** A number with its span and unit in the message, so that every border says the same thing. */
export const numberBetween = (min: number, max: number, unit = '') => {
  const expected = EXPECTED.between(min, max, unit);
  return z.number({ error: expected }).min(min, { error: expected }).max(max, { error: expected });
};

/** A whole number with its span in the message. */
export const wholeBetween = (min: number, max: number) => {
  const expected = EXPECTED.wholeBetween(min, max);
  return z.int({ error: expected }).min(min, { error: expected }).max(max, { error: expected });
};

export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: EXPECTED.oneOf(values.join(', ')) });

export const text = (min: number, max: number) => {
  const expected = min > 0 ? EXPECTED.characters(min, max) : EXPECTED.atMostCharacters(max);
  return z.string({ error: expected }).trim().min(min, { error: expected }).max(max, { error: expected });
};

/** An object with exactly these keys, each by its own schema. */
export const objectOf = <K extends string, T extends z.ZodType>(keys: readonly K[], schema: (key: K) => T) =>
  z.strictObject(Object.fromEntries(keys.map((k) => [k, schema(k)])) as unknown as Record<K, T>);

/** A problem at one place of an input, ready to be shown beside it. */
export interface FieldIssue {
  readonly path: string;
  readonly message: string;
}

/** Zod's issues as paths and expectations; unknown keys name the key. */
export function toFieldIssues(error: z.ZodError): FieldIssue[] {
  return error.issues.map((issue) => {
    const path = issue.path.map(String).join('.');
    if (issue.code === 'unrecognized_keys') {
      return {
        path: [path, issue.keys[0]].filter(Boolean).join('.'),
        message: EXPECTED.unknownKey,
      };
    }
    if (issue.code === 'invalid_type' && issue.message.startsWith('Invalid input')) {
      return {
        path,
        message: issue.expected === 'object' ? EXPECTED.anObject : EXPECTED.asSaid(`a ${issue.expected}`),
      };
    }
    return { path, message: issue.message };
  });
}

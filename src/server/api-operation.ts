import 'server-only';
import { z } from 'zod';
import type { ApiScope } from '@/core/account/api-scope';
import type { FieldIssue } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { API_SUMMARY } from '@/messages/api';
import type { UseCase } from './use-case';

/** What an operation comes to. */
export type Outcome<R> =
  | { readonly ok: true; readonly value: R }
  | { readonly ok: false; readonly status: 404 }
  | { readonly ok: false; readonly status: 422; readonly issues: readonly FieldIssue[] };

/** One thing that programs can do: how it is asked, what it needs, and what it gives. */
export interface Operation {
  readonly id: keyof typeof API_SUMMARY;
  readonly method: 'get' | 'post' | 'put';
  /** Below /api/v1, with names in braces. */
  readonly path: string;
  readonly scope: ApiScope;
  readonly params: z.ZodObject;
  readonly query: z.ZodObject;
  readonly body: z.ZodType | null;
  readonly reply: z.ZodType;
  /** `key`: what a write is known by, so that sent twice it is done once. */
  readonly does: (
    uc: UseCase,
    asked: { readonly params: never; readonly query: never; readonly body: never; readonly key: string | null },
  ) => Outcome<unknown> | Promise<Outcome<unknown>>;
}

/** An operation with its parts held to each other. */
export function operation<P extends z.ZodObject, Q extends z.ZodObject, B extends z.ZodType, R extends z.ZodType>(
  o: Omit<Operation, 'params' | 'query' | 'body' | 'reply' | 'does'> & {
    readonly params?: P;
    readonly query?: Q;
    readonly body?: B;
    readonly reply: R;
    readonly does: (
      uc: UseCase,
      asked: { params: z.output<P>; query: z.output<Q>; body: z.output<B>; key: string | null },
    ) => Outcome<z.input<R>> | Promise<Outcome<z.input<R>>>;
  },
): Operation {
  const none = z.object({});
  return { ...o, params: o.params ?? none, query: o.query ?? none, body: o.body ?? null, does: o.does as never };
}

/** There is none in one's care. */
export const NOT_THERE = { ok: false, status: 404 } as const;
/** What it comes to where it can be done. */
export const good = <R>(value: R): Outcome<R> => ({ ok: true, value });
/** What a write comes to that is known by a key: sent again it is the thing that it made. */
export function once<R>(
  key: string | null,
  find: (id: string) => R | null,
  save: () => SaveResult<unknown>,
): Outcome<R> {
  const made = key === null ? null : find(key);
  return made === null ? saved(save(), find) : good(made);
}

/** What a save comes to: the thing as it stands now, or what is expected of its fields. */
export const saved = <R>(done: SaveResult<unknown>, find: (id: string) => R | null): Outcome<R> => {
  if (!done.ok) return { ok: false, status: 422, issues: done.issues };
  const value = find(done.id);
  return value === null ? NOT_THERE : good(value);
};

import type { FieldIssue } from '@/contract/field';

/** What a form's save gives back: the id it has now, or what is wrong at which field. */
export type SaveResult =
  { readonly ok: true; readonly id: string } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

import type { FieldIssue } from '@/contract/field';
import type { SaveTrouble } from '@/messages/saving';

/** A save that was refused. */
export type Refused<V = never> = SaveResult<V> & { readonly ok: false };

/** A refusal told at one field; at the whole form where the path is empty. */
export const refused = (path: string, message: string): Refused => ({ ok: false, issues: [{ path, message }] });

/**
 * What a form's save gives back: the id it has now, or what is wrong at which field. A sheet that others may have open
 * too (`V`: what is kept of it) also gives what is kept now, or, where somebody else changed the same, what to save
 * from so that what was typed here stands.
 */
export type SaveResult<V = never> =
  | { readonly ok: true; readonly id: string; readonly kept?: V }
  | {
      readonly ok: false;
      readonly issues: readonly FieldIssue[];
      readonly next?: V;
      /** Why nothing was saved, where no field is to blame. */
      readonly trouble?: SaveTrouble;
    };

import type { Choice, ChooseInput } from '@/core/book/choose';
import type { Region } from '@/core/body/region-line';

/** Asked of the worker; answers carry the number of their question, and only the newest counts. */
export interface ChooseQuestion {
  readonly no: number;
  readonly region: Region;
  readonly input: ChooseInput;
}

/** A choice without its entry: the page has the book itself. */
export type ChoiceData = Omit<Choice, 'entry'> & { readonly id: string };

export type ChooseReply =
  | { readonly no: number; readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly no: number; readonly kind: 'done'; readonly choices: readonly ChoiceData[] };

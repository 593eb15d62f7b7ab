import type { Proposal, ProposeInput } from '@/core/propose/propose';

/** Asked of the worker; answers carry the number of their question, and only the newest counts. */
export interface ProposeQuestion {
  readonly no: number;
  readonly input: ProposeInput;
}

export type ProposeReply =
  | { readonly no: number; readonly kind: 'progress'; readonly done: number; readonly of: number }
  | { readonly no: number; readonly kind: 'done'; readonly proposal: Proposal };

import { KIT_STAND_IN } from './kit';

/** Planned kit that is out of order and what stands in for it, in a sentence. */
export const replacedText = (r: { readonly kind: 'column' | 'attachment'; readonly planned: string; readonly by: string | null }): string =>
  `${r.planned} is out of order. ${r.by === null ? `Nothing alike works here. ${KIT_STAND_IN[r.kind]}` : `Set up on ${r.by} instead.`}`;

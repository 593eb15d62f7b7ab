import { KIT_STAND_IN } from './kit';

/** Planned kit that is out of order, or in another gym, and what stands in for it, in a sentence. */
export const replacedText = (r: {
  readonly kind: 'column' | 'attachment';
  readonly why: 'out-of-order' | 'elsewhere';
  readonly planned: string;
  readonly by: string | null;
}): string => {
  const planned = `${r.planned.charAt(0).toUpperCase()}${r.planned.slice(1)}`;
  const why = r.why === 'elsewhere' ? 'not in this gym' : 'out of order';
  const instead =
    r.by === null
      ? `Nothing alike works here. ${KIT_STAND_IN[r.kind]}`
      : `Set up ${r.kind === 'column' ? 'on' : 'with'} ${r.by} instead.`;
  return `${planned} is ${why}. ${instead}`;
};

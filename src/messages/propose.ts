import type { Why } from '@/core/propose/propose-session';
import { THIRDS } from '@/core/week/range-coverage';
import type { WorkKind } from '@/core/book/book-entry';
import { REGION_NAME } from './movements';
import { setsText, THIRD_TEXT } from './week';

/** Why a movement is done before the work. */
export const BEFORE_TEXT: Readonly<Record<Exclude<WorkKind, 'lift'>, string>> = {
  hold: 'Stretches the chest before rows.',
  drill: 'Wakes up what is not felt yet.',
};

/** Where in its region's range a movement is alone. */
function aloneText(fills: Why['fills']): string {
  if (fills.length === 0) return '';
  if (fills.length === THIRDS.length) return '; the only one for it';
  return `; alone in loading it ${fills.map((t) => THIRD_TEXT[t]).join(' and ')}`;
}

/** Why a movement is proposed: what its region still wants of this session, and what it alone loads of its range. */
export function whyText({ region, want, fills }: Why): string {
  const name = REGION_NAME[region];
  const wants =
    want > 0 ? `${name}: ${setsText(want)} ${want <= 1 ? 'set' : 'sets'} wanted` : `${name}: the week has its sets`;
  return `${wants.charAt(0).toUpperCase()}${wants.slice(1)}${aloneText(fills)}.`;
}

import type { Stood } from '@/core/record/course';
import type { SetupChange } from '@/core/record/setup-book';
import type { Placement } from '@/core/setup/setup-problem';
import { turnDeg } from '@/core/units/turn';
import { cmText } from './numbers';

/** What pieces of kit are called; null for one that is gone. */
export interface KitNames {
  readonly station: (id: string | null) => string | null;
  readonly handle: (id: string | null) => string | null;
}

/** A turn to the left, degrees. */
const turnText = (deg: number): string => `turned ${Math.abs(Math.round(deg))}° ${deg > 0 ? 'left' : 'right'}`;

/** What changed since the set-up before. */
export function setupChangeText(c: SetupChange, names: KitNames): string {
  switch (c.what) {
    case 'carriages':
      return c.to === 0
        ? 'both carriages alike again'
        : `left carriage ${Math.abs(c.to)} ${Math.abs(c.to) === 1 ? 'hole' : 'holes'} ` +
            `${c.to > 0 ? 'up' : 'down'} the numbers from the right`;
    case 'hole':
      return `hole ${c.from} to ${c.to}`;
    case 'mark':
      return `mark ${cmText(c.from)} to ${cmText(c.to)}`;
    case 'sideways':
      return `${cmText(Math.abs(c.to - c.from))} further ${c.to > c.from ? 'right' : 'left'}`;
    case 'facing':
      return turnText(turnDeg(c.from, c.to));
    case 'column':
      return `other column, before ${names.station(c.from) ?? 'none'}`;
    case 'handle':
      return `other handle, before ${names.handle(c.from) ?? 'none'}`;
    case 'choices':
      return 'other choices';
  }
}

/** How a set-up came to stand where it did. */
export const STOOD_TEXT: Readonly<Record<Stood, string>> = {
  'as-solved': 'as computed',
  'by-hand': 'moved by hand, within what will do',
  off: 'moved by hand, outside of what will do',
  'by-rule': 'by rule and fit',
};

/** The same in the cell of a table. */
export const setupCellText = (at: Placement | null): string =>
  at ? `hole ${at.hole}, ${cmText(at.standX)}` : 'as set by rule';

/** Where a set-up stood; `hole` as its column counts, where the column is still there. */
export const setupPlaceText = (at: Placement | null, hole: string | null): string =>
  at ? `hole ${hole ?? at.hole}, mark ${cmText(at.standX)}` : 'as set by rule';

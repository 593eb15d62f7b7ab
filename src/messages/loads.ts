import type { WorkingSide } from '@/core/body/side';
import type { BookEntry } from '@/core/book/book-entry';
import type { Spread } from '@/core/load/one-rep-max';
import { gramsToKg, gramsToLb, type LoadUnit } from '@/core/units/mass';
import { spanText } from './numbers';

/** A load as its kit is stamped: kilograms to 10 g, pounds to a tenth. */
export const loadNumber = (g: number, unit: LoadUnit): string =>
  String(unit === 'kg' ? Math.round(100 * gramsToKg(g)) / 100 : Math.round(10 * gramsToLb(g)) / 10);

export const loadText = (g: number, unit: LoadUnit): string => `${loadNumber(g, unit)} ${unit}`;

/** Between what estimated loads lie, grams; an estimate has no more digits than it is good for. */
export function spreadText({ least, most }: Pick<Spread, 'least' | 'most'>, unit: LoadUnit): string {
  const tenths = (g: number): string => Number(loadNumber(g, unit)).toFixed(1);
  return spanText(tenths(least), tenths(most), unit);
}

/** What the load is, on a plate; null where the body is the load. */
export function loadLabel(e: BookEntry, side: WorkingSide): string | null {
  const { load } = e;
  switch (load.kind) {
    case 'cable':
      return side === 'both' && !load.shared ? 'Stack, each side' : 'Stack';
    case 'machine':
      return 'Stack';
    case 'landmine':
      return 'Plates on the bar';
    case 'weight':
      if (load.kit === 'dumbbells') return side === 'both' && load.share === 1 ? 'Dumbbell, each hand' : 'Dumbbell';
      return load.kit === 'bar' ? 'Bar with plates' : 'Plate';
    case 'band':
    case 'body':
    case 'none':
      return null;
  }
}

import type { WorkingSide } from '@/core/body/side';
import type { Column } from '@/core/kit/column';
import type { Placement } from '@/core/setup/setup-problem';
import { holeText } from './holes';
import { markLabel } from './settings';

/** A carriage's hole or a floor mark, as a plate shows it. */
interface PlaceSetting {
  readonly kind: 'hole' | 'mark';
  readonly label: string;
  readonly value: string;
  readonly unit: string;
  readonly estimated: boolean;
}

/** Hole and floor mark of a place in words, biggest first. `estimated`: the hole hangs on a height nobody measured. */
export const placeSettings = (
  column: Column,
  place: Placement,
  side: WorkingSide,
  estimated: boolean,
): PlaceSetting[] => [
  {
    kind: 'hole',
    label: side === 'both' ? (place.leftBy ? 'Hole, left | right' : 'Hole, both sides') : 'Hole',
    value: holeText(column, place, side),
    unit: '',
    estimated,
  },
  {
    kind: 'mark',
    label: markLabel(place.standX),
    value: String(Math.abs(Math.round(place.standX * 100))),
    unit: 'cm',
    estimated: false,
  },
];

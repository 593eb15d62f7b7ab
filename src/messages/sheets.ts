import type { Collision } from '@/core/record/merge-sheet';
import type { MeasureName } from '@/core/body/segment-ratios';
import { MEASURE_LABEL } from './measures';

const FIELD: Readonly<Record<string, string>> = {
  name: 'Name',
  statureM: 'Stature',
  massKg: 'Mass',
  note: 'Note',
  screeningDays: 'Days a screening stands',
  saidIn: 'Units that are said',
  chestLineDeg: 'Lower-chest line',
  outOfOrder: 'Out of order',
  spec: 'What was measured',
};

/** What of a sheet is meant. */
function fieldText(keys: readonly string[]): string {
  const last = keys.at(-1)!;
  if (keys[0] === 'measuredM') return MEASURE_LABEL[last as MeasureName];
  if (keys[0] === 'range') return `Range of ${keys.slice(1).join(' ')}`;
  if (keys[0] === 'armPath') return `Arm path, ${keys[1]}, ${keys[2]}° below level`;
  return FIELD[last] ?? keys.join(' ');
}

/** A value as it stands on the sheet. */
function valueText(keys: readonly string[], value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'number') return typeof value === 'string' ? `“${value}”` : 'something else';
  const metres = keys[0] === 'measuredM' || /M$/.test(keys.at(-1)!);
  return metres ? `${Math.round(value * 1000) / 10} cm` : String(value);
}

/** That somebody else changed the same field meanwhile, with both values. */
export const collisionText = ({ keys, mine, theirs }: Collision): string =>
  keys[0] === 'spec'
    ? `${fieldText(keys)} was changed by somebody else meanwhile. Save again to keep what stands here.`
    : `${fieldText(keys)}: somebody else made it ${valueText(keys, theirs)} meanwhile, here it is ` +
      `${valueText(keys, mine)}. Save again to keep this.`;

/** How long ago something was typed. */
export function ageText(ms: number): string {
  const minutes = Math.round(ms / 60_000);
  if (minutes < 2) return 'just now';
  if (minutes < 90) return `${minutes} minutes ago`;
  return minutes < 2880 ? `${Math.round(minutes / 60)} hours ago` : `${Math.round(minutes / 1440)} days ago`;
}

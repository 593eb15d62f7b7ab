import type { WorkingSide } from '@/core/body/side';
import { holeOnSide, type Column } from '@/core/kit/column';
import { holeOf, type Carriages } from '@/core/setup/setup-problem';

/** The hole to set on steel: one number, or left and right where they differ. */
export function holeText(column: Column, at: Carriages, side: WorkingSide): string {
  const { hole } = at;
  const left = holeOnSide(column, holeOf(at, 'left'), 'left');
  if (side === 'left') return String(left);
  return side === 'both' && left !== hole ? `${left} | ${hole}` : String(hole);
}

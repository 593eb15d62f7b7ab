import { holeOnSide, type Column } from '@/core/kit/column';
import type { WorkingSide } from '@/core/setup/setup-problem';

/** The hole to set on steel: one number, or left and right where the columns are numbered differently. */
export function holeText(column: Column, hole: number, side: WorkingSide): string {
  const left = holeOnSide(column, hole, 'left');
  if (side === 'left') return String(left);
  return side === 'both' && left !== hole ? `${left} | ${hole}` : String(hole);
}

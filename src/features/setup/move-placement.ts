import type { Column, Room } from '@/core/kit/column';
import { holeStepUp } from '@/core/kit/column';
import type { Placement } from '@/core/setup/setup-problem';

export type Move =
  | { readonly what: 'hole'; readonly to: number }
  | { readonly what: 'carriage-up'; readonly by: number }
  | { readonly what: 'stand'; readonly x: number; readonly z?: number }
  | { readonly what: 'yaw'; readonly to: number };

const SIDEWAYS_LIMIT_M = 0.6;
const clamp = (v: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, v));
const mark = (m: number): number => Math.round(m * 100) / 100 + 0;

/** A placement with one thing moved: holes snap to what exists, marks to whole centimetres inside the room. */
export function withMove(p: Placement, move: Move, column: Column, room: Room): Placement {
  switch (move.what) {
    case 'hole':
      return { ...p, hole: clamp(Math.round(move.to), 1, column.holes) };
    case 'carriage-up':
      return { ...p, hole: clamp(p.hole + move.by * holeStepUp(column), 1, column.holes) };
    case 'stand':
      return { ...p, standX: clamp(mark(move.x), room.minDistanceM, room.maxDistanceM), standZ: clamp(mark(move.z ?? p.standZ), -SIDEWAYS_LIMIT_M, SIDEWAYS_LIMIT_M) };
    case 'yaw': {
      const turned = ((((Math.round(move.to) + 180) % 360) + 360) % 360) - 180;
      return { ...p, yawDeg: turned === -180 ? 180 : turned };
    }
  }
}

import type { Side } from '@/core/body/side';
import type { Column, Room } from '@/core/kit/column';
import { holeStepUp } from '@/core/kit/column';
import { SETTABLE_M } from '@/core/setup/settle';
import { holeOf, type Placement } from '@/core/setup/setup-problem';

export type Move =
  /** One side's carriage, or both alike. */
  | { readonly what: 'hole'; readonly to: number; readonly only?: Side | undefined }
  | { readonly what: 'carriage-up'; readonly by: number; readonly only?: Side | undefined }
  | { readonly what: 'carriages-alike' }
  | { readonly what: 'stand'; readonly x: number; readonly z?: number }
  /** To the next mark on 5 cm, nearer or further. */
  | { readonly what: 'mark'; readonly by: 1 | -1 }
  | { readonly what: 'yaw'; readonly to: number };

const SIDEWAYS_LIMIT_M = 0.6;
const clamp = (v: number, lo: number, hi: number): number => Math.min(hi, Math.max(lo, v));
const mark = (m: number): number => Math.round(m * 100) / 100 + 0;

/** Both carriages where they are asked to be; one number while they stand alike. */
function withHoles(p: Placement, right: number, left: number): Placement {
  const { standX, standZ, yawDeg } = p;
  return { hole: right, ...(left === right ? {} : { leftBy: left - right }), standX, standZ, yawDeg };
}

/**
 * A placement with one thing moved: holes snap to what exists, marks to whole centimetres inside the room and near the
 * middle place.
 */
export function withMove(p: Placement, move: Move, column: Column, room: Room, middleZ = 0): Placement {
  switch (move.what) {
    case 'hole': {
      const to = clamp(Math.round(move.to), 1, column.holes);
      return withHoles(
        p,
        move.only === 'left' ? p.hole : to,
        move.only === 'right'
          ? holeOf(p, 'left')
          : move.only === 'left'
            ? to
            : clamp(to + (p.leftBy ?? 0), 1, column.holes),
      );
    }
    case 'carriage-up':
      return withMove(
        p,
        { what: 'hole', to: holeOf(p, move.only ?? 'right') + move.by * holeStepUp(column), only: move.only },
        column,
        room,
        middleZ,
      );
    case 'carriages-alike':
      return withHoles(p, p.hole, p.hole);
    case 'stand':
      return {
        ...p,
        standX: clamp(mark(move.x), room.minDistanceM, room.maxDistanceM),
        standZ: clamp(mark(move.z ?? p.standZ), middleZ - SIDEWAYS_LIMIT_M, middleZ + SIDEWAYS_LIMIT_M),
      };
    case 'mark': {
      const at = p.standX / SETTABLE_M;
      const next = move.by > 0 ? Math.floor(at + 1e-6) + 1 : Math.ceil(at - 1e-6) - 1;
      return withMove(p, { what: 'stand', x: next * SETTABLE_M }, column, room, middleZ);
    }
    case 'yaw': {
      const turned = ((((Math.round(move.to) + 180) % 360) + 360) % 360) - 180;
      return { ...p, yawDeg: turned === -180 ? 180 : turned };
    }
  }
}

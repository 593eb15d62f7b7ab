import type { SaidIn } from '@/core/units/as-spoken';
import type { KitKind } from '@/core/kit/kit-kind';
import type { KitSpec } from '../kit-spec';
import type { UnreadableRow } from '../records/record';
import type { Client } from './client';

/** A gym, and how long a screening stands there. */
export interface Gym {
  readonly id: string;
  readonly name: string;
  readonly screeningDays: number;
  /** How lengths and masses are said there. */
  readonly saidIn: SaidIn;
}

/** A piece of kit with what its kind has of its own, as typed. */
export interface KitPiece<K extends KitKind = KitKind> {
  readonly id: string;
  readonly gymId: string;
  readonly kind: K;
  readonly name: string;
  readonly outOfOrder: boolean;
  readonly spec: KitSpec<K>;
  /** Its sizes are what such a piece usually has: nobody measured it yet. */
  readonly asUsual?: boolean;
}

/** The kit of one gym. */
export interface KitView {
  readonly gyms: readonly Gym[];
  readonly gym: Gym | null;
  readonly pieces: readonly KitPiece[];
  readonly unreadable: readonly UnreadableRow[];
}

/** One piece's sheet: a new one has none yet. */
export interface KitSheetView {
  readonly piece: KitPiece | null;
  readonly clients: readonly Client[];
  /** How lengths and masses are said in its gym. */
  readonly saidIn: SaidIn;
}

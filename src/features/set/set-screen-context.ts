import type { FloorEvent } from '@/core/fault/floor-event';
import type { MovementId } from '@/core/movement/movement';
import type { Placement, WorkingSide } from '@/core/setup/setup-problem';
import type { TensionShape } from '@/core/tempo/tempo';

export interface SetScreenContext {
  readonly client: { readonly id: string; readonly name: string; readonly note: string };
  readonly item: { readonly id: string; readonly movement: MovementId; readonly side: WorkingSide; readonly sets: number; readonly reps: number; readonly tempo: string; readonly loadG: number };
  readonly stationName: string;
  readonly stackG: readonly number[];
  readonly placement: Placement | null;
  readonly setupSaved: boolean;
  readonly blocked: string | null;
  readonly tension: TensionShape | null;
  readonly events: readonly FloorEvent[];
}

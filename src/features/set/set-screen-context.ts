import type { ClientNote } from '@/core/body/client-note';
import type { ScreeningSummary } from '@/features/shell/screening-warning';
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
  /** The hole to set, left and right where they are numbered differently. */
  readonly holes: string;
  readonly setupSaved: boolean;
  readonly blocked: string | null;
  readonly tension: TensionShape | null;
  readonly events: readonly FloorEvent[];
  readonly screening: ScreeningSummary;
  /** Most the stack may carry under a clinician’s limit, grams; null when nothing is limited. */
  readonly mostLoadG: number | null;
  readonly notes: readonly ClientNote[];
}

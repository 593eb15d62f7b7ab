import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { BodyInput } from '@/core/body/body-model';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { MovementId } from '@/core/movement/movement';
import type { WorkingSide } from '@/core/setup/setup-problem';

/** What the bench needs to know beside the solver's case: names, plan and records, plain data. */
export interface BenchContext {
  readonly client: BodyInput & { readonly id: string; readonly name: string; readonly note: string; readonly range: ActiveRangeDeg };
  readonly item: { readonly id: string; readonly movement: MovementId; readonly attachmentId: string; readonly loadG: number; readonly side: WorkingSide; readonly reps: number; readonly sets: number; readonly tempo: string };
  readonly station: { readonly id: string; readonly name: string };
  readonly attachment: { readonly name: string; readonly lengthM: number };
  readonly stations: readonly { readonly id: string; readonly name: string }[];
  readonly events: readonly FloorEvent[];
}

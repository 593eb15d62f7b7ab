import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { BodyInput } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { Region } from '@/core/body/region-line';
import type { ScreeningSummary } from '@/features/shell/screening-warning';
import type { LoadUnit } from '@/core/units/mass';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { WorkingSide } from '@/core/setup/setup-problem';

/** What the bench needs to know beside the solver's case: names, plan and records, plain data. */
export interface BenchContext {
  readonly client: BodyInput & {
    readonly id: string;
    readonly name: string;
    readonly note: string;
    readonly range: ActiveRangeDeg;
    readonly notes: readonly ClientNote[];
    readonly unfelt: readonly Region[];
  };
  readonly item: {
    readonly id: string;
    readonly movement: string;
    readonly attachmentId: string | null;
    readonly loadG: number;
    readonly side: WorkingSide;
    readonly reps: number;
    readonly sets: number;
    readonly tempo: string;
  };
  /** Null for a movement without a cable. */
  readonly station: { readonly id: string; readonly name: string } | null;
  readonly attachment: { readonly name: string; readonly lengthM: number } | null;
  /** The stack as planned elsewhere, when it was converted for this column. */
  readonly converted: { readonly plannedG: number; readonly plannedUnit: LoadUnit; readonly plannedOn: string } | null;
  /** What the load is stamped in. */
  readonly unit: LoadUnit;
  readonly variant: { readonly id: string; readonly name: string } | null;
  /** Columns of this gym first, then those of others, each under its gym's name. */
  readonly stations: readonly {
    readonly id: string;
    readonly name: string;
    readonly gym: string;
    readonly outOfOrder: boolean;
  }[];
  readonly events: readonly FloorEvent[];
  /** Planned kit that is out of order or in another gym, and what stands in for it. */
  readonly replaced: readonly {
    readonly kind: 'column' | 'attachment';
    readonly why: 'out-of-order' | 'elsewhere';
    readonly planned: string;
    readonly by: string | null;
  }[];
  readonly screening: ScreeningSummary;
  readonly mostLoadKg: number | null;
  /** A stand-in takes the place of the device's tilt sensor. */
  readonly simulatedTilt: boolean;
  /** Loads of the column in use, grams. */
  readonly stackG: readonly number[];
}

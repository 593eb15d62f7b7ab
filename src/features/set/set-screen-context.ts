import type { ClientNote } from '@/core/body/client-note';
import type { ScreeningSummary } from '@/features/shell/screening-warning';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { LoadUnit } from '@/core/units/mass';
import type { WorkingSide } from '@/core/setup/setup-problem';

/** Integer grams; `pairs` of each plate. */
export interface BarKit {
  readonly barG: number;
  readonly platesG: readonly number[];
  readonly pairs: number;
}

export interface SetScreenContext {
  readonly client: { readonly id: string; readonly name: string; readonly note: string };
  readonly item: {
    readonly id: string;
    readonly movement: string;
    readonly side: WorkingSide;
    readonly sets: number;
    readonly reps: number;
    readonly tempo: string;
    readonly loadG: number;
  };
  readonly stationName: string | null;
  /** Loads that exist here, grams. */
  readonly stackG: readonly number[];
  /** Bar and plates that the load is made of; null for other loads. */
  readonly bar: BarKit | null;
  /** What stands on steel, biggest first; empty when it is blocked. */
  readonly plates: readonly { readonly label: string; readonly value: string; readonly unit: string }[];
  /** Floor marks for stance drops and steps in, in words; empty where none can be used. */
  readonly drops: readonly { readonly label: string; readonly marks: string }[];
  /** Marks for the schemes that move the client, metres from the column, as far as they can be used. */
  readonly stances: readonly number[];
  readonly stepIns: readonly number[];
  /** How far the stack goes over the range, metres; null where there is no stack or the set-up is blocked. */
  readonly stackTravelM: number | null;
  /** Where the rep is hardest, share of the range. */
  readonly peakAt: number;
  /** What the load is stamped in. */
  readonly unit: LoadUnit;
  /** What the load is called; null where the body is the load. */
  readonly loadLabel: string | null;
  readonly variantCue: string;
  readonly breathing: 'out-on-effort' | 'in-on-pull';
  readonly lastReps: 'strict' | 'little-help';
  /** The same movement on the other side in this session, where sides alternate. */
  readonly otherSide: { readonly itemId: string; readonly side: WorkingSide } | null;
  /** The opposite muscle's movements of this session with sets left. */
  readonly opposites: readonly { readonly itemId: string; readonly movement: string; readonly side: WorkingSide }[];
  readonly setupSaved: boolean;
  readonly blocked: string | null;
  /** Whether the resistance counts, and the target joint's angle in degrees, at evenly spaced samples of the range. */
  readonly loaded: readonly boolean[] | null;
  readonly jointDegs: readonly number[] | null;
  readonly events: readonly FloorEvent[];
  readonly screening: ScreeningSummary;
  /** Most the stack may carry under a clinician’s limit, grams; null when nothing is limited. */
  readonly mostLoadG: number | null;
  readonly notes: readonly ClientNote[];
}

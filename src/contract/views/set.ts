import type { ClientNote } from '@/core/body/client-note';
import type { WorkingSide } from '@/core/body/side';
import type { MovementId } from '@/core/book/book';
import type { FloorEvent } from '@/core/record/floor-event';
import type { Scheme } from '@/core/tempo/scheme';
import type { Column } from '@/core/kit/column';
import type { PlannedItems } from '@/core/record/set-log';
import type { LoadUnit } from '@/core/units/mass';
import type { UnreadableRow } from '../records/record';
import type { Client, ScreeningView } from './client';
import type { LimitsView } from './limits';
import type { SessionItem } from './plan';
import type { SettingView } from './setting';

/** A bar with the plates for its ends, integer grams; `pairs` of each plate. */
export interface BarKit {
  readonly barG: number;
  readonly platesG: readonly number[];
  readonly pairs: number;
}

/** Another movement of the session to go on with. */
export interface OtherItem {
  readonly itemId: string;
  readonly movement: MovementId;
  readonly side: WorkingSide;
}

/** A movement to go on to: whose, where, and what is changed on the way, one line each. */
export interface OnwardView extends OtherItem {
  /** Null for the same client. */
  readonly clientName: string | null;
  /** Where it is done; null on the same column, or on none. */
  readonly station: string | null;
  readonly changes: readonly string[];
}

/** Floor marks for the schemes that move the client, metres from the column, as far as they can be used. */
export interface DropMarks {
  readonly stances: readonly number[];
  readonly stepIns: readonly number[];
  /** The same in words; empty where none can be used. */
  readonly says: readonly { readonly scheme: Scheme; readonly label: string; readonly marks: string }[];
}

/** How the rep of a set-up is loaded, at evenly spaced samples of the range. */
export interface RepView {
  /** How far the stack goes over the range, metres; null where there is no stack or the set-up is blocked. */
  readonly stackTravelM: number | null;
  /** The half that is left when full reps fail; the first where nothing is known. */
  readonly strongerHalf: 'first' | 'second';
  /** Whether the resistance counts; null when the set-up is blocked. */
  readonly loaded: readonly boolean[] | null;
  /** Resistance, share of its peak; null when the set-up is blocked. */
  readonly shares: readonly number[] | null;
  /** Angle of the target joint, degrees; null when the set-up is blocked. */
  readonly jointDegs: readonly number[] | null;
}

/** A band of the gym: what both hands carry with it hung, newtons, the mean over the rep. */
export interface BandView {
  readonly id: string;
  readonly name: string;
  readonly handsN: number;
}

/** What the live set needs: the settings as they stand, how the rep is loaded, the plan and the records. */
export interface SetView {
  readonly client: Pick<Client, 'id' | 'name' | 'note'>;
  readonly item: SessionItem;
  readonly stationName: string | null;
  /** Loads that exist here, grams. */
  readonly stackG: readonly number[];
  /** Bar and plates that the load is made of; null for other loads. */
  readonly bar: BarKit | null;
  /** What stands on steel, biggest first; empty when it is blocked. */
  readonly settings: readonly SettingView[];
  /** Bands that can be hung for this movement; empty for all others. */
  readonly bands: readonly BandView[];
  /** What both hands carry where no band is hung, newtons: the client's weight, or nothing. */
  readonly bandlessN: number;
  readonly drops: DropMarks;
  readonly rep: RepView;
  /** What the load is stamped in. */
  readonly unit: LoadUnit;
  /** What the load is called; null where the body is the load. */
  readonly loadLabel: string | null;
  readonly variantCue: string;
  readonly breathing: 'out-on-effort' | 'in-on-pull';
  readonly lastReps: 'strict' | 'little-help';
  /** The same movement on the other side in this session, where sides alternate. */
  readonly otherSide: OtherItem | null;
  /** The other side has sets left. */
  readonly otherSideLeft: boolean;
  /** The sides take turns without rest. */
  readonly alternates: boolean;
  /** The movement that this one takes turns with, while sets of it are left. */
  readonly inTurns: OnwardView | null;
  /** The next movement of the session with sets left. */
  readonly next: OnwardView | null;
  /** Another client's movement on the same column in the same hour. */
  readonly partner: OnwardView | null;
  /** The opposite muscle's movements of this session with sets left. */
  readonly opposites: readonly OtherItem[];
  /** The set-up that the settings are read from, as it was saved; null while it is as solved. */
  readonly setupId: string | null;
  /** The column it stands at; null where there is none. */
  readonly column: Column | null;
  readonly blocked: string | null;
  readonly events: readonly FloorEvent[];
  readonly planned: PlannedItems;
  readonly unreadable: readonly UnreadableRow[];
  readonly screening: ScreeningView;
  readonly limits: LimitsView;
  readonly notes: readonly ClientNote[];
}

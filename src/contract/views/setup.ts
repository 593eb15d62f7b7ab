import type { Practice } from '@/core/book/practice';
import type { StandingPractices } from '@/core/book/standing-practice';
import type { FloorEvent } from '@/core/record/floor-event';
import type { PlannedItems } from '@/core/record/set-log';
import type { LoadUnit } from '@/core/units/mass';
import type { CaseInput } from '../case';
import type { UnreadableRow } from '../records/record';
import type { Client, ScreeningView } from './client';
import type { LimitsView } from './limits';
import type { SessionItem, Variant } from './plan';
import type { Attachment, ConvertedLoad, ReplacedKit, Station, StationChoice } from './station';

/** What the bench needs to know beside the solver's case: names, plan and records, plain data. */
export interface SetupBenchView {
  readonly client: Client;
  readonly item: SessionItem;
  /** The same movement for the other side; null where there is none in this session. */
  readonly otherSide: Pick<SessionItem, 'id' | 'side'> | null;
  /** Null for a movement without a cable. */
  readonly station: Pick<Station, 'id' | 'name'> | null;
  readonly attachment: Attachment | null;
  /** Name of the band under the feet; null where none is hung. */
  readonly bandName: string | null;
  /** The stack as planned elsewhere, when it was converted for this column. */
  readonly converted: ConvertedLoad | null;
  /** What the load is stamped in. */
  readonly unit: LoadUnit;
  readonly variant: Variant | null;
  /** Columns of this gym first, then those of others, each under its gym's name. */
  readonly stations: readonly StationChoice[];
  readonly events: readonly FloorEvent[];
  readonly planned: PlannedItems;
  readonly unreadable: readonly UnreadableRow[];
  readonly replaced: readonly ReplacedKit[];
  readonly screening: ScreeningView;
  readonly limits: LimitsView;
  /** Whose choice the sides are that stand where practitioners differ. */
  readonly chosenBy: StandingPractices['by'];
  /** Questions where practitioners differ that the movement raises here, with our side of each. */
  readonly practices: readonly Practice[];
  /** A stand-in takes the place of the device's tilt sensor. */
  readonly simulatedTilt: boolean;
  /** Loads of the column in use, grams. */
  readonly stackG: readonly number[];
}

/** The bench of one planned movement: the case that is solved, and what is shown around it. */
export interface PlannedSetupView {
  readonly setupCase: CaseInput;
  readonly bench: SetupBenchView;
}

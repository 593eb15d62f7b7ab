import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { ArmPathTrial } from '@/core/body/arm-path-test';
import type { BodyInput } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { ClinicianLimit } from '@/core/body/clinician-limit';
import type { Region } from '@/core/body/region-line';
import type { Screening, ScreeningState } from '@/core/body/screening';
import type { Side } from '@/core/body/side';
import type { SaidIn } from '@/core/units/as-spoken';
import type { MeasureWorth } from '@/core/book/measuring-guide';
import type { UnreadableRow } from '../records/record';
import type { CareView, ChangeView } from './account';
import type { SetupPageView } from './setup-book';

/** A client as their sheet has them. */
export interface Client extends BodyInput {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  /** Nobody weighed the client: the mass is reckoned from the stature. */
  readonly massEstimated: boolean;
  /** How lengths and masses are said of this client; null: as in the gym. */
  readonly saidIn: SaidIn | null;
  readonly range: ActiveRangeDeg;
  readonly notes: readonly ClientNote[];
  /** Regions that the client does not feel working yet. */
  readonly unfelt: readonly Region[];
  readonly limits: readonly ClinicianLimit[];
  readonly armPath: Readonly<Record<Side, readonly ArmPathTrial[]>>;
  /** Lower border of the chest, degrees below level; null when not measured. */
  readonly chestLineDeg: number | null;
}

/** A client's newest screening, and how it stands today. */
export interface ScreeningView {
  readonly screening: Screening | null;
  readonly state: ScreeningState;
}

/** Which landmarks to measure next, by what they would settle in this client's own set-ups. */
export interface MeasuringGuideView {
  readonly setups: number;
  readonly worth: readonly MeasureWorth[];
}

/** A client's whole sheet. */
export interface ClientView {
  readonly client: Client;
  readonly guide: MeasuringGuideView;
  readonly setupBook: readonly SetupPageView[];
  readonly screening: ScreeningView;
  readonly care: CareView | null;
  /** Whether who asks may erase the client for good. */
  readonly mayErase: boolean;
  readonly history: readonly ChangeView[];
  /** Like 2026-11-24, where the server stands. */
  readonly today: string;
  /** How lengths and masses are said in the gym. */
  readonly gymSaidIn: SaidIn;
  readonly unreadable: readonly UnreadableRow[];
}

import type { ChooseInput } from '@/core/book/choose';
import type { Placement } from '@/core/setup/setup-problem';
import type { Muscle, WeekRule } from '@/core/week/muscle';
import type { DeltoidShare, MuscleSets } from '@/core/week/week-sets';
import type { CaseInput } from '../case';

/** A movement of the week as it was set up: its case, and where it stood. */
export interface UsedView {
  readonly setupCase: CaseInput;
  readonly placement: Placement | null;
}

/** A week of one client: its sets per muscle, and what the range coverage is worked out from. */
export interface ClientWeekView {
  readonly clientId: string;
  readonly clientName: string;
  readonly monday: string;
  readonly before: string;
  readonly after: string;
  readonly titled: string;
  readonly isThisWeek: boolean;
  readonly sessions: number;
  readonly rules: Readonly<Record<Muscle, WeekRule>>;
  readonly sets: readonly MuscleSets[];
  /** Side head's part of the deltoid's sets; null where there are none. */
  readonly sideShare: number | null;
  /** How much of it the side head should have. */
  readonly deltoidShare: DeltoidShare;
  readonly used: readonly UsedView[];
  readonly choosing: ChooseInput | null;
}

import type { Region } from '@/core/body/region-line';
import type { PlanPractice } from '@/core/book/standing-practice';
import type { ChooseInput } from '@/core/book/choose';
import type { WeeksSoFar } from '@/core/propose/session-need';
import type { UsedView } from './client-week';
import type { SessionPlanView } from './session-plan';

/** What a session is proposed from, as the page needs it. */
export interface ProposeView {
  readonly plan: SessionPlanView;
  /** Regions that the client trains for, as they were chosen last. */
  readonly goals: readonly Region[];
  readonly weeks: WeeksSoFar;
  readonly used: readonly UsedView[];
  readonly choosing: ChooseInput;
  /** Handles of what is planned already, by their kind, which is what proposed movements are known by. */
  readonly handleKinds: Readonly<Record<string, string>>;
  /** Movements that the client has done in the weeks before. */
  readonly known: readonly string[];
  readonly unfelt: readonly Region[];
  readonly isFirstMonth: boolean;
  /** Where practitioners differ on a plan: what stands for this client. */
  readonly practice: PlanPractice;
}

import type { ClientNote } from '@/core/body/client-note';
import type { ChosenBy, StandingQuestion } from '@/core/book/standing-practice';
import type { ChooseInput } from '@/core/book/choose';
import type { MuscleSets } from '@/core/week/week-sets';
import type { UsedView } from './client-week';
import type { Choice } from './plan';

/** A question on which practitioners differ, and what was chosen once. */
export interface PracticeQuestionView {
  readonly question: StandingQuestion;
  readonly sides: readonly string[];
  /** What was chosen here; null leaves it to what stands below. */
  readonly chosen: string | null;
  /** What stands where nothing is chosen here: the trainer's side, or null for ours. */
  readonly below: string | null;
  /** Ours for this client's notes: two where the curve of a movement decides between them. */
  readonly ours: readonly string[];
}

/** What the numbers of the sides are worked out on: one client's week and movements. */
export interface PracticeNumbers {
  readonly clientName: string;
  readonly notes: readonly ClientNote[];
  /** This week's sets by muscle. */
  readonly week: readonly MuscleSets[];
  /** A session with opposite muscles in it: seconds one after the other and in turns; null where there is none. */
  readonly turns: { readonly when: string; readonly oneFirstS: number; readonly inTurnsS: number } | null;
  /** Movements of the newest sessions as they are set up. */
  readonly used: readonly UsedView[];
  /** What movements are chosen by in the gym of the newest session; null where there was none. */
  readonly choosing: ChooseInput | null;
}

/** Sides taken once, of a client or of a trainer, with what each changes. */
export interface PracticeView {
  readonly of: Exclude<ChosenBy, null>;
  readonly questions: readonly PracticeQuestionView[];
  /** Whose numbers are shown, and whose could be; null and none where nobody is in one's care. */
  readonly clientId: string | null;
  readonly clients: readonly Choice[];
  readonly numbers: PracticeNumbers | null;
}

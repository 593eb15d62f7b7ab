import { NO_STANDING, planPractice } from '@/core/book/standing-practice';
import { OUR_TIMES } from '@/core/plan/session-time';
import type { ProposeInput } from '@/core/propose/propose';
import { MUSCLES, USUAL_RULES } from '@/core/week/muscle';
import { weekSets } from '@/core/week/week-sets';
import { EVERYTHING } from './everything';

const NONE = Object.fromEntries(MUSCLES.map((m) => [m, 0])) as ProposeInput['weeks']['recent'];

/** A session of an hour asked for, in a gym that has everything: nothing done or planned so far, nothing chosen. */
export const askProposal = (more: Partial<ProposeInput> = {}): ProposeInput => ({
  ...{ goals: ['chest-upper'], choosing: EVERYTHING, used: [], known: [], unfelt: [], isFirstMonth: false },
  ...{ planned: [], minutes: 60, times: OUR_TIMES },
  weeks: {
    week: weekSets([], USUAL_RULES),
    recent: NONE,
    rules: USUAL_RULES,
    sessionsLeft: 1,
    deltoidShare: 'half-side',
  },
  practice: planPractice(NO_STANDING),
  ...more,
});

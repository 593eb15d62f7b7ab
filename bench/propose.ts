import type { Region } from '@/core/body/region-line';
import { BOOK } from '@/core/book/book';
import { serveHere } from '@/core/book/choose';
import { NO_STANDING, planPractice } from '@/core/book/standing-practice';
import { OUR_TIMES } from '@/core/plan/session-time';
import { proposeSession, type ProposeInput } from '@/core/propose/propose';
import { MUSCLE_REGIONS, MUSCLES, USUAL_RULES } from '@/core/week/muscle';
import { weekSets } from '@/core/week/week-sets';
import { EVERYTHING } from '../test/support/everything';
import { line, measure } from './timing';

const NONE = Object.fromEntries(MUSCLES.map((m) => [m, 0])) as ProposeInput['weeks']['recent'];
const ask = (goals: readonly Region[], choosing = EVERYTHING): ProposeInput => ({
  ...{ goals, choosing, used: [], known: [], unfelt: [], isFirstMonth: false, planned: [], minutes: 60 },
  times: OUR_TIMES,
  weeks: {
    week: weekSets([], USUAL_RULES),
    recent: NONE,
    rules: USUAL_RULES,
    sessionsLeft: 1,
    deltoidShare: 'half-side',
  },
  practice: planPractice(NO_STANDING),
});

/** A whole session proposed, every movement of its regions solved, beside solving those movements alone. */
export function benchPropose(): void {
  const active = { left: { 'shoulder.horizontalAbduction': 12 }, right: { 'shoulder.horizontalAbduction': 12 } };
  const limited = { ...EVERYTHING, range: { ...EVERYTHING.range, active } };
  const upper = (['chest', 'lats', 'deltoid-side', 'biceps', 'triceps'] as const).flatMap((m) => [
    ...MUSCLE_REGIONS[m],
  ]);
  console.log('A session proposed, its set-ups solved (a gym that has everything)');
  for (const [name, goals] of [
    ['chest and triceps', [...MUSCLE_REGIONS.chest, ...MUSCLE_REGIONS.triceps]],
    ['five muscles', upper],
  ] as const) {
    const own = BOOK.filter((e) => e.group !== 'before' && goals.some((g) => g === e.target));
    const proposed = measure(3, () => proposeSession(ask(goals)));
    line(`${name}, ${own.length} movements`, proposed);
    const solved = measure(3, () => own.map((e) => serveHere(e, EVERYTHING)));
    line('  their set-ups alone', solved, { name: 'proposed', t: proposed });
    line(
      '  shoulders measured short of it',
      measure(2, () => proposeSession(ask(goals, limited))),
      { name: 'proposed', t: proposed },
    );
  }
}

import { BOOK } from '@/core/book/book';
import { serveHere } from '@/core/book/choose';
import { proposeSession } from '@/core/propose/propose';
import { MUSCLE_REGIONS } from '@/core/week/muscle';
import { askProposal } from '../test/support/ask-proposal';
import { EVERYTHING } from '../test/support/everything';
import { line, measure } from './timing';

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
    const proposed = measure(3, () => proposeSession(askProposal({ goals })));
    line(`${name}, ${own.length} movements`, proposed);
    const solved = measure(3, () => own.map((e) => serveHere(e, EVERYTHING)));
    line('  their set-ups alone', solved, { name: 'proposed', t: proposed });
    line(
      '  shoulders measured short of it',
      measure(2, () => proposeSession(askProposal({ goals, choosing: limited }))),
      { name: 'proposed', t: proposed },
    );
  }
}

import type { Region } from '@/core/body/region-line';
import { common, lengthOf, THIRDS, thirdOf, type Third } from '@/core/week/range-coverage';
import { layOut, SETS, type Chosen, type Draft, type SessionValue, type Wanted } from './session-value';

const setsIn = (chosen: Chosen, { candidates }: Wanted): number[] => candidates.map((c) => chosen.get(c.id) ?? 0);
const chosenOf = ({ sets }: Pick<Draft, 'sets'>, { candidates }: Wanted): Chosen =>
  new Map(candidates.flatMap((c, k) => (sets[k]! > 0 ? [[c.id, sets[k]!] as const] : [])));

/** By what is added first: by what it is worth for its seconds, or by what it is worth. */
type By = 'rate' | 'gain';

/** Whether a draft fits with the next set of a candidate, which takes so many seconds more. */
type Fits = (draft: Draft, k: number, seconds: number) => boolean;

/** Adds to a draft what is worth most as long as something is worth it and fits. */
function fill(draft: Draft, { next, add }: SessionValue, fits: Fits, by: By): Draft {
  for (;;) {
    let [best, most] = [-1, 0];
    for (let k = 0; k < draft.sets.length; k++) {
      const step = next(draft, k);
      if (!step || step.gain <= 1e-9) continue;
      const rate = by === 'rate' ? step.gain / step.seconds : step.gain;
      if (rate > most && fits(draft, k, step.seconds)) [best, most] = [k, rate];
    }
    if (best < 0) return draft;
    add(draft, best);
  }
}

/** A session with less in it: without one movement or two, or with a set less of one. */
function fewerOf(sets: readonly number[]): readonly (readonly number[])[] {
  const used = sets.flatMap((n, k) => (n > 0 ? [k] : []));
  return [
    ...used.map((k) => sets.with(k, 0)),
    ...used.filter((k) => sets[k]! > SETS.fewest).map((k) => sets.with(k, sets[k]! - 1)),
    ...used.flatMap((k) => used.filter((l) => l > k).map((l) => sets.with(k, 0).with(l, 0))),
  ];
}

/**
 * A session that is worth as much as can be found in its time: what is worth most is added until nothing fits, from
 * nothing and from each movement; then, as long as that makes more of the time, one movement is given up, or two, or a
 * set of one, another one is begun, and what is left is filled up again.
 */
export function chooseSession(w: Wanted): Chosen {
  const session = layOut(w);
  const fits: Fits = (d, _, seconds) => d.seconds + seconds <= w.mostS;
  let best = session.draft([]);
  /** Takes what can be made of a session with one more movement, or none, where that is better. */
  const tryFrom = (sets: readonly number[]): boolean => {
    const from = session.draft(sets);
    let better = false;
    for (let first = -1; first < w.candidates.length; first++) {
      const begun = session.copy(from);
      if (first >= 0) {
        const step = session.next(begun, first);
        if (!step || begun.sets[first] !== 0 || !fits(begun, first, step.seconds)) continue;
        session.add(begun, first);
      }
      for (const by of ['rate', 'gain'] as const) {
        const found = fill(session.copy(begun), session, fits, by);
        if (found.value > best.value + 1e-9) [best, better] = [found, true];
      }
    }
    return better;
  };
  tryFrom([]);
  while (fewerOf(best.sets).some(tryFrom));
  return chosenOf(best, w);
}

/** The same session with what else is worth it, where more is known of its time than its candidates tell. */
export function extended(chosen: Chosen, w: Wanted, fits: (chosen: Chosen) => boolean): Chosen {
  const session = layOut(w);
  const fitsWith: Fits = (d, k) => {
    const more = session.copy(d);
    session.add(more, k);
    return fits(chosenOf(more, w));
  };
  return chosenOf(fill(session.draft(setsIn(chosen, w)), session, fitsWith, 'rate'), w);
}

/** Why a movement is proposed: sets that its region lacks, and thirds of its range that nothing else loads. */
export interface Why {
  readonly region: Region;
  readonly want: number;
  readonly fills: readonly Third[];
}

/** Of a third so much of what can be loaded here has to be loaded by one movement to be told (ours). */
const TELLS = 0.5;

/** Why a movement is part of a session: what it alone of the session and the week loads of its region. */
export function whyOf(id: string, chosen: Chosen, w: Wanted): Why {
  const own = w.candidates.find((c) => c.id === id)!;
  const { target: region } = own;
  const others = w.candidates.filter((c) => c.id !== id && c.target === region && chosen.has(c.id));
  const elsewhere = [...(w.loaded[region] ?? []), ...others.flatMap((c) => c.spans)];
  const alone = (third: Third): number => {
    const part = [thirdOf(third)];
    const all = [...elsewhere, ...own.spans];
    return lengthOf(common(all, part)) - lengthOf(common(elsewhere, part));
  };
  const reachable = (third: Third): number =>
    lengthOf(
      common(
        w.candidates.filter((c) => c.target === region).flatMap((c) => c.spans),
        [thirdOf(third)],
      ),
    );
  return {
    region,
    want: w.needs.find((n) => n.region === region)?.want ?? 0,
    fills: THIRDS.filter((t) => reachable(t) > 0.1 && alone(t) >= TELLS * reachable(t)),
  };
}

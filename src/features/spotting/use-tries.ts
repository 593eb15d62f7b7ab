import { useMemo, useRef, useState } from 'react';
import { v4 as newId } from 'uuid';
import type { ChoosingView } from '@/contract/views/choosing';
import type { GoodAnswer } from '@/core/book/answer-question';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { faultyRep, rightRep, shownFaults, sizeShown, type ShownRep } from '@/core/fault/show-fault';
import type { FaultCode } from '@/core/movement/fault-code';
import { nextTry } from '@/core/spotting/next-try';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { answerAsUsual } from '@/features/movements/movement-answer';

/** Reps that are shown, with what is wrong with them. */
export interface Try {
  readonly id: string;
  readonly movement: MovementId;
  readonly answer: GoodAnswer;
  readonly rep: ShownRep;
  readonly shown: SpottingAnswer['shown'];
}

/** Movements that have a fault to show. */
export const SPOTTABLE: readonly MovementId[] = BOOK.filter((e) => shownFaults(e).length > 0).map((e) => e.id);

/** A try that the body and the kit leave no room for is drawn again, so often. */
const DRAWS = 12;

const pick = <T>(things: readonly T[]): T => things[Math.floor(Math.random() * things.length)]!;

/** Draws what is shown next, of one movement or of any that can be done here. */
export function useTries(data: ChoosingView, movement: MovementId | null) {
  const [current, setCurrent] = useState<Try | null>(null);
  const [none, setNone] = useState(false);
  const solved = useRef(new Map<MovementId, GoodAnswer | null>());
  const pool = useMemo(() => (movement ? [movement] : SPOTTABLE), [movement]);

  const answerTo = (id: MovementId): GoodAnswer | null => {
    const known = solved.current.get(id);
    if (known !== undefined) return known;
    const own = entryOf(id);
    const answer = answerAsUsual(own, data, sidesOf(own).at(-1)!);
    const good = answer.ok ? answer : null;
    solved.current.set(id, good);
    return good;
  };
  const draw = (answers: readonly SpottingAnswer[]): Omit<Try, 'id'> | null => {
    let left = pool;
    for (let n = 0; n < DRAWS && left.length > 0;) {
      const id = pick(left);
      const answer = answerTo(id);
      if (!answer) {
        left = left.filter((m) => m !== id);
        continue;
      }
      n++;
      const { shown } = nextTry(id, shownFaults(answer.from.entry), answers, Math.random);
      if (!shown) return { movement: id, answer, rep: rightRep(answer), shown };
      const size = sizeShown(answer, shown.fault, shown.size);
      const rep = size === null ? null : faultyRep(answer, shown.fault, size);
      if (rep) return { movement: id, answer, rep, shown: { fault: shown.fault, size: size! } };
    }
    return null;
  };
  const next = (answers: readonly SpottingAnswer[]): void => {
    const drawn = draw(answers);
    setNone(drawn === null);
    setCurrent(drawn && { ...drawn, id: newId() });
  };
  return { current, next, stop: () => setCurrent(null), none };
}

/** What was said of a try. */
export interface Said {
  readonly fault: FaultCode | null;
}

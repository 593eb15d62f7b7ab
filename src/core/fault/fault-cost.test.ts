import { describe, expect, it } from 'vitest';
import { BOOK, findEntry } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { faultsOf } from '@/core/book/entry-faults';
import { length, subtract } from '@/core/geometry/vector';
import { FAULT_CODES, type FaultCode } from '@/core/movement/fault-code';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../../test/support/fixtures';
import { CAUSE_ORDER, FAULT_BOOK } from './fault-book';
import { costOfFault, type FaultCost } from './fault-cost';
import { PERTURBATION } from './perturbation';

const STATURES = [1.5, 1.75, 2];
/** Solved once for a movement and a stature, whatever fault is made on it. */
const answers = new Map<string, ReturnType<typeof answerOf>>();
function cost(e: BookEntry | string, fault: FaultCode, size = PERTURBATION[fault]!.usual, h = 1.75): FaultCost | null {
  const entry = typeof e === 'string' ? findEntry(e)! : e;
  const side = sidesOf(entry).at(-1)!;
  const column = { column: COLUMN, room: ROOM, attachmentM: 0.14 };
  const key = `${entry.id} ${h}`;
  const a = answers.get(key) ?? answerOf(entry, { body: bodyOf(h), side, loadKg: 15, column });
  answers.set(key, a);
  if (!a.ok) throw new Error(entry.id);
  return costOfFault(a.from, a.placement, a.side, PERTURBATION[fault]!, size);
}
const PRONE = BOOK.flatMap((e) =>
  faultsOf(e)
    .filter((f) => PERTURBATION[f])
    .map((f) => [e.id, f] as const),
);
/** A fault whose perturbation speaks of an arm on a movement of another limb has nothing to perturb. */
const bones = ({ before: { path } }: FaultCost, { after }: FaultCost) =>
  [0, 20, 40].flatMap((i) =>
    [
      [path.proximal, path.middle],
      [path.middle, path.distal],
    ].map(
      ([a, b], k) =>
        length(subtract(a![i]!, b![i]!)) -
        length(
          subtract(
            (k === 0 ? after.path.proximal : after.path.middle)[i]!,
            (k === 0 ? after.path.middle : after.path.distal)[i]!,
          ),
        ),
    ),
  );

describe('the list of faults', () => {
  it('names causes in the order of remedy and none twice', () => {
    for (const f of FAULT_CODES) {
      const ranks = FAULT_BOOK[f].causes.map((c) => CAUSE_ORDER.indexOf(c));
      expect(ranks).toEqual([...new Set(ranks)].toSorted((a, b) => a - b));
      expect(ranks.length).toBeGreaterThan(0);
    }
  });
  it('every perturbation belongs to a fault that some movement is prone to', () => {
    for (const f of Object.keys(PERTURBATION) as FaultCode[])
      expect(
        PRONE.some(([, g]) => g === f),
        f,
      ).toBe(true);
  });
});

describe('what a fault costs', () => {
  it.each(sampled(PRONE))(
    '%s, %s: nothing at nought, finite at its usual size and its most, bones as long as before',
    (id, fault) => {
      const p = PERTURBATION[fault]!;
      const none = cost(id, fault, 0)!;
      expect(none.meanChange).toBeCloseTo(0, 9);
      expect(none.grew).toBeNull();
      for (const size of [p.usual, p.most]) {
        const c = cost(id, fault, size);
        if (c === null) continue; // a range cut to less than is still the movement
        expect(
          [c.meanChange, ...c.after.samples.resistanceNm, ...c.after.offAxis.map((l) => l.share)].every(
            Number.isFinite,
          ),
        ).toBe(true);
        if (p.kind !== 'stops-short') for (const d of bones(c, c)) expect(Math.abs(d)).toBeLessThan(1e-9);
      }
    },
  );
});

describe.each(STATURES)('facts of the trade about faults, %d m (common practice)', (h) => {
  const at = (id: string, fault: FaultCode, size?: number) => cost(id, fault, size, h)!;
  it('the elbow drifting back makes a standing curl easier, the more the easier', () => {
    const [some, more] = [at('barbell-curl', 'elbow-drifts-back', 15), at('barbell-curl', 'elbow-drifts-back', 30)];
    expect(some.meanChange).toBeLessThan(0);
    expect(more.meanChange).toBeLessThan(some.meanChange);
  });
  it('straighter arms in a dumbbell fly load the chest more, and the elbow flexors with it', () => {
    const c = at('dumbbell-fly-flat', 'arms-too-straight');
    expect(c.meanChange).toBeGreaterThan(0.02);
    expect(c.grew!.part).toMatchObject({ joint: 'middle', compensatedBy: 'elbow-flexors' });
  });
  it('arms that stay bent shorten the lever at the finish of a fly', () => {
    const c = at('cable-fly-level', 'arms-stay-bent');
    expect(c.after.samples.resistanceNm[40]!).toBeLessThan(c.before.samples.resistanceNm[40]!);
  });
  it('a pulley three holes low hands part of a fly to front and side deltoids, three holes high to the lats', () => {
    const held = (holes: number, by: string) => {
      const { before, after } = at('cable-fly-level', 'line-off-arm', holes);
      const share = (s: typeof before) =>
        s.offAxis.filter((l) => l.compensatedBy === by).reduce((sum, l) => sum + l.share, 0);
      return share(after) - share(before);
    };
    expect(held(-3, 'front-deltoid')).toBeGreaterThan(0.05);
    expect(held(-3, 'side-deltoid')).toBeGreaterThan(0.05);
    expect(held(3, 'lats')).toBeGreaterThan(0.05);
  });
  it('standing too near lets the stack down: the cable left out shrinks with every step', () => {
    const out = [0, 0.3, 0.6].map((m) => at('cable-row-level-one-arm', 'stack-touches', m).clearanceM!);
    expect(out[1]!).toBeLessThan(out[0]!);
    expect(out[2]!).toBeLessThan(out[1]!);
  });
  it('a flared elbow takes a row off the lat’s own line', () => {
    const c = at('cable-row-level-one-arm', 'elbow-flares');
    expect(c.after.metrics.offAxisShare).toBeGreaterThan(c.before.metrics.offAxisShare);
  });
  it('a knee off the machine’s axis changes what the knee carries', () => {
    expect(Math.abs(at('leg-extension', 'knee-gap').meanChange)).toBeGreaterThan(0.01);
  });
  it('a range that shrinks does less work: the part that is left turns the joint less', () => {
    const c = at('mid-range-slow-curl', 'range-shrinks');
    const turn = (p: typeof c.before.path) => length(subtract(p.distal[40]!, p.distal[0]!));
    expect(turn(c.after.path)).toBeLessThan(turn(c.before.path));
  });
});

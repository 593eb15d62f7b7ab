import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import type { FaultCode } from '@/core/movement/fault-code';
import { nextTry, RIGHT_SHARE } from './next-try';
import { normalQuantile } from './detection';
import type { SpottingAnswer } from './spotting-answer';
import { spottingRecord, staircaseOf } from './spotting-record';

const ROW = 'cable-row-level-one-arm';
const FAULTS: readonly FaultCode[] = ['shrugs', 'trunk-turns', 'trunk-swings'];
let n = 0;
const answer = (there: FaultCode | null, said: FaultCode | null, tookMs = 3000): SpottingAnswer => ({
  id: `a${n}`,
  atMs: n++,
  movement: ROW,
  shown: there && { fault: there, size: 1 },
  said,
  tookMs,
});
const times = (k: number, ...a: Parameters<typeof answer>) => Array.from({ length: k }, () => answer(...a));

describe('what a trainer sees and misses', () => {
  it('by hand: a shrug seen 2 of 8, and taken for one 1 of 12; turning seen 8 of 8', () => {
    const record = spottingRecord([
      ...times(2, 'shrugs', 'shrugs', 4000),
      ...times(6, 'shrugs', null),
      ...times(8, 'trunk-turns', 'trunk-turns', 2000),
      answer(null, 'shrugs'),
      ...times(3, null, null),
    ]);
    const [shrug, turn] = record;
    expect(shrug).toMatchObject({ fault: 'shrugs', signals: 8, hits: 2, noises: 12, falseAlarms: 1, isMissed: true });
    expect(shrug!.sensitivity!.dPrime).toBeCloseTo(normalQuantile(2.5 / 9) - normalQuantile(1.5 / 13), 12);
    expect([shrug!.tookMs, turn!.tookMs]).toEqual([4000, 2000]);
    expect(turn).toMatchObject({ fault: 'trunk-turns', hits: 8, noises: 12, falseAlarms: 0, isMissed: false });
    expect(record).toHaveLength(2);
  });
  it('seen only from a size on that is beyond the usual is missed, however rarely it is imagined', () => {
    // Up and down between the largest size and the next one: the staircase settles above 15 of 40 degrees.
    const wave = Array.from({ length: 8 }, () => [false, true, true]).flat();
    const answers = wave.map((s) => answer('trunk-turns', s ? 'trunk-turns' : null));
    const [turn] = spottingRecord([...answers, ...times(60, null, null)]);
    expect(turn!.sensitivity!.dPrime).toBeGreaterThan(2);
    expect([turn!.seenFrom! > 30, turn!.isMissed]).toEqual([true, true]);
  });
  it('another fault that is tapped is a miss of the one and a false alarm of the other', () => {
    const record = spottingRecord(times(8, 'shrugs', 'trunk-swings'));
    expect(record.map((f) => [f.fault, f.hits, f.falseAlarms])).toEqual([
      ['shrugs', 0, 0],
      ['trunk-swings', 0, 8],
    ]);
  });
  it('not to tap what the pad does not offer says nothing', () => {
    const curl = { ...answer(null, null), movement: 'preacher-curl-one-arm' as const };
    expect(spottingRecord([...times(8, 'shrugs', 'shrugs'), curl])[0]!.noises).toBe(0);
  });
  it('of fewer than eight nothing is said but how many they were', () => {
    expect(spottingRecord(times(7, 'shrugs', null))[0]).toMatchObject({ few: true, isMissed: false, seenFrom: null });
  });
  it('says from which size on a fault is seen, in its unit and whole steps', () => {
    const seen = [true, true, true, true, true, true];
    const wave = Array.from({ length: 8 }, () => [false, true, true]).flat();
    const answers = [...seen, ...wave].map((s) => answer('trunk-turns', s ? 'trunk-turns' : null));
    const [turn] = spottingRecord(answers);
    expect(staircaseOf(answers, 'trunk-turns').threshold).toBeGreaterThan(0.3);
    // Commonly 15 degrees are seen of it.
    expect(turn!.isMissed).toBe(turn!.seenFrom! > 15);
    expect(turn!.seenFrom).toBe(Math.round(40 * staircaseOf(answers, 'trunk-turns').threshold!));
  });
});

describe('what is shown next', () => {
  const many = (answers: readonly SpottingAnswer[], seed: number) => {
    const random = seeded(seed);
    return Array.from({ length: 4000 }, () => nextTry(ROW, FAULTS, answers, random).shown?.fault ?? 'right');
  };
  const share = (drawn: readonly string[], what: string) => drawn.filter((d) => d === what).length / drawn.length;

  it('is right two times of five, and else each fault as often while none was missed', () => {
    const drawn = many([], 1);
    expect(share(drawn, 'right')).toBeCloseTo(RIGHT_SHARE, 1);
    for (const f of FAULTS) expect(share(drawn, f)).toBeCloseTo((1 - RIGHT_SHARE) / 3, 1);
  });
  it('is oftener what was missed: weights 11/12, 1/12 and 1/2 make shares of 0.61, 0.06 and 0.33', () => {
    const drawn = many([...times(10, 'shrugs', null), ...times(10, 'trunk-turns', 'trunk-turns')], 2);
    const ofFaults = (f: FaultCode) => share(drawn, f) / (1 - share(drawn, 'right'));
    expect(ofFaults('shrugs')).toBeCloseTo(0.61, 1);
    expect(ofFaults('trunk-turns')).toBeCloseTo(0.06, 1);
    expect(ofFaults('trunk-swings')).toBeCloseTo(0.33, 1);
  });
  it('begins at the largest size and comes nearer to what is only just seen', () => {
    const sizeOf = (answers: readonly SpottingAnswer[]) => {
      const random = seeded(9);
      for (;;) {
        const { shown } = nextTry(ROW, ['trunk-turns'], answers, random);
        if (shown) return shown.size;
      }
    };
    expect(sizeOf([])).toBe(40);
    expect(sizeOf(times(4, 'trunk-turns', 'trunk-turns'))).toBe(20);
    expect(sizeOf(times(40, 'trunk-turns', 'trunk-turns'))).toBe(2);
  });
  it('of a movement without a fault that shows is right', () => {
    expect(nextTry(ROW, [], [], () => 0.99)).toEqual({ movement: ROW, shown: null });
  });
});

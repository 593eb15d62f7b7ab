import { describe, expect, it } from 'vitest';
import type { SetRecord } from '@/core/fault/set-log';
import { parseTempo } from '@/core/tempo/tempo';
import { judgeSet } from './between-sets';
import { buildTrack } from './pacer';

const tempo = parseTempo('3-1-2-1')!;

describe('the paced line', () => {
  it('names the legs in the order they are done', () => {
    expect(buildTrack(tempo, 'lifting', 0).names.map((n) => n.word)).toEqual(['lift 2', 'hold 1', 'lower 3', 'stretch 1', 'lift 2']);
    expect(buildTrack(tempo, 'lowering', 0).names[0]!.word).toBe('lower 3');
  });
  it('waits flat at the start during the lead-in', () => {
    const { d } = buildTrack(tempo, 'lifting', -5);
    const heights = [...d.matchAll(/[ML]-?[\d.]+ (-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect(heights[0]).toBe(heights[1]);
  });
  it('moves left as time goes on, without a jump', () => {
    const x = (t: number): number => buildTrack(tempo, 'lifting', t).names.find((n) => n.word === 'lower 3')!.x;
    for (let t = 1; t < 4; t += 0.1) expect(x(t) - x(t + 0.1)).toBeCloseTo(4.8, 6);
  });
  it('never breaks, whenever it is drawn', () => {
    for (let t = -5; t < 200; t += 1.7) expect(buildTrack(tempo, 'lifting', t).d).toMatch(/^M[-\d. ]+(L[-\d. ]+)+$/);
  });
});

describe('judging a set', () => {
  const set = (change: Partial<SetRecord>): SetRecord => ({
    setId: 's', itemId: 'i', setNo: 1, startedAtMs: 1, endedAtMs: 2, loadG: 15000, reps: 12, targetReps: 12, tempo: '3-1-2-1', confirmed: true, setup: null, faults: [], corrections: [], ...change,
  });
  const mark = (fault: 'shrugs' | 'past-control' | 'chin-forward', rep: number) => ({ id: `${fault}${rep}`, fault, rep, side: 'both' as const, severity: 2 as const });
  it('puts what can hurt first and lists each fault once', () => {
    const now = set({ faults: [mark('chin-forward', 2), mark('past-control', 4), mark('chin-forward', 5), mark('shrugs', 3)] });
    expect(judgeSet(now, [now]).map((j) => j.fault)).toEqual(['past-control', 'shrugs', 'chin-forward']);
  });
  it('learns from lighter sets and from corrections that did not hold', () => {
    const correction = { id: 'c', fault: 'shrugs' as const, correction: 'one-step-lighter' as const, cause: 'load' as const, outcome: 'not' as const, outcomeId: 'o', outcomeSetId: 's2' };
    const before = set({ setId: 'before', loadG: 10000, corrections: [correction] });
    const now = set({ faults: [mark('shrugs', 5)] });
    const [judged] = judgeSet(now, [before, now]);
    expect(judged!.sign).toBe('grows-with-load');
    expect(judged!.remedies.at(-1)).toBe('one-step-lighter');
  });
  it('a tap for the whole set counts as there from the start', () => {
    const now = set({ faults: [mark('shrugs', 0)] });
    expect(judgeSet(now, [now])[0]!.sign).toBe('from-first-rep');
  });
});

import { describe, expect, it } from 'vitest';
import { findNearestStep, findNeighbourStep, toStackSteps } from '@/core/load/stack-steps';
import { buildRep, paceAt } from './pace';
import { parseTempo, repSeconds, timeUnderTensionS } from './tempo';

describe('tempo', () => {
  it.each([
    ['3-1-2-1', [3, 1, 2, 1]], ['4-0-x-1', [4, 0, 1, 1]], ['10-2-10-2', [10, 2, 10, 2]],
    ['3-1-2', null], ['3-1-2-a', null], ['0-1-2-1', null], ['21-1-2-1', null], ['', null], ['3--2-1', null],
  ] as const)('%s', (notation, seconds) => {
    const t = parseTempo(notation);
    expect(t && [t.lowering, t.stretch, t.lifting, t.finish]).toEqual(seconds);
  });
  it('eight reps of 5-5-5-5 are 160 s under tension (common practice)', () => expect(timeUnderTensionS(parseTempo('5-5-5-5')!, 8, null)).toBe(160));
  it('only what is loaded counts as tension', () =>
    expect(timeUnderTensionS(parseTempo('3-1-2-1')!, 10, { tensionShare: 0.8, stretchLoaded: false, finishLoaded: true })).toBeCloseTo(50, 9));
});

describe('pace', () => {
  const tempo = parseTempo('3-1-2-1')!;
  it('starts where the movement starts', () => {
    expect(buildRep(tempo, 'lifting').map((l) => [l.phase, l.startS])).toEqual([['lifting', 0], ['finish', 2], ['lowering', 3], ['stretch', 6]]);
    expect(buildRep(parseTempo('3-0-2-0')!, 'lowering').map((l) => l.phase)).toEqual(['lowering', 'lifting']);
  });
  it.each([
    [-2, 0, 'ready', 0, 0], [0, 1, 'lifting', 0, 0], [1, 1, 'lifting', 0.5, 0], [2.5, 1, 'finish', 1, 0], [4.5, 1, 'lowering', 0.5, 0], [6.5, 1, 'stretch', 0, 0], [7, 2, 'lifting', 0, 1], [70, 11, 'lifting', 0, 10],
  ] as const)('%d s in', (t, rep, phase, position, done) => expect(paceAt(tempo, 'lifting', t)).toMatchObject({ rep, phase, position: expect.closeTo(position, 9), done }));
  it('never jumps', () => {
    for (let t = 0; t < 30; t += 0.01) expect(Math.abs(paceAt(tempo, 'lifting', t + 0.01).position - paceAt(tempo, 'lifting', t).position)).toBeLessThan(0.0051);
    expect(repSeconds(tempo)).toBe(7);
  });
});

describe('stack steps', () => {
  const steps = toStackSteps([10000, 5000, 5000, 15000, 7500]);
  it.each([[7000, 7500], [6250, 5000], [99000, 15000], [0, 5000]])('nearest to %d g', (g, step) => expect(findNearestStep(steps, g)).toBe(step));
  it('neighbours', () => expect([findNeighbourStep(steps, 7500, -1), findNeighbourStep(steps, 8000, 1), findNeighbourStep(steps, 5000, -1), findNeighbourStep(steps, 15000, 1)]).toEqual([5000, 10000, null, null]));
});

import { describe, expect, it } from 'vitest';
import { findNearestStep, findNeighbourStep, toStackSteps } from '@/core/load/stack-steps';
import { buildRep, paceAt, paceOfPart, phaseSeconds, repSeconds, slowOf, timeUnderTensionS, wholePace } from './pace';
import { parseTempo, parseWrittenTempo, spellTempo } from './tempo';

const pace = wholePace(parseTempo('3-1-2-1')!, 'lifting');

describe('tempo', () => {
  it.each([
    ['3-1-2-1', [3, 1, 2, 1]],
    ['4-0-x-1', [4, 0, 1, 1]],
    ['10-2-10-2', [10, 2, 10, 2]],
    ['3-1-2', null],
    ['3-1-2-a', null],
    ['0-1-2-1', null],
    ['21-1-2-1', null],
    ['', null],
    ['3--2-1', null],
  ] as const)('%s', (notation, seconds) => {
    const t = parseTempo(notation);
    expect(t && [t.lowering, t.stretch, t.lifting, t.finish]).toEqual(seconds);
  });
  it.each([
    ['3-1-2-1, lower first', 'lowering', null],
    ['3-1-2-1, Lift first, 30-65deg: 4s', 'lifting', [30, 65, 4]],
    ['3-1-2-1,30-65°:2 s', null, [30, 65, 2]],
  ] as const)('%s says where it begins and what is slow', (notation, startsWith, slow) => {
    const w = parseWrittenTempo(notation)!;
    expect([w.startsWith, w.section && [w.section.fromDeg, w.section.toDeg, w.section.seconds]]).toEqual([
      startsWith,
      slow,
    ]);
  });
  it.each([
    '3-1-2-1, 65-30deg: 4s',
    '3-1-2-1, 30-190deg: 4s',
    '3-1-2-1, 30-65deg: 0s',
    '3-1-2-1, 30-65deg',
    '3-1-2-1, first',
    '3-1-2-1,',
    '3-1-2-1, lift first, lower first',
  ])('%s is none', (n) => expect(parseWrittenTempo(n)).toBeNull());
});

describe('time under tension', () => {
  it('eight reps of 5-5-5-5 are 160 s (common practice)', () =>
    expect(timeUnderTensionS(wholePace(parseTempo('5-5-5-5')!, 'lifting'), 8, null)).toBe(160));
  it('only what is loaded counts: the pause in an unloaded stretch and the fifth of the way after it do not', () => {
    const loaded = Array.from({ length: 11 }, (_, i) => i >= 2);
    expect(timeUnderTensionS(pace, 10, loaded)).toBeCloseTo(10 * (5 * (9 / 11) + 1), 9);
    expect(timeUnderTensionS({ ...pace, from: 0.5 }, 10, loaded)).toBeCloseTo(10 * (2.5 + 2), 9);
  });
});

describe('pace', () => {
  it('starts where the movement starts, or where the tempo says', () => {
    expect(buildRep(pace).map((l) => [l.phase, l.startS])).toEqual([
      ['lifting', 0],
      ['finish', 2],
      ['lowering', 3],
      ['stretch', 6],
    ]);
    expect(
      buildRep(paceOfPart({ tempo: '3-0-2-0, lower first', from: 0, to: 1 }, 'lifting', null)!).map((l) => l.phase),
    ).toEqual(['lowering', 'lifting']);
  });
  it.each([
    [-2, 0, 'ready', 0, 0],
    [0, 1, 'lifting', 0, 0],
    [1, 1, 'lifting', 0.5, 0],
    [2.5, 1, 'finish', 1, 0],
    [4.5, 1, 'lowering', 0.5, 0],
    [6.5, 1, 'stretch', 0, 0],
    [7, 2, 'lifting', 0, 1],
    [70, 11, 'lifting', 0, 10],
  ] as const)('%d s in', (t, rep, phase, position, done) =>
    expect(paceAt(pace, t)).toMatchObject({ rep, phase, position: expect.closeTo(position, 9), done }),
  );

  const curl = Array.from({ length: 41 }, (_, i) => 10 + 2.5 * i);
  it('a section takes its own seconds each way: 10 to 110 degrees, slow from 30 to 65', () => {
    const slow = paceOfPart({ tempo: '3-1-2-1, 30-65deg: 4s', from: 0, to: 1 }, 'lifting', curl)!;
    expect(
      buildRep(slow).map((l) => [
        l.phase,
        Math.round(100 * l.from),
        Math.round(100 * l.to),
        Math.round(100 * l.seconds) / 100,
      ]),
    ).toEqual([
      ['lifting', 0, 20, 0.4],
      ['lifting', 20, 55, 4],
      ['lifting', 55, 100, 0.9],
      ['finish', 100, 100, 1],
      ['lowering', 100, 55, 1.35],
      ['lowering', 55, 20, 4],
      ['lowering', 20, 0, 0.6],
      ['stretch', 0, 0, 1],
    ]);
    expect([phaseSeconds(slow, 'lifting'), repSeconds(slow)]).toEqual([
      expect.closeTo(5.3, 9),
      expect.closeTo(13.25, 9),
    ]);
    // Left until the phase is over, not the piece of it.
    expect(paceAt(slow, 1)).toMatchObject({ phase: 'lifting', leftS: expect.closeTo(4.3, 9) });
  });
  it.each([
    ['an angle that falls', [...curl].reverse(), 30, 65, [0.45, 0.8]],
    ['a section past the end', curl, 90, 180, [0.8, 1]],
    ['none of the range', curl, 120, 150, null],
    ['only its end', curl, 110, 150, null],
  ] as const)('%s', (_, degs, fromDeg, toDeg, want) => {
    const s = slowOf({ fromDeg, toDeg, seconds: 4 }, degs);
    expect(s && [s.from, s.to]).toEqual(want && want.map((v) => expect.closeTo(v, 9)));
  });
  it.each([
    ['whole', pace],
    ['half way', { ...pace, from: 0, to: 0.5 }],
    ['slow', { ...pace, slow: { from: 0.2, to: 0.55, seconds: 4 } }],
    ['slow at its edge', { ...pace, from: 0.3, to: 0.9, slow: { from: 0.1, to: 0.4, seconds: 2 } }],
  ])('%s: never jumps, and comes back to where it began', (_, p) => {
    for (let t = 0; t < 30; t += 0.01)
      expect(Math.abs(paceAt(p, t + 0.01).position - paceAt(p, t).position)).toBeLessThan(0.0051);
    expect(paceAt(p, repSeconds(p) * 3).position).toBeCloseTo(p.from, 6);
  });
});

describe('stack steps', () => {
  const steps = toStackSteps([10000, 5000, 5000, 15000, 7500]);
  it.each([
    [7000, 7500],
    [6250, 5000],
    [99000, 15000],
    [0, 5000],
  ])('nearest to %d g', (g, step) => expect(findNearestStep(steps, g)).toBe(step));
  it('neighbours', () =>
    expect([
      findNeighbourStep(steps, 7500, -1),
      findNeighbourStep(steps, 8000, 1),
      findNeighbourStep(steps, 5000, -1),
      findNeighbourStep(steps, 15000, 1),
    ]).toEqual([5000, 10000, null, null]));
});

describe('a tempo as people spell it', () => {
  it.each([
    ['3-1-2-1', '3-1-2-1'],
    [' 3/1/2/1 ', '3-1-2-1'],
    ['3 1 2 1', '3-1-2-1'],
    ['3120', '3-1-2-0'],
    ['30x1', '3-0-X-1'],
    ['10/0/3/1', '10-0-3-1'],
    ['slow 30-65', '4-0-2-0, 30-65deg: 4s'],
    ['3121 slow 30 to 65', '3-1-2-1, 30-65deg: 4s'],
    ['3/1/2/1, lower first, slow from 30-65 deg 6 s', '3-1-2-1, lower first, 30-65deg: 6s'],
    ['3-1-2-1, 30-65deg: 4s', '3-1-2-1, 30-65deg: 4s'],
  ])('%s is %s', (typed, kept) => {
    expect(spellTempo(typed, '4-0-2-0')).toBe(kept);
    expect(parseWrittenTempo(kept)).not.toBeNull();
    expect(spellTempo(kept, '4-0-2-0')).toBe(kept);
  });
  it.each(['', 'quickly', '3-1-2', '31211', 'slow'])('“%s” is left for the field to say so', (typed) => {
    expect(spellTempo(typed, '4-0-2-0')).toBe(typed);
    expect(parseWrittenTempo(typed)).toBeNull();
  });
});

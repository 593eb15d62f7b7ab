import { describe, expect, it } from 'vitest';
import { paceOfPart, repSeconds } from './pace';
import {
  AS_IT_COMES,
  buildParts,
  dropFractions,
  runsOn,
  SCHEMES,
  type Scheme,
  type SchemeInput,
  type SchemePart,
} from './scheme';

const input: SchemeInput = {
  reps: 12,
  tempo: '3-1-2-1',
  loadG: 30_000,
  dropsG: [22_500, 15_000],
  twentyG: 17_500,
  stances: [0.1, 0.3, 0.5],
  stepIns: [0.8, 0.6, 0.4],
  strongerHalf: 'first',
  repsOfParts: [],
};

const secondsOf = (p: SchemePart): number => p.reps * repSeconds(paceOfPart(p, 'lifting', null)!);

describe('set schemes (common practice)', () => {
  it('eight reps of 5-5-5-5 are 160 s under tension, straight into twelve at a load good for about 20', () => {
    const parts = buildParts('slow-then-normal', input);
    expect(secondsOf(parts[0]!)).toBe(160);
    expect(parts.map((p) => [p.reps, p.loadG])).toEqual([
      [8, 17_500],
      [12, 17_500],
    ]);
    expect(runsOn(parts[0]!, parts[1]!)).toBe(true);
  });
  it.each([
    ['straight', [[12, 30_000, null]]],
    [
      'weight-drops',
      [
        [12, 30_000, null],
        [15, 22_500, null],
        [15, 15_000, null],
      ],
    ],
    [
      'stance-drops',
      [
        [8, 30_000, 0.1],
        [8, 30_000, 0.3],
        [8, 30_000, 0.5],
      ],
    ],
    [
      'step-in-drops',
      [
        [7, 30_000, 0.8],
        [7, 30_000, 0.6],
        [7, 30_000, 0.4],
      ],
    ],
    [
      'rest-pause',
      [
        [12, 30_000, null],
        [4, 30_000, null],
        [4, 30_000, null],
      ],
    ],
    [
      'partials',
      [
        [12, 30_000, null],
        [6, 30_000, null],
      ],
    ],
    [
      'double-failure',
      [
        [12, 30_000, null],
        [6, 30_000, null],
        [4, 30_000, null],
      ],
    ],
  ] as const)('%s', (scheme, want) => {
    const parts = buildParts(scheme, input);
    expect(parts.map((p) => [p.reps, p.loadG, p.standX])).toEqual(want);
    const oneLoad = scheme === 'partials' || scheme === 'double-failure';
    for (let k = 1; k < parts.length; k++) expect(runsOn(parts[k - 1]!, parts[k]!)).toBe(oneLoad);
  });
  it('double failure: full reps, then the stronger half, then the weaker one with help', () => {
    for (const [strongerHalf, halves] of [
      ['first', [0, 0.5]],
      ['second', [0.5, 0]],
    ] as const) {
      const [full, stronger, weaker] = buildParts('double-failure', { ...input, strongerHalf });
      expect([full!.from, full!.to, stronger!.from, weaker!.from]).toEqual([0, 1, ...halves]);
      expect([full!.helped, stronger!.helped, weaker!.helped]).toEqual([false, false, true]);
    }
  });
  it('drops may run over the middle 80 % both times', () => {
    const ranges = (scheme: 'weight-drops' | 'middle-drops') =>
      buildParts(scheme, input).map((p) => Math.round(100 * (p.to - p.from)));
    expect([ranges('weight-drops'), ranges('middle-drops')]).toEqual([
      [100, 100, 80],
      [100, 80, 80],
    ]);
  });
  it('half-reps are of the stronger half', () => {
    expect(buildParts('partials', input)[1]).toMatchObject({ from: 0, to: 0.5 });
    expect(buildParts('partials', { ...input, strongerHalf: 'second' })[1]).toMatchObject({ from: 0.5, to: 1 });
  });
  it('reps of each part are as chosen, the others as the scheme has them', () => {
    const reps = (scheme: Scheme, repsOfParts: readonly (number | null)[]) =>
      buildParts(scheme, { ...input, repsOfParts }).map((p) => p.reps);
    expect(reps('slow-then-normal', [5, 10])).toEqual([5, 10]);
    expect(reps('weight-drops', [null, 8, 6, 4])).toEqual([12, 8, 6]);
  });
  it('two drops of 25 to 30 % where nothing is said, else as many and as big as chosen', () => {
    expect(dropFractions(AS_IT_COMES)).toEqual([0.275, 0.275]);
    expect(dropFractions({ ...AS_IT_COMES, drops: 3, dropPercent: 20 })).toEqual([0.2, 0.2, 0.2]);
  });
  it('what cannot be done here is no scheme', () => {
    const bare = { ...input, dropsG: [], stances: [0.2], stepIns: [] };
    expect(SCHEMES.filter((s) => buildParts(s, bare).length > 0)).toEqual([
      'straight',
      'slow-then-normal',
      'rest-pause',
      'partials',
      'double-failure',
    ]);
  });
  it('the last drop goes faster over the middle 80 %: 15 reps of 2 s, four fifths of the way', () => {
    const last = buildParts('weight-drops', input).at(-1)!;
    expect(secondsOf(last)).toBeCloseTo(15 * 2 * 0.8, 9);
  });
});

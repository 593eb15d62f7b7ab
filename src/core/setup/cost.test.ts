import { NO_LOAD_LIMITS } from '@/core/body/loaded-part';
import { describe, expect, it } from 'vitest';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import { COLUMN, problemOf } from '../../../test/support/fixtures';
import { BROKEN, COST_TERMS, costTerms, findViolations, PEAK_CENTRE, totalCost, type CostTerm } from './cost';
import { evaluatePlacement } from './evaluate';
import type { Placement, SearchProblem } from './setup-problem';

const HERE: Placement = { hole: 12, standX: 0.4, standZ: 0, yawDeg: 0 };
/** A set-up with nothing wrong: on the line, even, never resting, three metres of cable out. */
const CALM: LineMetrics = {
  offPlaneRmsDeg: 0,
  offPlaneFinishDeg: 0,
  peakAt: 0.5,
  peakResistanceNm: 40,
  meanResistanceNm: 40,
  rightAngleAt: 0.5,
  peakLeverM: 0.6,
  restShare: 0,
  loadedShare: 1,
  evenness: 1,
  hardestAt: 0.5,
  hardestNm: 40,
  matched: 1,
  strongerHalf: 'first',
  helps: false,
  minClearanceM: 3,
  maxTravelM: 1,
  offAxisShare: 0,
};
const flat = problemOf('cable-fly-level');
const asking = (change: object): SearchProblem => ({ ...flat, input: { ...flat.input, ...change } });
const even = asking({ peakTarget: 'even' });
const terms = (m: Partial<LineMetrics>, at: Partial<Placement> = {}, problem: SearchProblem = even) =>
  costTerms(problem, { ...HERE, ...at }, [{ ...CALM, ...m }]);

describe('terms of the cost, in degrees', () => {
  it.each<[string, CostTerm, number, ReturnType<typeof terms>]>([
    ['a degree off the sweep is a degree', 'offPlane', 4, terms({ offPlaneRmsDeg: 4 })],
    ['a degree at the finish is half of one, either way', 'finishLine', 3, terms({ offPlaneFinishDeg: -6 })],
    ['a curve of half evenness', 'peak', 12.5, terms({ evenness: 0.5 })],
    [
      'a curve that meets the strength half, where that is asked for',
      'peak',
      12.5,
      terms({ matched: 0.5, evenness: 0.1 }, {}, asking({ peakTarget: 'matched' })),
    ],
    [
      'a peak a third of the range away from the middle',
      'peak',
      10,
      terms({ peakAt: 5 / 6 }, {}, asking({ peakTarget: 'mid' })),
    ],
    ['a quarter of the range at rest', 'restZone', 5, terms({ restShare: 0.25 })],
    ['cable and handle 1 m together, shoulder 2 cm off', 'shortCable', 1.1234, terms({ minClearanceM: 0.86 })],
    ['ten degrees of turn', 'squareness', 1.5, terms({}, { yawDeg: -10 })],
    ['ten centimetres sideways', 'squareness', 0.6, terms({}, { standZ: 0.1 })],
    ['ten degrees beyond a pull’s own ends', 'reach', 5, terms({}, {}, { ...even, pulls: true, strainDeg: () => 10 })],
    [
      'two holes, 3 and 4 cm, five degrees from last time',
      'change',
      0.35,
      terms({}, { hole: 14, standX: 0.43, standZ: 0.04, yawDeg: 5 }, asking({ lastUsed: HERE })),
    ],
  ])('%s: %s %d', (_, term, want, got) => {
    expect(got[term]).toBeCloseTo(want, 3);
  });
  it('a calm set-up costs only its length of cable', () => {
    const calm = terms({});
    for (const t of COST_TERMS) expect(calm[t]).toBe(t === 'shortCable' ? calm.shortCable : 0);
    expect(calm.shortCable).toBeLessThan(0.4);
  });
  it('two sides count by their mean', () => {
    const both = costTerms(even, HERE, [
      { ...CALM, offPlaneRmsDeg: 2 },
      { ...CALM, offPlaneRmsDeg: 6 },
    ]);
    expect(both.offPlane).toBe(4);
  });
  it('thirds have their centres', () =>
    expect(PEAK_CENTRE).toEqual({ lengthened: 1 / 6, mid: 0.5, contracted: 5 / 6 }));
});

describe('hard limits', () => {
  const broken = (m: Partial<LineMetrics>, at: Partial<Placement> = {}, problem: SearchProblem = even) =>
    findViolations(problem, { ...HERE, ...at }, [{ ...CALM, ...m }]).map((v) => `${v.limit} ${v.have} of ${v.need}`);
  it.each<[string, string[], string[]]>([
    ['nothing', broken({}), []],
    [
      'just enough of everything',
      broken({ minClearanceM: 0.05, maxTravelM: 3, offPlaneRmsDeg: 8, restShare: 0.25 }, { standX: 2 }),
      [],
    ],
    ['stack on its stop', broken({ minClearanceM: 0.04 }), ['clearance 0.04 of 0.05']],
    ['cable at its end', broken({ maxTravelM: 3.2 }), ['travel 3 of 3.2']],
    ['through the wall ahead', broken({}, { standX: 2.1 }), ['room 2 of 2.1']],
    ['into the columns', broken({}, { standX: -0.4 }), ['room -0.3 of -0.4']],
    ['off the line', broken({ offPlaneRmsDeg: 9 }), ['line 9 of 8']],
    ['half at rest', broken({ restShare: 0.5 }), ['rest 0.5 of 0.25']],
    [
      'over a clinician’s limit wherever it stands',
      broken({}, {}, problemOf('cable-fly-level', 1.75, { loadLimits: { ...NO_LOAD_LIMITS, hand: 12 } })),
      ['load 12 of 15'],
    ],
    [
      'over it before the pulley halves the stack',
      broken(
        {},
        {},
        problemOf('cable-fly-level', 1.75, {
          loadLimits: { ...NO_LOAD_LIMITS, hand: 12 },
          column: { ...COLUMN, pulleyRatio: 2 },
        }),
      ),
      [],
    ],
    ['two at once', broken({ minClearanceM: 0, restShare: 0.3 }), ['clearance 0 of 0.05', 'rest 0.3 of 0.25']],
  ])('%s', (_, got, want) => expect(got).toEqual(want));
  it('any broken limit outweighs all that is soft, and further out costs more', () => {
    const at = (standX: number) => totalCost(flat, { ...HERE, standX });
    expect(at(2.05)).toBeGreaterThan(BROKEN);
    expect(at(2.4)).toBeGreaterThan(at(2.05));
  });
  it('the total is the sum of the terms that are shown', () => {
    for (const placement of [
      { ...HERE, hole: 13, standX: 0.2 },
      { ...HERE, hole: 12, standX: 0.5, standZ: 0.05, yawDeg: 6 },
    ]) {
      const { terms: shown, violations } = evaluatePlacement(flat, placement);
      const sum = COST_TERMS.reduce((s, t) => s + shown[t], 0);
      if (violations.length === 0) expect(totalCost(flat, placement)).toBeCloseTo(sum, 9);
      else expect(totalCost(flat, placement)).toBeGreaterThan(BROKEN);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { buildResistanceOption, type ResistanceInput } from './resistance-series';

const INK = { ink: '#000', quiet: '#555', hairline: '#ccc', pull: '#066', setThis: '#d40', paper: '#fff' };
const curve = (f: (s: number) => number) => ({
  name: 'now',
  resistanceNm: Float64Array.from({ length: 41 }, (_, i) => f(i / 40)),
});
const main = (f: (s: number) => number) => ({ ...curve(f), strengthNm: Float64Array.from({ length: 41 }, () => 90) });
const base: ResistanceInput = {
  main: main((s) => 80 - 40 * s),
  other: null,
  peakAt: 0,
  peakNm: 80,
  rightAngleAt: null,
  ink: INK,
  hatch: 'hatch',
  fontFamily: 'x',
  span: null,
};
const build = (change: Partial<ResistanceInput>) =>
  buildResistanceOption({ ...base, ...change }) as unknown as {
    yAxis: { min: number; max: number; interval: number };
    series: {
      data: [number, number][];
      markArea?: { data: [{ yAxis: number | string }, { yAxis: number }][] };
      markLine?: { data: { xAxis: number }[] };
      markPoint: { data: { coord: [number, number] }[]; label: { formatter: string } };
      lineStyle: { type?: string };
    }[];
  };

describe('resistance over the rep', () => {
  it('runs from stretch to finish with the peak named', () => {
    const [main] = build({}).series;
    expect(main!.data[0]).toEqual([0, 80]);
    expect(main!.data[40]).toEqual([1, 40]);
    expect(main!.markPoint.data[0]!.coord).toEqual([0, 80]);
    expect(main!.markPoint.label.formatter).toBe('peak 80 Nm');
  });
  it('lays the strength over it, thin, from end to end', () => {
    const [, strength] = build({}).series;
    expect([strength!.data[0], strength!.data[40]]).toEqual([
      [0, 90],
      [1, 90],
    ]);
  });
  it('holds its axis for a curve that is drawn over it', () => {
    const held = build({ main: null, span: { min: -25, max: 100, step: 25 }, other: curve((s) => 200 * s) });
    expect(held.yAxis).toMatchObject({ min: -25, max: 100, interval: 25 });
    expect(held.series).toHaveLength(1);
  });
  it('hatches the rest zone up to a quarter of the peak', () => {
    expect(build({}).series[0]!.markArea!.data[0]![1]).toEqual({ yAxis: 20 });
  });
  it('goes below nothing where the weight helps', () => {
    const { yAxis, series } = build({ main: main((s) => -30 + 110 * s) });
    expect(yAxis.min).toBe(-50);
    expect(series[0]!.markArea!.data[0]![0]).toEqual({ yAxis: 'min' });
  });
  it.each([
    [80, 100, 25],
    [112, 150, 25],
    [150, 200, 50],
  ])('a peak of %d Nm fits under %d in steps of %d', (peakNm, max, interval) => {
    expect(build({ main: main(() => peakNm), peakNm }).yAxis).toMatchObject({ max, interval });
  });
  it('draws the other set-up dashed and behind, on the same axes', () => {
    const { series, yAxis } = build({ other: { ...curve(() => 120), name: 'solved: hole 17' } });
    expect(series).toHaveLength(3);
    expect(series[0]!.lineStyle.type).toBe('dashed');
    expect(series[0]!.markPoint.label.formatter).toBe('solved: hole 17');
    expect(yAxis.max).toBeGreaterThan(120);
  });
  it('marks the right angle where there is one', () => {
    expect(build({}).series[0]!.markLine).toBeUndefined();
    expect(build({ rightAngleAt: 0.3 }).series[0]!.markLine!.data).toEqual([{ xAxis: 0.3 }]);
  });
});

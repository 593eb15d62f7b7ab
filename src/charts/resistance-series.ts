import type { ECOption } from './echarts-core';
import { REST_BELOW } from '@/core/mechanics/line-profile';
import { WORDS } from '@/messages/screens/charts';
import type { ChartLook } from './use-chart';

export interface Curve {
  readonly name: string;
  readonly resistanceNm: ArrayLike<number>;
}

/** A curve with the strength over the same range, as it is when full reps fail; newton metres. */
export interface MainCurve extends Curve {
  readonly strengthNm: ArrayLike<number>;
}

/** Ends and steps of the moment axis, newton metres. */
export interface MomentSpan {
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

export interface ResistanceInput extends ChartLook {
  /** Null: only the axes and what lies beside it; it is drawn over them as it moves. */
  readonly main: MainCurve | null;
  /** Ends of the moment axis where they are held; null: around the curves. */
  readonly span: MomentSpan | null;
  /** Shown dashed: the solved set-up while something is moved, or the last used one. */
  readonly other: Curve | null;
  readonly peakAt: number;
  readonly peakNm: number;
  readonly rightAngleAt: number | null;
}

/** Space around the curve, pixels; the arm strip below uses the same left and right. */
export const CURVE_GRID = { left: 58, right: 14, top: 22, bottom: 24 } as const;

const pairs = (values: ArrayLike<number>): [number, number][] =>
  Array.from({ length: values.length }, (_, i) => [i / (values.length - 1), values[i]!]);
const points = (c: Curve): [number, number][] => pairs(c.resistanceNm);

/** Where along the range a dashed curve is named, and its height there. */
export const LABEL_AT = 0.7;
export const valueAt = (c: Curve, at: number): number => c.resistanceNm[Math.round(at * (c.resistanceNm.length - 1))]!;

/** Ends of the moment axis, newton metres. */
export function momentSpan(main: Curve | null, other: Curve | null, peakNm: number): MomentSpan {
  const top = Math.max(peakNm, ...(other ? Array.from(other.resistanceNm) : [0]));
  const bottom = Math.min(0, ...(main ? Array.from(main.resistanceNm) : []));
  const step = top > 120 ? 50 : 25;
  return { min: bottom < 0 ? Math.floor(bottom / step) * step : 0, max: Math.ceil((top * 1.12) / step) * step, step };
}

const textOf = (r: ResistanceInput) => ({ fontFamily: r.fontFamily, fontSize: 13 });

/** Names of points and curves stay readable over what they cross. */
const overPaper = (r: ResistanceInput) => ({ textBorderColor: r.ink.paper, textBorderWidth: 4, ...textOf(r) });

/** The axes: along the rep, and newton metres. */
function axes(r: ResistanceInput, { min, max, step }: MomentSpan): Pick<ECOption, 'xAxis' | 'yAxis'> {
  const label = { ...textOf(r), color: r.ink.ink };
  return {
    xAxis: {
      type: 'value',
      min: 0,
      max: 1,
      interval: 0.25,
      axisLine: { lineStyle: { color: r.ink.ink } },
      axisTick: { show: true, lineStyle: { color: r.ink.ink } },
      splitLine: { show: false },
      axisLabel: {
        ...label,
        formatter: (v: number) => (v === 0 ? 'stretch' : v === 0.5 ? WORDS.halfWay : v === 1 ? 'finish' : ''),
        alignMinLabel: 'left',
        alignMaxLabel: 'right',
      },
    },
    yAxis: {
      type: 'value',
      min,
      max,
      interval: step,
      axisLabel: label,
      splitLine: { lineStyle: { color: r.ink.hairline } },
      axisLine: { show: false },
    },
  };
}

/** A curve laid beside, dashed and named where it is on its own side of the main one. */
function besideSeries(r: ResistanceInput, other: Curve) {
  const height = valueAt(other, LABEL_AT);
  const above = r.main !== null && height > valueAt(r.main, LABEL_AT);
  return {
    type: 'line' as const,
    name: other.name,
    data: points(other),
    showSymbol: false,
    silent: true,
    lineStyle: { color: r.ink.quiet, width: 1.5, type: 'dashed' as const },
    markPoint: {
      silent: true,
      symbol: 'circle',
      symbolSize: 1,
      data: [{ name: other.name, coord: [LABEL_AT, height] }],
      label: {
        show: true,
        formatter: other.name,
        color: r.ink.quiet,
        ...overPaper(r),
        position: above ? ('top' as const) : ('bottom' as const),
      },
    },
  };
}

/** The peak of the main curve, with its newton metres. */
function peakMark(r: ResistanceInput) {
  return {
    silent: true,
    symbol: 'circle',
    symbolSize: 9,
    itemStyle: { color: r.ink.setThis, borderColor: r.ink.ink, borderWidth: 1 },
    label: {
      show: true,
      position: r.peakAt > 0.8 ? ('left' as const) : ('right' as const),
      distance: 8,
      offset: [0, -8],
      color: r.ink.ink,
      ...overPaper(r),
      fontWeight: 600,
      formatter: `peak ${Math.round(r.peakNm)} Nm`,
    },
    data: [{ name: 'peak', coord: [r.peakAt, r.peakNm] }],
  };
}

/** Where line and limb stand at a right angle. */
function rightAngleLine(r: ResistanceInput, at: number) {
  return {
    silent: true,
    symbol: 'none',
    lineStyle: { color: r.ink.pull, type: 'dotted' as const, width: 1.5 },
    label: { show: false },
    data: [{ xAxis: at }],
  };
}

/** The set-up's own curve over its rest zone, with its peak. */
function mainSeries(r: ResistanceInput, main: Curve, min: number) {
  return {
    type: 'line' as const,
    name: main.name,
    data: points(main),
    showSymbol: false,
    silent: true,
    lineStyle: { color: r.ink.pull, width: 3 },
    markArea: {
      silent: true,
      itemStyle: { color: r.hatch as string },
      data: [[{ yAxis: min < 0 ? 'min' : 0 }, { yAxis: REST_BELOW * r.peakNm }]],
    } as never,
    markPoint: peakMark(r),
    ...(r.rightAngleAt === null ? {} : { markLine: rightAngleLine(r, r.rightAngleAt) }),
  };
}

/** The strength, thin and over the resistance but where it fails; what is off the axis is cut. */
function strengthSeries(r: ResistanceInput, { strengthNm }: MainCurve) {
  return {
    type: 'line' as const,
    name: WORDS.strength,
    data: pairs(strengthNm),
    showSymbol: false,
    silent: true,
    clip: true,
    lineStyle: { color: r.ink.ink, width: 1 },
  };
}

/** ECharts option of the resistance over the rep, with the rest zone hatched and the peak named. */
export function buildResistanceOption(r: ResistanceInput): ECOption {
  const span = r.span ?? momentSpan(r.main, r.other, r.peakNm);
  return {
    animation: false,
    grid: { ...CURVE_GRID },
    ...axes(r, span),
    series: [
      ...(r.other ? [besideSeries(r, r.other)] : []),
      ...(r.main === null ? [] : [mainSeries(r, r.main, span.min), strengthSeries(r, r.main)]),
    ],
  };
}

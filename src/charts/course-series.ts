import { WORDS } from '@/messages/screens/charts';
import type { ECOption } from './echarts-core';
import type { ChartLook } from './use-chart';

/** A session as the chart shows it. */
export interface CourseSession {
  readonly date: string;
  readonly load: number;
  readonly reps: readonly number[];
  /** Sets with a fault in them. */
  readonly faulty: number;
  /** Null where none was saved. */
  readonly hole: number | null;
  /** Largest moment against the target joint, newton metres; left out where it is not known. */
  readonly demandNm?: number | null;
}

/** Sessions of a movement on one side, oldest first; loads in one unit. */
export interface Course {
  readonly unit: string;
  /** Whether demands are shown, also while they are worked out. */
  readonly hasDemand: boolean;
  readonly sessions: readonly CourseSession[];
}

/** Rows of the chart from top to bottom, pixels. */
const ROWS = { load: 92, demand: 72, reps: 80, faulty: 56, hole: 64 } as const;
const BETWEEN = 40;
const FROM = { left: 58, right: 16, top: 26 } as const;

type Row = keyof typeof ROWS;

/** Ends of the axes: shares from none to all, reps from none, what hardly moves with a little room about it. */
const SPAN = {
  load: { scale: true },
  demand: { scale: true },
  reps: { min: 0 },
  faulty: { min: 0, max: 100 },
  hole: { min: (v: { min: number }) => v.min - 2, max: (v: { max: number }) => v.max + 2 },
} as const;

/** Rows that a course has something to show in: a movement without a column has no hole. */
const rowsOf = ({ sessions, hasDemand }: Course): readonly Row[] => [
  'load',
  ...(hasDemand ? (['demand'] as const) : []),
  'reps',
  'faulty',
  ...(sessions.some((s) => s.hole !== null) ? (['hole'] as const) : []),
];

/** Height of the chart of a course, pixels. */
export const courseHeight = (course: Course): number =>
  rowsOf(course).reduce<number>((sum, r) => sum + ROWS[r] + BETWEEN, FROM.top);

/** What each row shows, by session from left to right: of reps every set, of the rest one value or none. */
export function courseRows({ sessions }: Course): Readonly<Record<Row, readonly (readonly [number, number])[]>> {
  const each = (f: (s: CourseSession) => number | null) =>
    sessions.flatMap((s, k): [number, number][] => {
      const value = f(s);
      return value === null ? [] : [[k, value]];
    });
  return {
    load: each((s) => s.load),
    demand: each((s) => s.demandNm ?? null),
    reps: sessions.flatMap((s, k) => s.reps.map((r): [number, number] => [k, r])),
    faulty: each((s) => Math.round((100 * s.faulty) / s.reps.length)),
    hole: each((s) => s.hole),
  };
}

/**
 * Load, what it asks of the joint, reps of every set, share of sets with a fault and hole over the sessions, one above
 * the other.
 */
export function buildCourseOption(course: Course, { ink, fontFamily }: ChartLook): ECOption {
  const rows = rowsOf(course);
  const data = courseRows(course);
  const text = { color: ink.quiet, fontFamily, fontSize: 13 };
  const tops = rows.map((_, k) => rows.slice(0, k).reduce<number>((sum, r) => sum + ROWS[r] + BETWEEN, FROM.top));
  const axis = { axisLine: { lineStyle: { color: ink.ink } }, axisTick: { show: false }, axisLabel: text };
  return {
    animation: false,
    grid: rows.map((r, k) => ({ left: FROM.left, right: FROM.right, top: tops[k]!, height: ROWS[r] })),
    xAxis: rows.map((_, gridIndex) => ({
      ...axis,
      type: 'category' as const,
      gridIndex,
      data: course.sessions.map((s) => s.date),
      axisLabel: { ...text, show: gridIndex === rows.length - 1 },
    })),
    yAxis: rows.map((r, gridIndex) => ({
      ...axis,
      type: 'value' as const,
      gridIndex,
      name: WORDS.courseRow[r](course.unit),
      nameTextStyle: { ...text, color: ink.ink, align: 'left' as const, padding: [0, 0, 0, -FROM.left + 14] },
      nameGap: 15,
      splitNumber: 2,
      minInterval: r === 'load' || r === 'demand' ? 0 : 1,
      ...SPAN[r],
      splitLine: { lineStyle: { color: ink.hairline } },
    })),
    series: rows.map((r, k) => ({
      type: 'line' as const,
      xAxisIndex: k,
      yAxisIndex: k,
      data: data[r].map(([x, y]) => [x, y]),
      ...(r === 'hole' ? { step: 'end' as const } : {}),
      // Sets of one session stand above each other: no line leads from one to the next.
      lineStyle: { color: r === 'faulty' ? ink.ink : ink.pull, width: r === 'reps' ? 0 : 2 },
      itemStyle: { color: r === 'faulty' ? ink.ink : ink.pull },
      symbol: r === 'faulty' ? 'rect' : 'circle',
      symbolSize: r === 'reps' ? 6 : 8,
    })),
  };
}

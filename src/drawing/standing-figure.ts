import type { Body, Sized } from '@/core/body/body-model';
import type { LengthName, MeasureName } from '@/core/body/segment-ratios';
import { capsulePath, type Dot } from './capsule';
import type { Silhouette } from './figure';

/** A height line of the client sheet: where, how known. Pixels. */
export interface HeightLine {
  readonly name: MeasureName;
  readonly v: number;
  readonly labelV: number;
  readonly cm: number;
  readonly source: Sized['source'];
  readonly column: 'left' | 'right';
}

export interface StandingFigure {
  readonly silhouettes: readonly Silhouette[];
  readonly lines: readonly HeightLine[];
  readonly width: number;
  readonly height: number;
  readonly midU: number;
  readonly floorV: number;
  readonly crownV: number;
  /** Both ends of each length on the figure, where the tape goes. */
  readonly spans: Readonly<Record<LengthName, readonly [Dot, Dot]>>;
}

const LEFT: readonly MeasureName[] = [
  'eyeHeight',
  'chinHeight',
  'shoulderHeight',
  'hipHeight',
  'kneeHeight',
  'ankleHeight',
];
const RIGHT: readonly MeasureName[] = ['elbowHeight', 'wristHeight', 'fingertipHeight'];
const LABEL_GAP = 17;

/** Labels pushed apart so that none overlap, from the top down. */
function spread(lines: HeightLine[]): HeightLine[] {
  const sorted = [...lines].sort((a, b) => a.v - b.v);
  let last = -Infinity;
  return sorted.map((l) => {
    const labelV = Math.max(l.v, last + LABEL_GAP);
    last = labelV;
    return { ...l, labelV };
  });
}

/** How far from the side the hand hangs, share of stature. */
const AWAY = 0.035;
/** The hip joint from the midline, metres: within the breadth over the hips. */
const hipAt = (body: Body): number => (body.length.hipBreadth.m / 2) * 0.62;

/**
 * Head, trunk and limbs as capsules in pixels, at `k` pixels a metre: `at` places a point of the frontal plane, metres
 * to the right of the midline and above the floor. One silhouette: they are stroked together, so only the outer line
 * stays.
 */
function outline(body: Body, at: (z: number, m: number) => Dot, k: number): string[] {
  const h = body.statureM;
  const H = (name: keyof Body['height']): number => body.height[name].m;
  const c = (a: Dot, b: Dot, ra: number, rb: number) => capsulePath({ a, b, ra: ra * h * k, rb: rb * h * k });
  const sides = [-1, 1] as const;
  const half = body.length.shoulderBreadth.m / 2;
  const hip = hipAt(body);
  const away = AWAY * h;
  const neckM = (H('chinHeight') + H('shoulderHeight')) / 2;
  const headM = (H('chinHeight') + h) / 2;
  const headR = (h - H('chinHeight')) / 2 / h;
  return [
    ...sides.flatMap((s) => [
      c(at(s * hip, H('hipHeight') - 0.03 * h), at(s * hip, H('kneeHeight')), 0.05, 0.032),
      c(at(s * hip, H('kneeHeight')), at(s * hip, H('ankleHeight')), 0.032, 0.02),
      c(at(s * hip, 0.016 * h), at(s * (hip + 0.03 * h), 0.013 * h), 0.016, 0.013),
    ]),
    ...sides.flatMap((s) => {
      const shoulder = at(s * half * 0.96, H('shoulderHeight'));
      const elbow = at(s * (half + away * 0.7), H('elbowHeight'));
      const wrist = at(s * (half + away * 1.2), H('wristHeight'));
      const tip = at(s * (half + away * 1.2), H('fingertipHeight') + 0.012 * h);
      return [c(shoulder, elbow, 0.03, 0.022), c(elbow, wrist, 0.022, 0.015), c(wrist, tip, 0.016, 0.012)];
    }),
    c(at(-half * 0.9, H('shoulderHeight')), at(half * 0.9, H('shoulderHeight')), 0.03, 0.03),
    ...sides.map((s) => c(at(0, neckM), at(s * half * 0.8, H('shoulderHeight') + 0.004 * h), 0.03, 0.026)),
    c(at(0, H('shoulderHeight') - 0.07 * h), at(0, H('hipHeight') + 0.08 * h), 0.086, 0.066),
    c(at(0, H('hipHeight') + 0.08 * h), at(0, H('hipHeight') + 0.005 * h), 0.066, 0.079),
    c(at(0, H('shoulderHeight') + 0.01 * h), at(0, neckM + 0.03 * h), 0.04, 0.03),
    c(at(0, headM - 0.012 * h), at(0, headM + 0.012 * h), headR * 0.78, headR * 0.86),
  ];
}

/** The client from the front, standing, to scale; the arms hang a little away so that they can be read. */
export function buildStandingFigure(body: Body, tallestM: number, height: number, width: number): StandingFigure {
  const floorV = height - 22;
  const k = (floorV - 16) / tallestM;
  const midU = width / 2;
  const h = body.statureM;
  const y = (m: number): number => floorV - m * k;
  const at = (z: number, m: number) => ({ u: midU + z * k, v: y(m) });
  const H = (name: keyof Body['height']): number => body.height[name].m;
  const half = body.length.shoulderBreadth.m / 2;
  const hip = hipAt(body);
  const away = AWAY * h;
  const silhouettes: Silhouette[] = [{ key: 'body', paths: outline(body, at, k) }];
  const line = (name: MeasureName, column: 'left' | 'right'): HeightLine => {
    const sized = body.height[name as keyof Body['height']];
    return {
      name,
      v: y(sized.m),
      labelV: y(sized.m),
      cm: Math.round(sized.m * 1000) / 10,
      source: sized.source,
      column,
    };
  };
  return {
    silhouettes,
    lines: [...spread(LEFT.map((n) => line(n, 'left'))), ...spread(RIGHT.map((n) => line(n, 'right')))],
    width,
    height,
    midU,
    floorV,
    crownV: y(h),
    spans: {
      shoulderBreadth: [at(-half, H('shoulderHeight')), at(half, H('shoulderHeight'))],
      hipBreadth: [at(-body.length.hipBreadth.m / 2, H('hipHeight')), at(body.length.hipBreadth.m / 2, H('hipHeight'))],
      upperArm: [at(half, H('shoulderHeight')), at(half + away * 0.7, H('elbowHeight'))],
      forearm: [at(half + away * 0.7, H('elbowHeight')), at(half + away * 1.2, H('wristHeight'))],
      hand: [at(half + away * 1.2, H('wristHeight')), at(half + away * 1.2, H('fingertipHeight'))],
      foot: [at(hip, 0.012 * h), at(hip + 0.06 * h, 0.012 * h)],
    },
  };
}

import { px } from './svg-number';

/** A point of a view, in pixels. */
export interface Dot {
  readonly u: number;
  readonly v: number;
}

/** Two circles and the skin between them: how limbs and trunk are drawn. Pixels. */
export interface Capsule {
  readonly a: Dot;
  readonly b: Dot;
  readonly ra: number;
  readonly rb: number;
}

/**
 * Outline of a tapered capsule as SVG path data, clockwise; one circle when the other lies inside it, the same way
 * round, so that outlines that share a path leave no hole where they meet.
 */
export function capsulePath({ a, b, ra, rb }: Capsule): string {
  const du = b.u - a.u;
  const dv = b.v - a.v;
  const d = Math.hypot(du, dv);
  if (d <= Math.abs(ra - rb) + 1e-6) {
    const big = ra >= rb ? { c: a, r: ra } : { c: b, r: rb };
    return (
      `M${px(big.c.u - big.r)} ${px(big.c.v)}a${px(big.r)} ${px(big.r)} 0 1 1 ${px(2 * big.r)} ` +
      `0a${px(big.r)} ${px(big.r)} 0 1 1 ${px(-2 * big.r)} 0Z`
    );
  }
  const axis = Math.atan2(dv, du);
  const lean = Math.acos((ra - rb) / d);
  const at = (c: Dot, r: number, angle: number): string =>
    `${px(c.u + r * Math.cos(angle))} ${px(c.v + r * Math.sin(angle))}`;
  const largeA = ra > rb ? 1 : 0;
  const largeB = rb > ra ? 1 : 0;
  return [
    `M${at(a, ra, axis + lean)}`,
    `A${px(ra)} ${px(ra)} 0 ${largeA} 1 ${at(a, ra, axis - lean)}`,
    `L${at(b, rb, axis - lean)}`,
    `A${px(rb)} ${px(rb)} 0 ${largeB} 1 ${at(b, rb, axis + lean)}`,
    'Z',
  ].join('');
}

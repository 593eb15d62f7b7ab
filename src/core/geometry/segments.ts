/**
 * Distance between two segments, metres. Source: closest points of two segments by their parameters, each held to its
 * own end (Ericson, Real-Time Collision Detection, 5.1.9).
 */
export function segmentDistance(
  ax: number,
  ay: number,
  az: number,
  bx: number,
  by: number,
  bz: number,
  cx: number,
  cy: number,
  cz: number,
  dx: number,
  dy: number,
  dz: number,
): number {
  const ux = bx - ax;
  const uy = by - ay;
  const uz = bz - az;
  const vx = dx - cx;
  const vy = dy - cy;
  const vz = dz - cz;
  const rx = ax - cx;
  const ry = ay - cy;
  const rz = az - cz;
  const a = ux * ux + uy * uy + uz * uz;
  const e = vx * vx + vy * vy + vz * vz;
  const f = vx * rx + vy * ry + vz * rz;
  const c = ux * rx + uy * ry + uz * rz;
  const b = ux * vx + uy * vy + uz * vz;
  const den = a * e - b * b;
  const held = (x: number): number => (x < 0 ? 0 : x > 1 ? 1 : x);
  let s = den > 1e-12 ? held((b * f - c * e) / den) : 0;
  let t = e > 1e-12 ? (b * s + f) / e : 0;
  if (t < 0) {
    t = 0;
    s = a > 1e-12 ? held(-c / a) : 0;
  } else if (t > 1) {
    t = 1;
    s = a > 1e-12 ? held((b - c) / a) : 0;
  }
  const x = rx + ux * s - vx * t;
  const y = ry + uy * s - vy * t;
  const z = rz + uz * s - vz * t;
  return Math.sqrt(x * x + y * y + z * z);
}

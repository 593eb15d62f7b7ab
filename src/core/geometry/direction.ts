import { clampedAcos, toDeg, toRad } from '@/core/units/angle';
import { mirrorZ, type Vec3 } from './vector';

/**
 * Direction of a limb as people say it, degrees: azimuth 0 = straight out to that side, 90 = ahead, over 90 across the
 * midline, negative = behind; elevation 0 = hanging, 90 = level, 180 = overhead.
 */
export interface Direction {
  readonly azimuthDeg: number;
  readonly elevationDeg: number;
}

/** Unit vector of a direction on a side, in whichever frame the direction is meant in. */
export function toUnit({ azimuthDeg, elevationDeg }: Direction, side: 'left' | 'right'): Vec3 {
  const a = toRad(azimuthDeg);
  const e = toRad(elevationDeg);
  const right: Vec3 = [Math.sin(e) * Math.sin(a), -Math.cos(e), Math.sin(e) * Math.cos(a)];
  return side === 'right' ? right : mirrorZ(right);
}

/** The direction of a unit vector on a side; straight up and down have azimuth 90 (ahead). */
export function toDirection(u: Vec3, side: 'left' | 'right'): Direction {
  const out = side === 'right' ? u[2] : -u[2];
  const level = Math.hypot(u[0], out);
  return { elevationDeg: toDeg(clampedAcos(-u[1])), azimuthDeg: level < 1e-9 ? 90 : toDeg(Math.atan2(u[0], out)) };
}

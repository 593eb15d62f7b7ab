/** Angles are radians inside core and degrees at its borders; these two functions are the border. */
export const toRad = (deg: number): number => (deg * Math.PI) / 180;

/** Radians to degrees. */
export const toDeg = (rad: number): number => (rad * 180) / Math.PI;

/** arcsin that accepts rounding just outside [-1, 1]. Returns radians in [-pi/2, pi/2]. */
export const clampedAsin = (x: number): number => Math.asin(Math.min(1, Math.max(-1, x)));

/** arccos that accepts rounding just outside [-1, 1]. Returns radians in [0, pi]. */
export const clampedAcos = (x: number): number => Math.acos(Math.min(1, Math.max(-1, x)));

/** Way of a minimum-jerk move at a share `s` of its time, 0 to 1: 10 s^3 - 15 s^4 + 6 s^5 (Flash and Hogan 1985). */
export const wayAt = (s: number): number => 10 * s ** 3 - 15 * s ** 4 + 6 * s ** 5;

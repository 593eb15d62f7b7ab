import { expect, it } from 'vitest';
import { slopeOf } from './tilt-sensor';

// Flat on its back 0, upright 90, flat on its face 180 (W3C Device Orientation): the same slope either end up.
it.each([
  [0, 0],
  [38, 38],
  [-38, 38],
  [90, 90],
  [142, 38],
  [-142, 38],
  [180, 0],
])('beta %d is a slope of %d degrees', (beta, slope) => expect(slopeOf(beta)).toBe(slope));

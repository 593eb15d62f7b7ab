import { expect, it } from 'vitest';
import { estimatedMassKg } from './estimated-mass';

it.each([
  [1.5, 49],
  [1.75, 66],
  [2, 87],
])('somebody of %d m whom nobody weighed is taken for %d kg (21.7 kg/m2, WHO 2000)', (statureM, kg) =>
  expect(estimatedMassKg(statureM)).toBe(kg),
);

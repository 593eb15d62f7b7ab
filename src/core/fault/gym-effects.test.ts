import { expect, it } from 'vitest';
import { gymEffects, type CorrectionCount } from './gym-effects';

const count = (correction: CorrectionCount['correction'], held: number, not: number, partly = 0): CorrectionCount => ({
  fault: 'shrugs',
  correction,
  held,
  partly,
  not,
});

it('what was seen seldom is drawn towards the gym’s own share, worked by hand', () => {
  // Of 20 looks 15 held: the gym's share is 16 / 22.
  const [shrugs] = gymEffects([count('blades-down', 14, 4, 3), count('solved-hole', 1, 1)]);
  const m = 16 / 22;
  expect(shrugs!.looks).toBe(23);
  expect(shrugs!.effects.map((e) => [e.correction, e.drawnIn])).toEqual([
    ['blades-down', (14 + 12 * m) / 30],
    ['solved-hole', (1 + 12 * m) / 14],
  ]);
});

it('one lucky set does not lead a list, nor one unlucky one end it for ever', () => {
  const order = (...counts: CorrectionCount[]) => gymEffects(counts)[0]!.effects.map((e) => e.correction);
  const rest = count('one-step-lighter', 30, 15);
  expect(order(count('solved-hole', 1, 0), count('blades-down', 17, 3), rest)[0]).toBe('blades-down');
  expect(order(count('solved-hole', 0, 1), count('blades-down', 3, 12), rest).at(-1)).toBe('blades-down');
});

it('faults that were corrected most stand first; nothing seen is nothing told', () => {
  const other: CorrectionCount = { ...count('chin-in', 9, 9), fault: 'chin-forward' };
  expect(gymEffects([count('blades-down', 2, 1), other]).map((f) => f.fault)).toEqual(['chin-forward', 'shrugs']);
  expect(gymEffects([])).toEqual([]);
});

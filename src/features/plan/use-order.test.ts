import fc from 'fast-check';
import { expect, it } from 'vitest';
import { dropped } from './use-order';

it('what is dropped stands where the other one stood, and nothing else changes its order', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 12 }), fc.nat(), fc.nat(), (n, a, b) => {
      const ids = Array.from({ length: n }, (_, k) => `b${k}`);
      const [id, onto] = [ids[a % n]!, ids[b % n]!];
      const next = dropped(ids, id, onto);
      expect(next[ids.indexOf(onto)]).toBe(id);
      expect(next.filter((i) => i !== id)).toEqual(ids.filter((i) => i !== id));
      expect(dropped(next, id, next[ids.indexOf(id)]!)).toEqual(ids);
    }),
    { seed: 4 },
  );
});

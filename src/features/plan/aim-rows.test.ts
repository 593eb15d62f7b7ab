import { describe, expect, it } from 'vitest';
import { oneLoad, rowOf } from './aim-rows';

const row = (load: number | '') => ({ sets: 2, reps: 8, reserve: '0', load });
describe('rows of planned sets', () => {
  it('a single row has the movement’s load: what it had of its own becomes that, and nothing stays unseen', () => {
    expect(oneLoad([row(20)], 15)).toEqual({ aims: [row('')], load: 20 });
    expect(oneLoad([row('')], 15)).toEqual({ aims: [row('')], load: 15 });
    expect(oneLoad([row(20), row('')], 15)).toEqual({ aims: [row(20), row('')], load: 15 });
  });
  it.each([
    ['kg', 12_500, 12.5],
    ['lb', 11_340, 25],
  ] as const)('are typed as the load is stamped: %s', (unit, loadG, load) => {
    expect(rowOf({ sets: 1, reps: 5, reserve: 2, loadG }, unit)).toEqual({ sets: 1, reps: 5, reserve: '2', load });
    expect(rowOf({ sets: 1, reps: 5, reserve: null, loadG: null }, unit)).toMatchObject({ reserve: '', load: '' });
  });
});

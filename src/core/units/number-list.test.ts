import { expect, it } from 'vitest';
import { readNumberList } from './number-list';

it.each([
  ['5, 10 15', [5, 10, 15]],
  ['10-50 by 10', [10, 20, 30, 40, 50]],
  ['2.5 to 10 by 2.5, 12', [2.5, 5, 7.5, 10, 12]],
  ['10–35 by 10', [10, 20, 30]],
  ['1 2-4 by 1 9', [1, 2, 3, 4, 9]],
  ['0.1-0.5 by 0.1', [0.1, 0.2, 0.3, 0.4, 0.5]],
  ['20-10 by 5', ['20-10by5']],
  ['10-20 by 0', ['10-20by0']],
  ['1-9999 by 1', ['1-9999by1']],
  ['5 ten 15', [5, 'ten', 15]],
  ['10-20', ['10-20']],
  ['', []],
])('%s', (typed, numbers) => expect(readNumberList(typed)).toEqual(numbers));

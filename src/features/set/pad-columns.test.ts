import { describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { WatchEntry } from '@/core/fault/watch-list';
import { likeliest, PAD_COLUMNS, PAD_ROWS, padColumns, padOrder } from './pad-columns';

const seen = (fault: string, weight: number) => ({ fault, weight }) as WatchEntry;

describe.each(BOOK.map((e) => [e.id, faultsOf(e)] as const))('%s', (_, faults) => {
  it('every fault once, in at most four columns that a tablet shows whole', () => {
    const columns = padColumns(faults, []);
    expect(padOrder(faults, []).toSorted()).toEqual(faults.toSorted());
    expect(columns.length).toBeLessThanOrEqual(PAD_COLUMNS);
    for (const column of columns)
      expect(column.flatMap((g) => g.faults).length + (column.length - 1) / 2).toBeLessThanOrEqual(PAD_ROWS);
  });
  it('phases stand in the order of the rep, and say where they go on', () => {
    const groups = padColumns(faults, []).flat();
    const order = ['lifting', 'finish', 'lowering', 'stretch'].filter((p) => groups.some((g) => g.phase === p));
    expect(groups.filter((g) => !g.goesOn).map((g) => g.phase)).toEqual(order);
    groups.forEach((g, i) => g.goesOn && expect(groups[i - 1]!.phase).toBe(g.phase));
  });
  it('the six likeliest have one of every phase, and what was seen comes first', () => {
    const phases = new Set(faults.map((f) => FAULT_BOOK[f].phase).map((p) => (p === 'start' ? 'lifting' : p)));
    const six = likeliest(faults, []).slice(0, 6);
    expect(new Set(six.map((f) => FAULT_BOOK[f].phase).map((p) => (p === 'start' ? 'lifting' : p)))).toEqual(phases);
    const last = likeliest(faults, []).at(-1);
    if (last) expect(likeliest(faults, [seen(last, 0.4)])[0]).toBe(last);
  });
});

import { describe, expect, it } from 'vitest';
import type { Region } from '@/core/body/region-line';
import { bodyOf } from '../../../test/support/fixtures';
import { BOOK, findEntry } from './book';
import { GRIPS, sidesOf, type BookEntry } from './book-entry';
import { usualOptions, withOptions, type EntryOptions } from './entry-options';
import { poseEntry, WHOLE_RANGE } from './pose-entry';
import { USUAL_KIT } from './station-kit';
import { loadedRegion } from './region-of';

const loaded = (e: BookEntry, h = 1.75) => {
  const side = sidesOf(e).at(-1) === 'left' ? 'left' : 'right';
  return loadedRegion(e, poseEntry(e, bodyOf(h), side, WHOLE_RANGE, USUAL_KIT)!, side);
};
const as = (id: string, change: Partial<EntryOptions>) => {
  const e = findEntry(id)!;
  return withOptions(e, { ...usualOptions(e), ...change });
};

describe.each([1.5, 1.75, 2])('the region that geometry and grip load is the one the book names, %d m', (h) => {
  it.each(BOOK.map((e) => [e.id, e] as const))('%s', (_, e) => expect(loaded(e, h).region).toBe(e.target));
});

describe('what loads what (common practice), by changing one thing', () => {
  it.each<[string, Partial<EntryOptions>, Region]>([
    // Curls: palm up the biceps, in or down brachialis and brachioradialis.
    ['barbell-curl', { grip: 'supinated' }, 'biceps-long'],
    ['barbell-curl', { grip: 'pronated' }, 'brachialis'],
    ['seated-curl-from-behind', { grip: 'neutral' }, 'brachialis'],
    // Triceps: at the side the lateral head, palm up the medial one.
    ['palm-up-pushdown', { grip: 'supinated' }, 'triceps-medial'],
    ['palm-up-pushdown', { grip: 'pronated' }, 'triceps-lateral'],
    // Rows: low and close the lower lat, half way out the mid back.
    ['cable-row-level-one-arm', { tuckDeg: 0 }, 'lat-lower'],
    ['cable-row-level-one-arm', { tuckDeg: -35 }, 'mid-back'],
    ['dumbbell-row-hinged', { tuckDeg: 30 }, 'lat-lower'],
    // Flies: down the lower chest, level the mid, up the upper.
    ['cable-fly-high-to-low', { tiltDeg: 60 }, 'chest-lower'],
    ['cable-fly-level', { tiltDeg: 0 }, 'chest-mid'],
  ])('%s with %j: %s', (id, change, region) => expect(loaded(as(id, change)).region).toBe(region));
  it('grips bring the elbow the way practice says: pronated higher, supinated lower than neutral', () => {
    const e = findEntry('chest-supported-row')!;
    const flare = (grip: (typeof GRIPS)[number]) => {
      const { path } = poseEntry(as(e.id, { grip }), bodyOf(1.75), 'right', WHOLE_RANGE, USUAL_KIT)!;
      return path.middle[40]![2] - path.proximal[40]![2];
    };
    expect(flare('pronated')).toBeGreaterThan(flare('neutral') + 0.02);
    expect(flare('supinated')).toBeLessThan(flare('neutral') - 0.02);
  });
  it('every change that is offered leads to another region than the one that is loaded', () => {
    for (const e of BOOK) for (const c of loaded(e).changes) expect(c.to).not.toBe(loaded(e).region);
  });
});

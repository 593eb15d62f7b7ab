import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import type { SetLog } from './set-log';
import { buildSetupPages, changesBetween } from './setup-book';

const OPTIONS = usualOptions(findEntry('cable-fly-level')!);
const setup = (id: string, change: object = {}): SetLog['setups'][number] => ({
  id,
  atMs: Number(id),
  itemId: 'i',
  placement: { hole: 12, standX: 0.3, standZ: 0, yawDeg: 0 },
  solved: null,
  off: false,
  stationId: 's',
  attachmentId: 'a',
  side: 'both',
  options: OPTIONS,
  ...change,
});

describe('what changed since', () => {
  it.each([
    [{}, []],
    [{ placement: { hole: 14, standX: 0.3, standZ: 0, yawDeg: 0 } }, [{ what: 'hole', from: 12, to: 14 }]],
    [
      { placement: { hole: 12, standX: 0.45, standZ: -0.1, yawDeg: 5 } },
      [
        { what: 'mark', from: 0.3, to: 0.45 },
        { what: 'sideways', from: 0, to: -0.1 },
        { what: 'facing', from: 0, to: 5 },
      ],
    ],
    // On another column a hole's number means another height.
    [
      { stationId: 't', placement: { hole: 3, standX: 0.3, standZ: 0, yawDeg: 0 } },
      [{ what: 'column', from: 's', to: 't' }],
    ],
    [{ attachmentId: 'rope' }, [{ what: 'handle', from: 'a', to: 'rope' }]],
    [{ options: { ...OPTIONS, peak: 'mid' } }, [{ what: 'choices' }]],
    [{ placement: null }, []],
  ])('%j', (change, expected) => expect(changesBetween(setup('1'), setup('2', change))).toEqual(expected));
});

it('keeps left and right apart, newest first, the first without a change', () => {
  const pages = buildSetupPages('cable-row-level-one-arm', [
    setup('1', { side: 'left' }),
    setup('2', { side: 'right' }),
    setup('3', { side: 'left', placement: { hole: 9, standX: 0.3, standZ: 0, yawDeg: 0 } }),
  ]);
  expect(pages.map((p) => [p.side, p.entries.map((e) => e.id)])).toEqual([
    ['left', ['3', '1']],
    ['right', ['2']],
  ]);
  expect(pages[0]!.entries.map((e) => e.changed.length)).toEqual([1, 0]);
  expect(buildSetupPages('kickback', [])).toEqual([]);
});

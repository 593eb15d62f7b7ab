import { describe, expect, it } from 'vitest';
import { BOOK, findEntry } from '@/core/book/book';
import { hasNotch } from '@/core/book/entry-options';
import { backOnSheet } from './back-on-sheet';

const SEAT = { from: { u: 0, v: 100 }, to: { u: 40, v: 100 } };
const BACK = { from: { u: 0, v: 100 }, to: { u: -40, v: 20 } };
const PAD = { from: { u: 10, v: 10 }, to: { u: 50, v: 60 } };

describe('the bench’s back that is taken hold of', () => {
  it('runs from the hips to its top, the pad under an arm from the elbow to the armpit', () => {
    expect(backOnSheet(findEntry('incline-dumbbell-curl')!, [SEAT, BACK], null)).toEqual(BACK);
    const onPad = BOOK.find((e) => e.armOn === 'bench')!;
    expect(backOnSheet(onPad, [SEAT], PAD)).toEqual({ from: PAD.to, to: PAD.from });
  });
  it.each(['cable-fly-level', 'barbell-curl', 'leg-extension'])('%s has none', (id) =>
    expect(backOnSheet(findEntry(id)!, [SEAT, BACK], null)).toBeNull(),
  );
  it('wherever one is drawn that a notch sets, the movement has a notch', () => {
    for (const e of BOOK.filter((x) => x.posture.kind === 'lying' && x.ruled.some((r) => r.setting === 'notch')))
      expect(hasNotch(e), e.id).toBe(true);
  });
});

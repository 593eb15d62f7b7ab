import { describe, expect, it } from 'vitest';
import { REGIONS, type Region } from '@/core/body/region-line';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import { MACHINE_KINDS } from '@/core/kit/machine';
import { EVERYTHING } from '../../../test/support/everything';
import { sampled } from '../../../test/support/fixtures';
import { BOOK, findEntry } from './book';
import { chooseMovements, needsOf, type ChooseInput } from './choose';

const ALL = EVERYTHING;
const without = (...kinds: string[]): ChooseInput => ({
  ...ALL,
  gym: {
    ...ALL.gym,
    kinds: KIT_KINDS.filter((k) => !kinds.includes(k)),
    machines: MACHINE_KINDS.filter((k) => !kinds.includes(k)),
  },
});

describe('choosing by region', () => {
  it.each(sampled(REGIONS.filter((r) => BOOK.some((e) => e.target === r && e.group !== 'before'))))(
    '%s: with everything at hand nothing is refused, and direct movements lead',
    (region) => {
      const list = chooseMovements(region, ALL);
      expect(list.filter((c) => c.objection)).toEqual([]);
      expect(list[0]!.direct).toBe(true);
      for (const direct of [true, false]) {
        const scores = list.filter((c) => c.direct === direct).map((c) => c.score);
        expect(scores).toEqual(scores.toSorted((a, b) => b - a));
      }
      expect(list.findIndex((c) => !c.direct)).not.toBe(0);
    },
  );
  it('every region of the trade is served by something', () => {
    // Calves and the trunk against turning are only worked beside others in this book.
    for (const r of REGIONS) expect(BOOK.some((e) => e.target === r || e.secondary.includes(r))).toBe(true);
  });
  it('without a preacher its curls are greyed, with the stand-in named', () => {
    const list = chooseMovements('biceps-short', without('preacher'));
    const seated = list.find((c) => c.entry.id === 'preacher-curl-pressed-together')!;
    expect([seated.objection, seated.standIns]).toEqual([
      { kind: 'kit', missing: 'preacher' },
      ['incline-bench-cable-curl'],
    ]);
    expect(list.at(-1)!.objection).not.toBeNull();
    expect(list.find((c) => c.entry.id === 'incline-bench-cable-curl')!.objection).toBeNull();
  });
  it('only dumbbells: overhead and lying extensions before kickbacks', () => {
    const ids = ['triceps-long', 'triceps-lateral']
      .flatMap((r) => chooseMovements(r as 'triceps-long', without('column', 'machine')))
      .filter((c) => !c.objection && c.direct)
      .sort((a, b) => b.score - a.score)
      .map((c) => c.entry.id);
    expect(ids.indexOf('kickback')).toBe(ids.length - 1);
    expect(ids).toContain('lying-extension');
  });
  it('a noted low back greys unsupported hinges, not supported rows', () => {
    const list = chooseMovements('mid-back', { ...ALL, notes: ['low-back'] });
    const of = (id: string) => list.find((c) => c.entry.id === id)!.objection;
    expect(of('dumbbell-row-hinged')).toEqual({ kind: 'note', note: 'low-back' });
    expect(of('chest-supported-row')).toBeNull();
  });
  it('a range too narrow greys what needs more of it', () => {
    const list = chooseMovements('quadriceps', {
      ...ALL,
      range: { ...ALL.range, limits: { left: { 'knee.flexion': 40 }, right: { 'knee.flexion': 40 } } },
    });
    expect(list.find((c) => c.entry.id === 'leg-press')!.objection).toEqual({ kind: 'solver', reason: 'range' });
  });
  it('kit is asked for by what the movement stands on', () => {
    expect(needsOf(findEntry('chest-supported-row')!)).toEqual(['dumbbells', 'bench']);
    expect(needsOf(findEntry('pull-up-band-assisted')!)).toEqual(['band']);
    for (const id of ['preacher-curl-one-arm', 'preacher-curl-neutral'])
      expect(needsOf(findEntry(id)!)).toEqual(['dumbbells', 'preacher']);
    expect(needsOf(findEntry('landmine-row-square')!)).toEqual(['landmine', 'plates']);
  });
  it('says how far it is', () => {
    const seen: number[] = [];
    chooseMovements('calf', ALL, (done, of) => seen.push(done / of));
    expect(seen.at(-1)).toBe(1);
  });
});

describe('ranking by demand and range (common practice)', () => {
  const ranked = (region: Region): string[] =>
    chooseMovements(region, ALL)
      .filter((c) => c.direct)
      .map((c) => c.entry.id);
  it('a strap row is not first for the mid back, nor dumbbell rows last', () => {
    const ids = ranked('mid-back');
    expect(ids[0]).not.toBe('strap-row');
    expect(ids.at(-1)).not.toMatch(/^dumbbell-row/);
  });
  it('the kickback is last for the triceps’ lateral head, the band row for the mid back', () => {
    expect(ranked('triceps-lateral').at(-1)).toBe('kickback');
    expect(ranked('mid-back').at(-1)).toBe('band-row');
  });
  it('a cable fly goes before a dumbbell fly, which rests where the hands are over the shoulders', () => {
    for (const [region, cable, dumbbell] of [
      ['chest-mid', 'cable-fly-level', 'dumbbell-fly-flat'],
      ['chest-upper', 'cable-fly-incline', 'dumbbell-fly-incline'],
      ['chest-lower', 'cable-fly-high-to-low', 'dumbbell-fly-block-declined'],
    ] as const)
      expect(ranked(region).indexOf(cable)).toBeLessThan(ranked(region).indexOf(dumbbell));
  });
  it('says what sets each apart: demand and range in shares, the score their product', () => {
    for (const c of chooseMovements('lat-lower', ALL)) {
      expect(c.score).toBeCloseTo(c.demand * c.covered, 12);
      expect(['demand', 'range']).toContain(c.by);
    }
    // Arms that begin overhead stretch a lat; a hanging dumbbell's do not.
    const stretched = (id: string): number =>
      chooseMovements('lat-lower', ALL).find((c) => c.entry.id === id)!.stretched;
    expect(stretched('pulldown-one-arm-underhand')).toBeGreaterThan(0.5);
    expect(stretched('dumbbell-row-one-arm')).toBeLessThan(0.3);
  });
});

import { describe, expect, it } from 'vitest';
import { REGIONS, type Region } from '@/core/body/region-line';
import { CLIENT_NOTES, type ClientNote } from '@/core/body/client-note';
import { BOOK, entryOf } from '@/core/book/book';
import { needsOf as kitNeeds } from '@/core/book/choose';
import { brokenRules, isKept } from '@/core/plan/session-order';
import { blocksSeconds } from '@/core/plan/turns';
import { inOrder, proposeSession, type ProposeInput } from '@/core/propose/propose';
import { SETS } from '@/core/propose/session-value';
import { MUSCLE_REGIONS, MUSCLES, muscleOf, USUAL_RULES } from '@/core/week/muscle';
import { weekSets, type MovementSets } from '@/core/week/week-sets';
import { firstGoals } from '@/features/plan/goal-picker';
import { seeded } from './support/fixtures';
import { askProposal } from './support/ask-proposal';
import { EVERYTHING } from './support/everything';

const orderOf = (input: ProposeInput, p: ReturnType<typeof proposeSession>) =>
  inOrder(input, new Map(p.movements.map((m) => [m.id, m.sets])), p.offers);
const trained = REGIONS.filter((r) => BOOK.some((e) => e.target === r && e.group !== 'before'));
const weekWith = (sets: readonly Partial<MovementSets>[]): ProposeInput['weeks'] => ({
  ...askProposal().weeks,
  week: weekSets(
    sets.map((s) => ({ target: 'chest-upper', secondary: [], side: 'both', done: 6, planned: 0, ...s })),
    USUAL_RULES,
  ),
});

describe('proposals of every kind', () => {
  it('keep the time, the rules, the kit, the notes and what is asked for, and are the same again (seeded)', () => {
    const random = seeded(31);
    const some = <T>(of: readonly T[], share: number): T[] => of.filter(() => random() < share);
    let proposed = 0;
    for (let k = 0; k < 12; k++) {
      const goals = some(trained, 0.15);
      if (goals.length === 0) continue;
      const kinds = some(EVERYTHING.gym.kinds, 0.75);
      const machines = some(EVERYTHING.gym.machines, 0.6);
      const notes: ClientNote[] = some(CLIENT_NOTES, 0.2);
      const gym = { ...EVERYTHING.gym, kinds, machines, columns: random() < 0.2 ? [] : EVERYTHING.gym.columns };
      const input = askProposal({
        ...{ goals, minutes: 20 + Math.floor(random() * 70), isFirstMonth: random() < 0.4 },
        unfelt: some(goals, 0.3),
        choosing: { ...EVERYTHING, notes, gym },
      });
      const p = proposeSession(input);
      const order = orderOf(input, p);
      const says = `${k}: ${goals.join()}; ${notes.join()}; ${p.movements.map((m) => m.id).join()}`;
      expect(blocksSeconds(order), says).toBeLessThanOrEqual(input.minutes * 60);
      expect(
        brokenRules(order).filter((r) => isKept(r.rule)),
        says,
      ).toEqual([]);
      const has = new Set<string>([...kinds, ...machines]);
      for (const { id, sets } of p.movements) {
        const entry = entryOf(id);
        if (entry.work === 'lift') expect(goals, says).toContain(entry.target);
        expect(
          kitNeeds(entry).filter((n) => !has.has(n)),
          says,
        ).toEqual([]);
        expect(sets).toBeGreaterThanOrEqual(entry.work === 'lift' ? SETS.fewest : 1);
        expect(sets).toBeLessThanOrEqual(SETS.most);
      }
      expect(new Set(p.movements.map((m) => m.id)).size).toBe(p.movements.length);
      expect(proposeSession(input).movements).toEqual(p.movements);
      proposed += p.movements.length;
    }
    expect(proposed).toBeGreaterThan(30);
  });
  it('more time holds no fewer sets', () => {
    const goals = [...MUSCLE_REGIONS.chest, ...MUSCLE_REGIONS.triceps];
    const setsIn = (minutes: number): number =>
      proposeSession(askProposal({ goals, minutes })).movements.reduce((sum, m) => sum + m.sets, 0);
    const by = [15, 25, 40, 60].map(setsIn);
    expect(by).toEqual(by.toSorted((a, b) => a - b));
    expect(by[0]).toBeGreaterThan(0);
  });
  it('common practice: what the week has had enough of gives way to what it lacks', () => {
    const goals: readonly Region[] = ['chest-upper', 'deltoid-side'];
    const sets = (weeks: ProposeInput['weeks'], region: Region): number =>
      proposeSession(askProposal({ goals, weeks, minutes: 20 }))
        .movements.filter((m) => entryOf(m.id).target === region)
        .reduce((sum, m) => sum + m.sets, 0);
    const full = weekWith([{ done: 20 }]);
    expect(sets(full, 'chest-upper')).toBeLessThan(sets(weekWith([]), 'chest-upper'));
    expect(sets(full, 'deltoid-side')).toBeGreaterThanOrEqual(sets(weekWith([]), 'deltoid-side'));
    expect(sets(weekWith([{ target: 'deltoid-side', done: 16 }]), 'chest-upper')).toBeGreaterThan(2);
  });
  it('common practice: one region is worked over more than one third of its range', () => {
    const goals: readonly Region[] = ['chest-mid'];
    const p = proposeSession(askProposal({ goals, minutes: 30 }));
    const spans = p.movements.map((m) => p.offers.find((o) => o.id === m.id)!.spans);
    const third = (k: number): boolean => spans.some((s) => s.some((x) => x.from < (k + 1) / 3 && x.to > k / 3));
    expect([third(0), third(1), third(2)].filter(Boolean).length).toBeGreaterThan(1);
  });
});

describe('what is trained for, before anybody has said', () => {
  it('what was chosen last; else the muscles that the week lacks most of, all their parts', () => {
    const { weeks } = askProposal();
    expect(firstGoals({ goals: ['core'], weeks })).toEqual(['core']);
    const lacking = firstGoals({ goals: [], weeks: weekWith([{ target: 'chest-upper', done: 20 }]) });
    expect(new Set(lacking.map(muscleOf)).size).toBe(4);
    expect(lacking.map(muscleOf)).not.toContain('chest');
    expect(lacking).toEqual(expect.arrayContaining(['lat-upper', 'lat-lower']));
    const all = MUSCLES.map((m) => ({ target: MUSCLE_REGIONS[m][0], done: 40 }));
    expect(firstGoals({ goals: [], weeks: weekWith(all) })).toEqual([]);
  });
});

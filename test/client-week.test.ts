import { describe, expect, it } from 'vitest';
import { caseSchema } from '@/contract/case';
import { coverWeek } from '@/core/week/week-coverage';
import { USUAL_RULES } from '@/core/week/muscle';
import { findClient } from '@/data/queries/clients';
import { choosingFor } from '@/server/choosing';
import { loadChanges } from '@/server/changes';
import { loadClientWeek, saveWeekRules } from '@/server/client-week';
import { skipItem } from '@/server/planned-items';
import { toQuestion } from '@/solver/to-question';
import { questionOf } from './support/fixtures';
import { makeLog } from './support/make-log';
import { asOwner, at, NOW, world } from './support/world';

const ITEMS = ['sefina-2026-11-24-0', 'sefina-2026-11-24-1'] as const;
const week = (db = world(), nowMs = NOW, client = 'sefina') => loadClientWeek(at(db, nowMs), client, '2026-11-24')!;
const of = (w: ReturnType<typeof week>, muscle: string) => w.sets.find((m) => m.muscle === muscle)!;

describe('a client’s week', () => {
  it('by hand: two flies of three sets each, what was done of them, what is skipped, and what is over', () => {
    const db = world();
    expect(of(week(db), 'chest')).toMatchObject({ direct: 6, done: 0, all: 6, stands: 'below' });
    expect(of(week(db), 'chest').byRegion).toEqual({ 'chest-upper': 3, 'chest-mid': 0, 'chest-lower': 3 });
    makeLog(db, ITEMS[0]).set({});
    expect(of(week(db), 'chest')).toMatchObject({ done: 1, all: 6 });
    skipItem(at(db), [ITEMS[1]], 'no time');
    expect(of(week(db), 'chest')).toMatchObject({ done: 1, all: 3 });
    // Two days later what was left is not planned any more.
    expect(of(week(db, NOW + 48 * 3_600_000), 'chest')).toMatchObject({ done: 1, all: 1 });
    expect(loadClientWeek(at(db), 'sefina', '2026-12-24')).toMatchObject({ sessions: 0, used: [] });
  });
  it('what wakes up or stretches is no set of a muscle’s', () => {
    const w = week(world(), NOW, 'anselm');
    expect(of(w, 'chest')).toMatchObject({ direct: 6, all: 6 });
    expect(w.used.map((u) => u.setupCase.movement)).not.toContain('door-frame-chest-stretch');
  });
  it('is counted by the rules that were kept, for everybody; a wrong one is told at its field', () => {
    const db = world();
    const rules = { ...USUAL_RULES, chest: { indirect: 0.25, least: 2, most: 6 } };
    expect(saveWeekRules(at(db), rules).ok).toBe(true);
    expect(of(week(db), 'chest').stands).toBe('within');
    expect(loadChanges(asOwner(db), null)!.changes.map((c) => [c.what, c.after])).toContainEqual([
      ...['Sets of a week, Chest, least', '2'],
    ]);
    const wrong = saveWeekRules(at(db), { ...rules, calf: { indirect: 0.5, least: 9, most: 3 } });
    expect(wrong).toMatchObject({ ok: false, issues: [{ path: 'calf.most' }] });
  });
  it('its range coverage follows the set-ups that were used: the place on record, not the solved one', () => {
    const db = world();
    const { used, choosing } = week(db);
    expect(used).toHaveLength(2);
    expect(used[0]!.placement).not.toBeNull();
    const asked = used.map((u) => ({ ...u, question: toQuestion(caseSchema.parse(u.setupCase)) }));
    const spans = (placement: (typeof asked)[0]['placement']) =>
      coverWeek([{ ...asked[0]!, placement }], choosing!)[0]!.movements[0]!.spans;
    const stood = asked[0]!.placement!;
    expect(spans({ ...stood, hole: stood.hole - 8 })).not.toEqual(spans(stood));
  });
});

describe('common practice of the range', () => {
  const db = world();
  const input = choosingFor(at(db), findClient(db, 'tevita') ?? findClient(db, 'sefina')!, 'tidewater');
  const cover = (...ids: string[]) =>
    coverWeek(
      ids.map((id) => ({
        question: questionOf(id, 1.75, id.includes('one-arm') ? { side: 'right' } : {}),
        placement: null,
      })),
      input,
    );
  it.each([
    ['dumbbell-fly-flat', 'finish', 'cable-fly-level'],
    ['dumbbell-fly-incline', 'finish', 'cable-fly-low-to-high'],
    ['dumbbell-fly-block-declined', 'finish', 'cable-fly-high-to-low'],
    ['dumbbell-side-raise', 'stretch', 'cross-body-cable-raise'],
  ] as const)('%s leaves the %s, which %s covers', (id, where, by) => {
    expect(cover(id)[0]!.gaps.find((g) => g.where === where)?.fill).toContain(by);
    const both = coverWeek(
      [id, by].map((m) => ({
        question: questionOf(m, 1.75, m === 'cross-body-cable-raise' ? { side: 'right' } : {}),
        placement: null,
      })),
      input,
    );
    expect(both[0]!.gaps.map((g) => g.where)).not.toContain(where);
  });
  it('two rows to the hip load the lats alike, where they are shortened', () => {
    const [lats] = cover('dumbbell-row-one-arm', 'barbell-row-one-arm');
    expect(lats!.duplicates).toEqual([{ ids: ['dumbbell-row-one-arm', 'barbell-row-one-arm'], where: 'finish' }]);
  });
});

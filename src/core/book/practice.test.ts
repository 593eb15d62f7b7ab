import { describe, expect, it } from 'vitest';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { FAULT_CODES } from '@/core/movement/fault-code';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../../test/support/fixtures';
import { PRACTICE_TEXT } from '@/messages/practices';
import { BOOK, findEntry } from './book';
import { sidesOf, type BookEntry } from './book-entry';
import { faultsOf } from './entry-faults';
import { poseEntry, WHOLE_RANGE } from './pose-entry';
import { USUAL_KIT } from './station-kit';
import { ownSideOf, practicesOf, PRACTICE_QUESTIONS, withPractices } from './practice';

const ask = (e: BookEntry, statureM = 1.75) => {
  const a = answerOf(e, {
    body: bodyOf(statureM),
    side: sidesOf(e).at(-1)!,
    loadKg: 15,
    column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
  });
  if (!a.ok) throw new Error(`${e.id}: ${a.reason}`);
  return a;
};
const preset = (id: string, question: string, notes: Parameters<typeof practicesOf>[1], finish = 1) =>
  practicesOf(findEntry(id)!, notes, finish).find((s) => s.question === question)?.preset;

describe('practices', () => {
  it('every question is raised by some movement, has words for every side, and a reason', () => {
    for (const q of PRACTICE_QUESTIONS) {
      const asked = BOOK.flatMap((e) => practicesOf(e, [], 1)).find((s) => s.question === q)!;
      expect(asked.options).toContain(asked.preset);
      expect(Object.keys(PRACTICE_TEXT[q].options).sort()).toEqual([...asked.options].sort());
      expect(PRACTICE_TEXT[q].why.length).toBeGreaterThan(20);
    }
  });
  it.each(sampled(BOOK).map((e) => [e.id, e] as const))('%s solves or fits by every side of every question', (_, e) => {
    // The side that leaves the movement as the book has it is one question for all of them.
    const others = practicesOf(e, [], 0.1).flatMap(({ question, options }) =>
      options.filter((o) => o !== ownSideOf(question)).map((o) => withPractices(e, { [question]: o })),
    );
    for (const asked of [e, ...others]) expect(Number.isFinite(ask(asked).metrics.evenness)).toBe(true);
  });
  it('our side follows the notes and the curve', () => {
    expect(preset('dumbbell-row-one-arm', 'row-bottom', [])).toBe('reach');
    expect(preset('dumbbell-row-one-arm', 'row-bottom', ['first-month'])).toBe('keep-set');
    expect(preset('dumbbell-side-raise', 'side-raise-hand', ['shoulder'])).toBe('thumb-up');
    expect([preset('barbell-curl', 'range-top', [], 0.1), preset('barbell-curl', 'range-top', [], 0.6)]).toEqual([
      'stop-at-ninety',
      'full',
    ]);
    expect(preset('barbell-curl', 'row-base', [])).toBeUndefined();
  });
  it('sides do what they say: a reach starts further out, nine tenths ends sooner, locked elbows are straight', () => {
    const arm = (e: BookEntry) => poseEntry(e, bodyOf(1.75), 'right', WHOLE_RANGE, USUAL_KIT)!;
    const row = findEntry('cable-row-level-one-arm')!;
    expect(
      arm(withPractices(row, { 'row-bottom': 'reach' })).path.contact[0]![0] - arm(row).path.contact[0]![0],
    ).toBeCloseTo(0.03, 3);
    const fly = findEntry('dumbbell-fly-flat')!;
    const short = withPractices(fly, { 'range-top': 'stop-at-ninety' });
    expect(arm(short).range.to).toBe(0.9);
    // The part left out is the part that rests.
    expect(ask(short).metrics.restShare).toBeLessThan(ask(fly).metrics.restShare);
    const locked = arm(withPractices(findEntry('rear-delt-cable-fly-one-arm')!, { 'rear-delt-elbows': 'locked' })).path;
    const reach = Math.hypot(...[0, 1, 2].map((k) => locked.distal[20]![k]! - locked.proximal[20]![k]!));
    expect(reach).toBeCloseTo(1.75 * (0.186 + 0.146), 6);
    const knee = ask(withPractices(findEntry('dumbbell-row-one-arm')!, { 'row-base': 'knee-on-bench' })).posed.pose;
    expect(knee.leg.left.knee[1]).toBeGreaterThan(0.4);
  });
  it('aiming for the armpit loads the upper lat, by the hip the lower', () => {
    const row = findEntry('cable-row-level-one-arm')!;
    expect([row.target, withPractices(row, { 'lat-aim': 'neutral-to-armpit' }).target]).toEqual([
      'lat-lower',
      'lat-upper',
    ]);
  });
});

it('elbow past the body is asked only of pulls that take it there; kept for another one, it changes nothing', () => {
  const asked = (id: string) => practicesOf(findEntry(id)!, [], 1).some((p) => p.question === 'elbow-past-body');
  expect(['cable-row-level-one-arm', 'cable-row-high-one-arm', 'straight-arm-pushdown-one-arm'].map(asked)).toEqual(
    Array(3).fill(true),
  );
  expect(['pulldown-overhand', 'pulldown-side-lying', 'straight-arm-pushdown-bar'].map(asked)).toEqual(
    Array(3).fill(false),
  );
  const e = findEntry('pulldown-side-lying')!;
  expect(withPractices(e, { 'elbow-past-body': 'beside' })).toBe(e);
});

describe('faults of the book', () => {
  it('every fault of the trade’s list belongs to some movement', () => {
    const used = new Set(BOOK.flatMap(faultsOf));
    expect(FAULT_CODES.filter((f) => !used.has(f))).toEqual([]);
  });
  it.each([
    ['preacher-curl-neutral', 'pad-gap'],
    ['leg-extension', 'knee-gap'],
    ['seated-leg-curl', 'knees-lift'],
    ['barbell-row-hinged', 'back-rounds'],
    ['dumbbell-side-raise', 'raise-shrugs'],
    ['rear-delt-cable-row', 'arm-tucks'],
    ['pulldown-overhand', 'trunk-rocks'],
    ['machine-press', 'elbows-uneven'],
    ['rope-pushdown', 'rests-in-lockout'],
    ['rack-pull', 'bounces'],
  ] as const)('%s is prone to %s', (id, fault) => expect(faultsOf(findEntry(id)!)).toContain(fault));
  it('corrections come in the order set-up, load, cue, range, refer, but where the trade has its own order', () => {
    for (const f of FAULT_CODES) expect(new Set(FAULT_BOOK[f].corrections).size).toBe(FAULT_BOOK[f].corrections.length);
    for (const f of FAULT_CODES)
      if (FAULT_BOOK[f].corrections.includes('refer')) expect(FAULT_BOOK[f].corrections.at(-1)).toBe('refer');
  });
});

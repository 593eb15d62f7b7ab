import { describe, expect, it } from 'vitest';
import { bodyOf, COLUMN, questionOf, ROOM } from '../../../test/support/fixtures';
import { answerQuestion } from './answer-question';
import { entryOf } from './book';
import { poseKnown, poseQuestion } from './pose-question';
import { limbOn, searchOf } from './posed-question';
import { askQuestion, lacksPulley, withChoices } from './question';
import { findStandIn } from './stand-in';

const single = { ...COLUMN, kind: 'single' } as never;

describe('a question', () => {
  it('is as usual where nothing is asked otherwise', () => {
    const q = askQuestion(entryOf('kickback'), { body: bodyOf(1.75) });
    expect(q).toMatchObject({ side: 'right', loadKg: 15, column: null, fixed: {}, lastUsed: null });
  });
  it('asked with other choices keeps the book’s own beside what was chosen', () => {
    const q = questionOf('barbell-curl');
    const short = withChoices(q, { ...q.options, stopAt: 0.8 }, 'left');
    expect([short.side, short.entry.stopAt, short.own]).toEqual(['left', 0.8, q.own]);
    expect(withChoices(short, q.options, 'both')).toEqual(q);
  });
  it.each([
    ['sides', questionOf('kickback', 1.75, { side: 'both' })],
    ['no-column', { ...questionOf('cable-fly-level'), column: null }],
    ['one-pulley', questionOf('cable-fly-incline', 1.75, { column: single })],
    ['range', questionOf('barbell-curl', 1.75, { limits: { right: { 'elbow.flexion': 20 } } })],
  ])('that cannot be answered says why: %s', (reason, q) =>
    expect(answerQuestion(q)).toMatchObject({ ok: false, reason }),
  );
  it('poses what works and nothing else; a limb or a search that is not there is a mistake of the program', () => {
    const one = poseKnown(questionOf('cable-fly-level', 1.75, { side: 'left' }));
    expect([one.sides, Object.keys(one.limbs), one.shown]).toEqual([['left'], ['left'], 'left']);
    expect(() => limbOn(one, 'right')).toThrow('right side does not work');
    expect(() => searchOf(poseKnown(questionOf('barbell-curl')))).toThrow('no place at a column');
    expect(poseQuestion(questionOf('barbell-curl', 1.75, { limits: { left: { 'elbow.flexion': 20 } } }))).toBeNull();
  });
});

describe('on a column with one pulley', () => {
  it.each([
    ['cable-fly-level', 'cable-fly-level', 'right'],
    ['cable-fly-low-to-high', 'cable-fly-low-to-high', 'right'],
    ['cable-fly-incline', 'dumbbell-fly-incline', 'both'],
    ['cable-fly-decline', 'cable-fly-high-to-low', 'right'],
    ['cable-squeeze-press', 'close-dumbbell-squeeze-press', 'both'],
    ['crossed-reverse-fly', 'reverse-machine-fly', 'both'],
  ] as const)('%s gives way to %s, done with %s', (id, instead, side) => {
    const blocked = questionOf(id, 1.75, { column: single, room: ROOM });
    expect(lacksPulley(blocked)).toBe(true);
    const found = findStandIn(blocked)!;
    expect([found.entry.id, found.posed.question.side]).toEqual([instead, side]);
    expect(found.solution === null).toBe(found.entry.load.kind !== 'cable');
  });
});

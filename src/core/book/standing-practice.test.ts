import { describe, expect, it } from 'vitest';
import { PLAN_PRACTICE_TEXT, STANDING_TEXT } from '@/messages/practices';
import { BOOK, entryOf } from './book';
import { practicesOf } from './practice';
import {
  NO_STANDING,
  planPractice,
  planSide,
  sidesOfStanding,
  STANDING_QUESTIONS,
  standingPractices,
  worthOfKind,
  type KeptSides,
  type Standing,
  type StandingQuestion,
} from './standing-practice';

const ROW = entryOf('dumbbell-row-one-arm');
const by = (question: StandingQuestion, side: string, sinceMs = 10) => [{ question, side, sinceMs }];
const ofClient = (...s: Parameters<typeof by>): Standing => ({ client: by(...s), trainer: [] });
const ofTrainer = (...s: Parameters<typeof by>): Standing => ({ client: [], trainer: by(...s) });
const kept = (side: 'reach' | 'keep-set', atMs = 5): KeptSides => ({ practices: { 'row-bottom': side }, atMs });
const Q = 'row-bottom';

describe('which side stands', () => {
  const both: Standing = { client: by(Q, 'reach'), trainer: by(Q, 'keep-set') };
  it.each<[string, Standing, KeptSides | null, string | undefined, 'client' | 'trainer' | null | undefined]>([
    ['nothing chosen', NO_STANDING, null, undefined, undefined],
    ['the trainer’s', ofTrainer(Q, 'keep-set'), null, 'keep-set', 'trainer'],
    ['the client’s before the trainer’s', both, null, 'reach', 'client'],
    ['set up before with our side', ofTrainer(Q, 'keep-set'), kept('reach'), 'keep-set', 'trainer'],
    ['set up before with another side on purpose', ofTrainer(Q, 'reach'), kept('keep-set'), 'keep-set', null],
    ['the client’s is newer than any set-up', ofClient(Q, 'reach'), kept('keep-set'), 'reach', 'client'],
    ['set up since', ofClient(Q, 'reach'), kept('keep-set', 20), 'keep-set', null],
    ['set up since with the chosen side', ofClient(Q, 'reach'), kept('reach', 20), 'reach', 'client'],
    ['a side that there is no more', ofClient(Q, 'sideways'), null, undefined, undefined],
  ])('%s', (_, standing, was, side, who) => {
    const found = standingPractices(ROW, [], standing, was);
    expect([found.practices[Q], found.by[Q]]).toEqual([side, who]);
  });
  it('a note stands above the trainer’s choice and under the client’s own; what it rules out stands nowhere', () => {
    const noted = (s: Standing, q: StandingQuestion = Q) =>
      standingPractices(ROW, ['shoulder', 'first-month', 'abdomen-or-groin'], s).practices[q as typeof Q];
    expect(noted(ofTrainer(Q, 'reach'))).toBeUndefined();
    expect(noted(ofClient(Q, 'reach'))).toBe('reach');
    for (const of of [ofTrainer, ofClient]) expect(noted(of('row-base', 'knee-on-bench'), 'row-base')).toBeUndefined();
    expect(noted(ofTrainer('row-base', 'forearm-on-thigh'), 'row-base')).toBe('forearm-on-thigh');
  });
  it('a variant’s own side gives way to a set-up only', () => {
    const own = { 'row-bottom': 'keep-set' } as const;
    expect(standingPractices(ROW, [], ofClient(Q, 'reach'), null, own).practices[Q]).toBe('keep-set');
    expect(standingPractices(ROW, [], ofClient(Q, 'reach'), kept('reach'), own).practices[Q]).toBe('reach');
  });
  it('asks no movement what it does not raise (every movement, every side)', () => {
    for (const e of BOOK) {
      const raised = new Set<string>(practicesOf(e, [], 1).map((p) => p.question));
      for (const q of STANDING_QUESTIONS)
        for (const side of sidesOfStanding(q))
          expect(Object.keys(standingPractices(e, [], ofClient(q, side)).practices)).toEqual(raised.has(q) ? [q] : []);
    }
  });
});

describe('plans', () => {
  it('the client’s, the trainer’s, ours; one that there is no more is passed over', () => {
    expect(planSide('deltoid-share', NO_STANDING)).toBe('half-side');
    expect(planSide('deltoid-share', ofTrainer('deltoid-share', 'mostly-side'))).toBe('mostly-side');
    const both = { ...ofTrainer('kickbacks', 'worth-it'), client: by('kickbacks', 'gone') };
    expect(planPractice(both)).toMatchObject({ kickbacks: 'worth-it', 'opposite-muscles': 'when-short' });
    expect(worthOfKind(entryOf('kickback'), planPractice(both))).toBe('worth-it');
    expect(worthOfKind(entryOf('rope-pushdown'), planPractice(both))).toBe('as-measured');
  });
  it('every question has words for every side, and each kind has a movement', () => {
    for (const q of STANDING_QUESTIONS)
      expect(Object.keys(STANDING_TEXT[q].options).sort()).toEqual([...sidesOfStanding(q)].sort());
    for (const kind of Object.keys(PLAN_PRACTICE_TEXT).slice(2))
      expect(BOOK.some((e) => (e.raises as readonly string[]).includes(kind))).toBe(true);
  });
});

import { describe, expect, it } from 'vitest';
import { keepSpotting, loadSpotting } from '@/server/spotting';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import { asOwner, at, NOW, world } from './support/world';

const ROW = 'cable-row-level-one-arm';
const answer = (id: string, more: Partial<SpottingAnswer> = {}): SpottingAnswer => ({
  ...{ id, atMs: NOW, movement: ROW, shown: { fault: 'shrugs', size: 0.03 }, said: null, tookMs: 2000 },
  ...more,
});
const keep = (uc: ReturnType<typeof at>, ...answers: unknown[]) => {
  const r = keepSpotting(uc, answers);
  if (!r.ok) throw new Error(r.issues[0]!.message);
  return r.kept!;
};

describe('answers of fault-spotting practice', () => {
  it('are kept as they are, once, oldest first, for who gave them alone', () => {
    const db = world();
    const [a, b] = [answer('a'), answer('b', { atMs: NOW - 5, shown: null, said: 'trunk-turns' })];
    expect(keep(at(db), a, b)).toEqual({ kept: ['a', 'b'], refused: {} });
    expect(keep(at(db), { ...a, said: 'shrugs' }).kept).toEqual(['a']);
    expect(loadSpotting(at(db), {}).answers).toEqual([b, a]);
    expect(loadSpotting(asOwner(db), {}).answers).toEqual([]);
  });
  it.each([
    ['said', answer('x', { said: 'rests-in-lockout' })],
    ['shown.fault', answer('x', { shown: { fault: 'pad-gap', size: 0.05 } })],
    ['shown.fault', answer('x', { shown: { fault: 'stack-touches', size: 0.3 } })],
    ['shown.size', answer('x', { shown: { fault: 'shrugs', size: 0.09 } })],
    ['shown.size', answer('x', { shown: { fault: 'line-off-arm', size: 2 } })],
    ['tookMs', answer('x', { tookMs: -1 })],
    ['movement', { ...answer('x'), movement: 'handstand' }],
    ['id', { ...answer('x'), id: 'two words' }],
  ])('one that is wrong is named at %s and holds up no other', (path, wrong) => {
    const db = world();
    const told = keep(at(db), wrong, answer('good'));
    expect(told.kept).toEqual(['good']);
    expect(Object.values(told.refused)).toEqual([expect.stringContaining(`${path}: `)]);
    expect(loadSpotting(at(db), {}).answers).toHaveLength(1);
  });
  it('are never changed and never taken away', () => {
    const db = world();
    keep(at(db), answer('a'));
    expect(() => db.exec("UPDATE spotting_answer SET said_fault = 'shrugs'")).toThrow('append-only');
    expect(() => db.exec('DELETE FROM spotting_answer')).toThrow('append-only');
  });
  it('of a later program that this one does not know are left out, and what is no list is refused', () => {
    const db = world();
    db.exec(
      `INSERT INTO spotting_answer (id, account_id, at_ms, movement, shown_fault, shown_size, said_fault, took_ms)
       VALUES ('new', '${at(db).actor.id}', 1, '${ROW}', 'levitates', 1, NULL, 9)`,
    );
    expect(loadSpotting(at(db), {}).answers).toEqual([]);
    for (const wrong of [null, { id: 'a' }, Array(201).fill(answer('a'))])
      expect(keepSpotting(at(db), wrong).ok).toBe(false);
  });
});

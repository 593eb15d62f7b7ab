import { describe, expect, it } from 'vitest';
import { answerQuestion, posedOf } from '@/core/book/answer-question';
import { BOOK } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { askQuestion } from '@/core/book/question';
import { buildOffAxisTrack, resolveOffAxis } from '@/core/mechanics/off-axis';
import { bodyOf, COLUMN, ROOM } from './support/fixtures';

describe('an upper arm on a pad asks nothing of the shoulder, on a cable and with a weight', () => {
  const body = bodyOf(1.75);
  const joints = (id: string): readonly string[] => {
    const e = BOOK.find((x) => x.id === id)!;
    const column = { column: COLUMN, room: ROOM, attachmentM: 0.14, handsM: null };
    const a = answerQuestion(askQuestion(e, { body, side: sidesOf(e).at(-1)!, column }));
    if (!a.ok) throw new Error(a.reason);
    const { path, target } = posedOf(a);
    return resolveOffAxis(buildOffAxisTrack(body, path, target), a.samples.load).map((p) => p.joint);
  };
  it.each(BOOK.filter((e) => e.armOn !== null).map((e) => e.id))('%s', (id) =>
    expect(joints(id)).not.toContain('proximal'),
  );
  it('a free one does', () => expect(joints('barbell-curl')).toContain('proximal'));
});

import { expect, it } from 'vitest';
import { answerQuestion, posedOf } from '@/core/book/answer-question';
import { BOOK } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { regionCourse, regionWork } from '@/core/book/region-work';
import { lengthOf, loadedSpans } from '@/core/week/range-coverage';
import { questionOf } from './support/fixtures';

it.each(BOOK.filter((e) => e.group !== 'before').map((e) => [e.id, e] as const))(
  '%s loads a part of its target’s range that it goes through, where demand is high',
  (id, e) => {
    const answer = answerQuestion(questionOf(id, 1.75, { side: sidesOf(e).at(-1)! }));
    if (!answer.ok) throw new Error(`${id}: ${answer.reason}`);
    const { body } = answer.from.question;
    const { path } = posedOf(answer);
    const course = regionCourse(e.target, body, path, answer.samples.load);
    const work = regionWork(e.target, body, path, answer.samples.load);
    expect(course === null).toBe(work === null);
    if (!course || !work) return;
    const { shortened, demand } = course;
    const [least, most] = [Math.min(...shortened), Math.max(...shortened)];
    expect([least >= 0, most <= 1, demand]).toEqual([true, true, work.demand]);
    // What is clipped at an end of the range by its sources is the only difference.
    expect(most - least).toBeLessThanOrEqual(work.covered + 1e-9);
    if (least > 0 && most < 1) expect(most - least).toBeCloseTo(work.covered, 9);
    const spans = loadedSpans(shortened, demand);
    expect(lengthOf(spans)).toBeLessThanOrEqual(most - least + 1e-9);
    const peak = Math.max(...demand);
    // Every sample that is loaded lies in a span.
    for (const [i, d] of demand.entries())
      if (d >= 0.75 * peak && lengthOf(spans) > 0.03)
        expect(spans.some((s) => s.from - 0.011 <= shortened[i]! && shortened[i]! <= s.to + 0.011)).toBe(true);
  },
);

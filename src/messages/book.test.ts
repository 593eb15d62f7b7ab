import { describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { BOOK_TEXT, facingText, GROUP_NAME, postureText } from './book';

const alike = (texts: readonly string[]): string[] => texts.filter((t, i) => texts.indexOf(t) !== i);

describe('every movement of the book has words of its own', () => {
  it.each(BOOK.map((e) => [e.id, e] as const))('%s', (id, e) => {
    const text = BOOK_TEXT[id]!;
    expect(text.name.length).toBeLessThanOrEqual(42);
    expect(text.how).toMatch(/\.$/);
    // One breath: ten words at most.
    expect(text.cue.split(' ').length).toBeLessThanOrEqual(10);
    expect(GROUP_NAME[e.group]).toBeTruthy();
    expect(postureText(e.posture).length).toBeGreaterThan(4);
    if (e.load.kind === 'cable') expect(facingText(e.load.facing)).toContain('column');
  });
  it('no two names or cues alike, and none without a movement', () => {
    const texts = Object.values(BOOK_TEXT);
    expect(alike(texts.map((t) => t.name))).toEqual([]);
    expect(alike(texts.map((t) => t.cue))).toEqual([]);
    expect(Object.keys(BOOK_TEXT).filter((id) => !BOOK.some((e) => e.id === id))).toEqual([]);
  });
});

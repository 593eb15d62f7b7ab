import { beforeAll, describe, expect, it } from 'vitest';
import { loadEightWeeks } from '../demo/eight-weeks';
import { RELIEF } from '../demo/people';
import { rangesThatDiffer } from '@/core/fault/hand-over';
import { findClient } from '@/data/queries/clients';
import type { Db } from '@/data/open-db';
import type { PaperView } from '@/contract/views/paper';
import { bySideText } from '@/messages/papers';
import { loadHandOver, loadSummary } from '@/server/papers';
import { drawable } from '@/card/pdf-page';
import { codeOf, paperReply } from '@/server/print';
import { readPdf } from './support/read-pdf';
import { at, NOW, world } from './support/world';

let db: Db;
beforeAll(() => {
  db = world();
  loadEightWeeks(db, NOW);
}, 120_000);

const wordsOf = (p: PaperView): string[] => [
  p.title,
  p.under,
  ...p.parts.flatMap((x) => [x.title, ...x.rows.flatMap((r) => [r.name, ...r.lines])]),
  p.foot,
];
const bare = (s: string): string => drawable(s).replace(/\s/g, '');

describe('the hand-over page', () => {
  it('says who it is, how each movement stands on each side, what works and what to watch', () => {
    const paper = loadHandOver(at(db), 'tevita')!;
    const all = wordsOf(paper).join('\n');
    expect(all).toContain('Left side weaker');
    expect(all).toMatch(/each side: hole \d+, mark -?\d+ cm; Long pair by the window, single D-handle/);
    expect(all).toMatch(/each side: last [\d.]+ kg × \d+ at 3-1-1-1/);
    expect(all).toMatch(/works: .+ \(held \d+ of \d+/);
    expect(all).toMatch(/watch: .+, in \d+ of \d+ sets/);
  });
  it('tells sides whose ranges differ by ten degrees or more, widest first, and limits in force', () => {
    const range = { left: { a: 100, b: 50, c: 9 }, right: { a: 90, b: 20, d: 1 } };
    expect(rangesThatDiffer<'a' | 'b' | 'c' | 'd'>(range).map((d) => d.motion)).toEqual(['b', 'a']);
    expect(rangesThatDiffer<'a'>({ left: { a: 99.5 }, right: { a: 90 } })).toEqual([]);
    expect(wordsOf(loadHandOver(at(db), 'anselm')!)).toContain('Arm up ahead: left 168°, right 141°');
    expect(wordsOf(loadHandOver(at(db), 'iolana')!).join('\n')).toContain('Load in the hand: at most 8 kg, by the');
  });
  it('of a client without a set says so; of nobody in one’s care there is none', () => {
    expect(wordsOf(loadHandOver(at(db), 'iolana')!)).toContain('Nothing was done yet.');
    expect(loadHandOver(at(db, NOW, RELIEF), 'tevita')).toBeNull();
  });
});

it('what differs between the sides is said of each', () => {
  const said = (left: string, right: string) =>
    bySideText([
      { side: 'left', text: left },
      { side: 'right', text: right },
    ]);
  expect([said('9', '9'), said('9', '8'), bySideText([{ side: 'both', text: '9' }]), bySideText([])]).toEqual([
    ['each side: 9'],
    ['left: 9', 'right: 8'],
    ['9'],
    [],
  ]);
});

describe('the summary to take home', () => {
  it('tells sets, settings, where to feel it and one thing to practise, and nothing medical', () => {
    const paper = loadSummary(at(db), 'tevita-week-5')!;
    const all = wordsOf(paper).join('\n');
    expect(paper.parts.map((p) => p.title)).toEqual(['What we did', 'One thing to practise']);
    expect(paper.parts[1]!.rows).toHaveLength(1);
    expect(all).toMatch(/each side: [\d.]+ kg × \d+/);
    expect(all).toContain('Feel it in the lower chest.');
    const { note, notes } = findClient(db, 'tevita')!;
    expect(all).not.toContain(note);
    expect(notes.length > 0 && !/weaker|limit|screening|pain/i.test(all)).toBe(true);
  });
  it('of a session without a finished set says so', () => {
    expect(wordsOf(loadSummary(at(db), 'sefina-2026-11-24')!)).toContain('No set was finished in this session.');
    expect(loadSummary(at(db), 'no-such')).toBeNull();
  });
});

describe('both as a PDF, read back by another library', () => {
  it.each([
    ['hand-over', () => loadHandOver(at(db), 'tevita')!, 2],
    ['hand-over of a client whose name is long', () => loadHandOver(at(db), 'wilhelmina')!, 1],
    ['summary', () => loadSummary(at(db), 'tevita-week-5')!, 1],
  ])('%s: every word of the page, on A4', async (_, load, most) => {
    const paper = load();
    const reply = await paperReply(paper, 'http://gym:4310/here', 'file');
    const pdf = await readPdf(new Uint8Array(await reply.arrayBuffer()));
    for (const words of wordsOf(paper)) expect(bare(pdf.text)).toContain(bare(words));
    expect(pdf.pages).toBeLessThanOrEqual(most);
    expect([Math.round(pdf.size.width), Math.round(pdf.size.height)]).toEqual([595, 842]);
  });
  it('the code on the page has a cell for every dark one, within its square', () => {
    const { size, path } = codeOf('http://gym:4310/clients/tevita/hand-over');
    const cells = [...path.matchAll(/M(\d+) (\d+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
    expect(cells.every(([x, y]) => x! < size && y! < size)).toBe(true);
    expect(cells.length / size ** 2).toBeGreaterThan(0.3);
  });
});

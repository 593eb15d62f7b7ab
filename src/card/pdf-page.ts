import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { qrCells } from './qr';

/** A PDF while it is written. */
export type Doc = InstanceType<typeof PDFDocument>;

export const INK = '#23282b';
export const QUIET = '#5c5a52';
/** The page, points: A4. */
export const PAGE = { width: 595.28, height: 841.89, margin: 42 } as const;
export const QR_PT = 92;

const WEIGHTS = { plain: 400, heavy: 800 } as const;
/** The page's own face in the static cuts that a PDF can embed. */
const fontFile = (subset: string, weight: number): string =>
  join(
    process.cwd(),
    'node_modules/@fontsource/hanken-grotesk/files',
    `hanken-grotesk-${subset}-${weight}-normal.woff`,
  );
/** Subsets in the order that a letter is looked for; what none has is drawn by the first. */
const SUBSETS = ['latin', 'latin-ext', 'vietnamese', 'cyrillic-ext'] as const;

/** Letters that the first subset lacks: everything beyond Western European. */
const inFirst = (ch: string): boolean => {
  const c = ch.codePointAt(0)!;
  return c < 0x100 || (c >= 0x2010 && c <= 0x2027) || c === 0x20ac || c === 0x2122 || c === 0x2212;
};
/** Letters that no subset has, by the sign that is drawn alike: the ʻokina and the apostrophe that is a letter. */
const ALIKE: Readonly<Record<string, string>> = { ʻ: '‘', ʼ: '’' };
/** Words as the page's face can draw them. */
export const drawable = (words: string): string => words.replace(/[ʻʼ]/g, (ch) => ALIKE[ch]!);
const subsetOf = (ch: string): (typeof SUBSETS)[number] => {
  if (inFirst(ch)) return 'latin';
  const c = ch.codePointAt(0)!;
  if (c >= 0x400 && c < 0x530) return 'cyrillic-ext';
  return c >= 0x1ea0 && c <= 0x1ef9 ? 'vietnamese' : 'latin-ext';
};

interface TextAt {
  readonly size: number;
  readonly colour?: string;
  readonly heavy?: boolean;
  readonly width?: number;
  readonly gap?: number;
}

/** Text that wraps, each run of letters in the subset that has them. */
export function write(doc: Doc, words: string, x: number, y: number, t: TextAt): void {
  const runs: { font: string; text: string }[] = [];
  for (const ch of drawable(words)) {
    const font = subsetOf(ch);
    const last = runs[runs.length - 1];
    if (last?.font === font) last.text += ch;
    else runs.push({ font, text: ch });
  }
  const weight = t.heavy ? 'heavy' : 'plain';
  doc.fontSize(t.size).fillColor(t.colour ?? INK);
  runs.forEach((r, i) => {
    const options = {
      width: t.width ?? PAGE.width - 2 * PAGE.margin,
      lineGap: t.gap ?? 1,
      continued: i < runs.length - 1,
    };
    doc.font(`${r.font}-${weight}`);
    if (i === 0) doc.text(r.text, x, y, options);
    else doc.text(r.text, options);
  });
}

/** A code that opens an address, from its upper left corner. */
export function drawQr(doc: Doc, url: string, x: number, y: number): void {
  const { size, cells } = qrCells(url);
  const cell = QR_PT / size;
  doc.fillColor('#000000');
  for (const { row, col } of cells) doc.rect(x + col * cell, y + row * cell, cell + 0.05, cell + 0.05);
  doc.fill();
}

/** A PDF of A4 pages, and what it comes to once it is ended. */
export function openPage(title: string): { readonly doc: Doc; readonly done: Promise<Buffer> } {
  const doc = new PDFDocument({ size: 'A4', margin: PAGE.margin, info: { Title: title } });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  for (const s of SUBSETS)
    for (const [name, weight] of Object.entries(WEIGHTS))
      doc.registerFont(`${s}-${name}`, readFileSync(fontFile(s, weight)));
  return { doc, done };
}

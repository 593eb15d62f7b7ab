import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { create as createQr } from 'qrcode';
import type { CardModel } from './card-model';

type Doc = InstanceType<typeof PDFDocument>;

const INK = '#23282b';
const QUIET = '#5c5a52';
const PULL = '#0b5563';
const SET_THIS = '#b5330f';
const PAGE = { width: 595.28, height: 841.89, margin: 42 } as const;
const QR_PT = 92;

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
function write(doc: Doc, words: string, x: number, y: number, t: TextAt): void {
  const runs: { font: string; text: string }[] = [];
  for (const ch of words) {
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

/** Pads white, steel filled, weights as outlines that the body is seen through. */
function drawGear(doc: Doc, shapes: CardModel['drawing']['under']): void {
  for (const { look, path } of shapes) {
    if (look === 'pad') doc.path(path).fillColor('#ffffff').fill();
    if (look === 'steel' || look === 'strap') doc.path(path).fillColor(INK).fill();
    else doc.path(path).lineWidth(1).strokeColor(INK).stroke();
  }
}

function drawFigure(doc: Doc, d: CardModel['drawing'], x: number, y: number): void {
  doc.save().translate(x, y);
  for (const l of d.lines.filter((line) => line.kind !== 'cable'))
    doc.lineWidth(1).strokeColor(INK).moveTo(l.x1, l.y1).lineTo(l.x2, l.y2).stroke();
  drawGear(doc, d.under);
  for (const paths of d.shapes) {
    // One silhouette: outlines first, then the fill over their inner edges.
    for (const p of paths) doc.path(p).lineWidth(2.2).strokeColor(INK).stroke();
    for (const p of paths) doc.path(p).fillColor('#ffffff').fill();
  }
  drawGear(doc, d.over);
  for (const l of d.lines.filter((line) => line.kind === 'cable'))
    doc.lineWidth(2).strokeColor(PULL).moveTo(l.x1, l.y1).lineTo(l.x2, l.y2).stroke();
  doc.restore();
  if (d.hole) {
    doc
      .rect(x + d.hole.x - 6, y + d.hole.y - 6, 12, 12)
      .fillColor(SET_THIS)
      .fill();
    write(doc, d.hole.text, x + d.hole.x - 44, y + d.hole.y - 12, {
      size: 18,
      colour: SET_THIS,
      heavy: true,
      width: 36,
    });
  }
}

function drawQr(doc: Doc, url: string, x: number, y: number): void {
  const { modules } = createQr(url, { errorCorrectionLevel: 'M' });
  const cell = QR_PT / modules.size;
  doc.fillColor('#000000');
  for (let row = 0; row < modules.size; row++) {
    for (let col = 0; col < modules.size; col++)
      if (modules.get(row, col)) doc.rect(x + col * cell, y + row * cell, cell + 0.05, cell + 0.05);
  }
  doc.fill();
}

const PLATE = { width: 104, height: 58 } as const;
const PER_ROW = 2;
/** Sizes a plate's value may take, points: the largest that leaves its unit on the same line. */
const VALUE_SIZES = [26, 20, 16, 14, 12] as const;
const UNIT_SIZE = 10;
const UNIT_GAP = 4;
const unitWidth = (doc: Doc, unit: string): number =>
  unit ? doc.font('latin-plain').fontSize(UNIT_SIZE).widthOfString(unit) + UNIT_GAP : 0;

/** The card as a PDF of one A4 page. */
export function cardPdf(card: CardModel): Promise<Buffer> {
  const doc = new PDFDocument({ size: 'A4', margin: PAGE.margin, info: { Title: `${card.client}: ${card.movement}` } });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (c: Buffer) => chunks.push(c));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  for (const s of SUBSETS)
    for (const [name, weight] of Object.entries(WEIGHTS))
      doc.registerFont(`${s}-${name}`, readFileSync(fontFile(s, weight)));
  const { margin: m } = PAGE;
  write(doc, card.client, m, m, { size: 26, heavy: true, width: PAGE.width - 2 * m - QR_PT - 12 });
  write(doc, card.movement, m, doc.y + 2, { size: 18, width: PAGE.width - 2 * m - QR_PT - 12 });
  write(doc, card.where, m, doc.y + 2, { size: 11, colour: QUIET, width: PAGE.width - 2 * m - QR_PT - 12 });
  drawQr(doc, card.url, PAGE.width - m - QR_PT, m);
  const top = Math.max(doc.y, m + QR_PT) + 16;
  drawFigure(doc, card.drawing, m - 24, top);
  card.plates.forEach((p, i) => {
    const x = PAGE.width - m - PER_ROW * PLATE.width + (i % PER_ROW) * PLATE.width;
    const y = top + Math.floor(i / PER_ROW) * PLATE.height;
    doc.rect(x, y, PLATE.width, PLATE.height).lineWidth(1).strokeColor(INK).stroke();
    write(doc, p.label, x + 7, y + 5, { size: 8.5, colour: QUIET, width: PLATE.width - 12 });
    const room = PLATE.width - 14;
    const size =
      VALUE_SIZES.find(
        (v) => doc.font('latin-heavy').fontSize(v).widthOfString(p.value) + unitWidth(doc, p.unit) <= room,
      ) ?? 12;
    write(doc, p.value, x + 7, y + 48 - size * 1.05, { size, colour: SET_THIS, heavy: true, width: room });
    if (p.unit)
      write(
        doc,
        p.unit,
        x + 7 + doc.font('latin-heavy').fontSize(size).widthOfString(p.value) + UNIT_GAP,
        y + 48 - UNIT_SIZE * 1.05,
        { size: UNIT_SIZE, colour: INK, width: room },
      );
  });
  doc.x = m;
  const below = top + Math.max(card.drawing.height, Math.ceil(card.plates.length / PER_ROW) * PLATE.height) + 10;
  write(doc, `“${card.cue}”`, m, below, { size: 17, heavy: true });
  doc.moveDown(0.3);
  for (const n of card.notes) write(doc, n, m, doc.y + 3, { size: 11 });
  doc.moveDown(0.5);
  for (const c of card.cautions) {
    const y = doc.y + 4;
    write(doc, c, m + 10, y, { size: 10.5, width: PAGE.width - 2 * m - 10 });
    doc
      .rect(m, y, 3, doc.y - y)
      .fillColor(INK)
      .fill();
  }
  doc.end();
  return done;
}

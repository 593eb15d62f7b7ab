import type { CardModel } from './card-model';
import { drawQr, INK, openPage, PAGE, QR_PT, QUIET, write, type Doc } from './pdf-page';

const PULL = '#0b5563';
const SET_THIS = '#b5330f';

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

const PLATE = { width: 104, height: 58 } as const;
const PER_ROW = 2;
/** Sizes a plate's value may take, points: the largest that leaves its unit on the same line. */
const VALUE_SIZES = [26, 20, 16, 14, 12] as const;
const UNIT_SIZE = 10;
const UNIT_GAP = 4;
const unitWidth = (doc: Doc, unit: string): number =>
  unit ? doc.font('latin-plain').fontSize(UNIT_SIZE).widthOfString(unit) + UNIT_GAP : 0;

function drawCard(doc: Doc, card: CardModel): void {
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
}

/** The card as a PDF of one A4 page. */
export function cardPdf(card: CardModel): Promise<Buffer> {
  const { doc, done } = openPage(`${card.client}: ${card.movement}`);
  drawCard(doc, card);
  doc.end();
  return done;
}

/** Cards as one PDF, a page each; what has none is told on a page at the end under `withoutTitle`. */
export function cardsPdf(
  cards: readonly CardModel[],
  title: string,
  withoutTitle: string,
  without: readonly string[],
): Promise<Buffer> {
  const { doc, done } = openPage(title);
  cards.forEach((card, k) => {
    if (k > 0) doc.addPage();
    drawCard(doc, card);
  });
  if (without.length > 0) {
    if (cards.length > 0) doc.addPage();
    write(doc, withoutTitle, PAGE.margin, PAGE.margin, { size: 18, heavy: true });
    for (const says of without) write(doc, says, PAGE.margin, doc.y + 8, { size: 11 });
  }
  doc.end();
  return done;
}

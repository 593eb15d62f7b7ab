import type { PaperPart, PaperView } from '@/contract/views/paper';
import { drawQr, INK, openPage, PAGE, QR_PT, QUIET, write, type Doc } from './pdf-page';

const NAME_PT = 150;
const { margin: m } = PAGE;
const WIDE = PAGE.width - 2 * m;

/** Height that lines take, points. */
const heightOf = (doc: Doc, lines: readonly string[], width: number, size: number): number =>
  lines.reduce(
    (sum, t) => sum + doc.font('latin-plain').fontSize(size).heightOfString(t, { width, lineGap: 1 }) + 2,
    0,
  );

function drawPart(doc: Doc, part: PaperPart): void {
  write(doc, part.title, m, doc.y + 14, { size: 13, heavy: true });
  for (const row of part.rows) {
    const alone = row.lines.length === 0;
    const nameWidth = alone ? WIDE : NAME_PT - 12;
    const high = Math.max(heightOf(doc, [row.name], nameWidth, 11), heightOf(doc, row.lines, WIDE - NAME_PT, 10.5));
    // A row stays together.
    if (doc.y + high + 12 > PAGE.height - m) doc.addPage();
    const top = doc.y + 5;
    doc
      .moveTo(m, top)
      .lineTo(PAGE.width - m, top)
      .lineWidth(0.5)
      .strokeColor(QUIET)
      .stroke();
    write(doc, row.name, m, top + 5, { size: 11, heavy: true, width: nameWidth });
    const after = doc.y;
    doc.y = top + 5;
    for (const line of row.lines) write(doc, line, m + NAME_PT, doc.y + 1, { size: 10.5, width: WIDE - NAME_PT });
    doc.y = Math.max(after, doc.y);
  }
}

/** A page to take along as a PDF, A4; the code on it opens `url`. */
export function paperPdf(paper: PaperView, url: string): Promise<Buffer> {
  const { doc, done } = openPage(paper.title);
  const width = WIDE - QR_PT - 12;
  write(doc, paper.title, m, m, { size: 22, heavy: true, width });
  write(doc, paper.under, m, doc.y + 2, { size: 11, colour: QUIET, width });
  const below = doc.y;
  drawQr(doc, url, PAGE.width - m - QR_PT, m);
  doc.y = Math.max(below, m + QR_PT - 8);
  for (const part of paper.parts) drawPart(doc, part);
  write(doc, paper.foot, m, doc.y + 16, { size: 10, colour: INK });
  doc.end();
  return done;
}

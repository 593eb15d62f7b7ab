import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A PDF as an independent library reads it: its pages, and the words of all of them in one line. */
export async function readPdf(pdf: Uint8Array) {
  const doc = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: doc.numPages }, (_, k) => doc.getPage(k + 1)));
  const texts = await Promise.all(pages.map((p) => p.getTextContent()));
  const words = texts.flatMap((t) => t.items.map((i) => ('str' in i ? i.str : '')));
  return {
    pages: doc.numPages,
    size: pages[0]!.getViewport({ scale: 1 }),
    text: words.join(' ').replace(/\s+/g, ' '),
  };
}

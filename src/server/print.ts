import 'server-only';
import { paperPdf } from '@/card/paper-pdf';
import { qrCells } from '@/card/qr';
import type { PaperCode, PaperView } from '@/contract/views/paper';

/** A code that opens an address, as one path of unit squares. */
export function codeOf(url: string): PaperCode {
  const { size, cells } = qrCells(url);
  return { size, path: cells.map(({ row, col }) => `M${col} ${row}h1v1h-1z`).join('') };
}

/** A page to take along as a PDF to be shown; `file`: what it is called when it is kept. */
export async function paperReply(paper: PaperView, url: string, file: string): Promise<Response> {
  return new Response(new Uint8Array(await paperPdf(paper, url)), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${file}.pdf"`,
      'Cache-Control': 'no-store',
    },
  });
}

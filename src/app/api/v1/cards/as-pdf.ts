/** A PDF to be looked at and printed; 404 where there is none. */
export const asPdf = (pdf: Buffer | null, name: string): Response =>
  pdf === null
    ? new Response(null, { status: 404 })
    : new Response(new Uint8Array(pdf), {
        headers: {
          'Content-Type': 'application/pdf',
          'Content-Disposition': `inline; filename="${name}.pdf"`,
          'Cache-Control': 'no-store',
        },
      });

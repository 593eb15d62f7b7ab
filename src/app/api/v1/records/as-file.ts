/** A stream as a file that is kept, not shown. */
export const asFile = (bits: ReadableStream<Uint8Array>, name: string, kind: string): Response =>
  new Response(bits, {
    headers: {
      'Content-Type': `${kind}; charset=utf-8`,
      'Content-Disposition': `attachment; filename="${name}"`,
      'Cache-Control': 'no-store',
    },
  });

/** There is none, or none for who asks. */
export const notHere = (): Response => new Response(null, { status: 404 });

import 'server-only';
import type { IncomingMessage } from 'node:http';

/** A request's body as text; null where it is longer than it may be. */
export function readBody(request: IncomingMessage, mostBytes: number): Promise<string | null> {
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = [];
    let bytes = 0;
    request.on('data', (chunk: Buffer) => {
      bytes += chunk.length;
      if (bytes <= mostBytes) chunks.push(chunk);
    });
    request.on('end', () => resolve(bytes > mostBytes ? null : Buffer.concat(chunks).toString('utf8')));
    request.on('error', reject);
  });
}

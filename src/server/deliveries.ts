import 'server-only';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { recordEvents } from './record-events';
import { openUseCase } from './use-case';

/** More than this is no delivery of a tablet, bytes. */
const MOST_BYTES = 2_000_000;

/**
 * What a delivery from a device's outbox is answered with. Each event id is kept once, so a delivery may be sent again.
 */
export function answerDelivery(delivery: unknown): { readonly status: number; readonly body: object } {
  const result = recordEvents(openUseCase(), delivery);
  if (result.ok) return { status: 200, body: result.reply };
  return { status: result.reason === 'malformed' ? 400 : 503, body: { reason: result.reason, issues: result.issues } };
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** The same at the server's own door: taps come often and many at once, and need nothing of what serves pages. */
export function takeDelivery(
  request: IncomingMessage,
  response: ServerResponse,
  onBug: (error: unknown) => void,
): void {
  const chunks: Buffer[] = [];
  let bytes = 0;
  request.on('data', (chunk: Buffer) => {
    bytes += chunk.length;
    if (bytes <= MOST_BYTES) chunks.push(chunk);
  });
  request.on('end', () => {
    let answer: ReturnType<typeof answerDelivery>;
    try {
      answer = answerDelivery(bytes > MOST_BYTES ? null : parse(Buffer.concat(chunks).toString('utf8')));
    } catch (error) {
      // It costs no tap: the device keeps what was not confirmed.
      onBug(error);
      answer = { status: 500, body: { reason: 'bug', issues: [] } };
    }
    const text = JSON.stringify(answer.body);
    response.writeHead(answer.status, {
      'content-type': 'application/json',
      'content-length': Buffer.byteLength(text),
    });
    response.end(text);
  });
}

import 'server-only';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { readBody } from './read-body';
import { recordEvents } from './record-events';
import { solveApart } from './solve-apart';
import type { UseCase } from './use-case';

/** More than this is no delivery of a tablet and no list of cases, bytes. */
const MOST_BYTES = 2_000_000;

/**
 * What a delivery from a device's outbox is answered with. Each event id is kept once, so a delivery may be sent again.
 */
export function answerDelivery(uc: UseCase, delivery: unknown): { readonly status: number; readonly body: object } {
  const result = recordEvents(uc, delivery);
  if (result.ok) return { status: 200, body: result.reply };
  return { status: STATUS[result.reason], body: { reason: result.reason, issues: result.issues } };
}
const STATUS = { malformed: 400, 'other-database': 409, storage: 503 } as const;

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

const json = (body: object): Uint8Array => Buffer.from(JSON.stringify(body));

function send(response: ServerResponse, status: number, bytes: Uint8Array): void {
  response.writeHead(status, { 'content-type': 'application/json', 'content-length': bytes.byteLength });
  response.end(bytes);
}

/** Answers at the server's own door what comes often or takes long, without what serves pages. */
function atDoor(
  answer: (text: string | null) => Promise<{ readonly status: number; readonly bytes: Uint8Array }>,
): (request: IncomingMessage, response: ServerResponse, onBug: (error: unknown) => void) => Promise<void> {
  return async (request, response, onBug) => {
    try {
      const { status, bytes } = await answer(await readBody(request, MOST_BYTES));
      send(response, status, bytes);
    } catch (error) {
      // It costs no tap: the device keeps what was not confirmed.
      onBug(error);
      send(response, 500, json({ reason: 'bug', issues: [] }));
    }
  };
}

/** A delivery of taps: they come often and many at once. */
export const takeDelivery = (uc: UseCase) =>
  atDoor(async (text) => {
    const { status, body } = answerDelivery(uc, text === null ? null : parse(text));
    return { status, bytes: json(body) };
  });

/** Cases for the solver, answered on a thread of its own. */
export const takeCases = atDoor((text) => solveApart(text ?? ''));

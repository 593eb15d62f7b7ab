import 'server-only';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { z } from 'zod';
import type { FloorEvent } from '@/core/record/floor-event';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import { findAccountSession } from '@/data/queries/accounts';
import { listFloorEvents } from '@/data/queries/floor-events';
import { sharedDb } from '@/data/open-db';
import { reaches } from './reach';
import type { UseCase } from './use-case';

/** Where open pages hear what other tablets tap. */
export const LINE = '/api/v1/floor-events/line';
/** A word now and then, so that what lies between does not take a silent line for a dead one, milliseconds. */
const HEARTBEAT_MS = 15_000;
/** What is told at first: a page may be older than it looks. Taps of the last day at most. */
const RECENT_MS = 24 * 3_600_000;

interface Listener {
  readonly clientId: string;
  readonly movement: string;
  readonly tell: (events: readonly FloorEvent[]) => void;
}

// Pages by Next and the door are two bundles in one process: they share who listens.
const shared = globalThis as typeof globalThis & { jorvixLines?: Set<Listener> };
const listeners = (): Set<Listener> => (shared.jorvixLines ??= new Set());

/** Tell open pages what has just been kept. */
export function announce(events: readonly FloorEvent[]): void {
  for (const l of listeners()) {
    const own = events.filter((e) => e.clientId === l.clientId && e.movement === l.movement);
    if (own.length > 0) l.tell(own);
  }
}

/** Whether a line that was opened once may go on: its device is signed in, and the client still in its care. */
function stillMay({ actor, sessionId }: UseCase, clientId: string): boolean {
  // The records may have been restored meanwhile.
  const db = sharedDb();
  return (
    (!sessionId || findAccountSession(db, sessionId)?.endedAtMs === null) &&
    reaches({ db, actor }, clientId, Date.now())
  );
}

const askedSchema = z.object({
  client: z.string().min(1).max(64),
  movement: z.string().min(1).max(80),
  /** Told once, where something between holds lines back. */
  once: z.literal('yes').optional(),
});

/** A line of server-sent events: the taps of a client and movement, the last day's first, then as they are kept. */
export function openLine(request: IncomingMessage, response: ServerResponse, uc: UseCase): void {
  const asked = askedSchema.safeParse(
    Object.fromEntries(new URL(request.url ?? '', 'http://line').searchParams.entries()),
  );
  if (!asked.success) {
    response.writeHead(400).end();
    return;
  }
  const { client: clientId, movement, once } = asked.data;
  const { db, nowMs } = uc;
  if (!reaches(uc, clientId, nowMs)) {
    response.writeHead(404).end();
    return;
  }
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  const tell = (events: readonly FloorEvent[]): void =>
    void response.write(`data: ${JSON.stringify(events.map((e) => ({ ...e, version: FLOOR_EVENT_VERSION })))}\n\n`);
  // How late it is here, before anything is tapped there.
  response.write(`event: clock\ndata: ${nowMs}\n\n`);
  tell(listFloorEvents(db, clientId, movement, nowMs - RECENT_MS).rows);
  if (once) {
    response.end();
    return;
  }
  // Care may end, and so may a sign-in, while a line stays open: then it is told nothing more.
  const listener: Listener = {
    clientId,
    movement,
    tell: (events) => (stillMay(uc, clientId) ? tell(events) : void response.end()),
  };
  listeners().add(listener);
  const beat = setInterval(() => response.write(': open\n\n'), HEARTBEAT_MS);
  response.on('close', () => {
    clearInterval(beat);
    listeners().delete(listener);
  });
}

import 'server-only';
import { z } from 'zod';
import { BOOK } from '@/core/book/book';
import {
  apiClient,
  apiDay,
  apiEvent,
  apiGym,
  apiKit,
  apiLedger,
  apiMovement,
  apiNewClient,
  apiNewSession,
  apiSession,
  apiSet,
  apiSetup,
  pageOf,
  pageQuery,
} from '@/contract/api';
import { answerSchema } from '@/contract/answer';
import { caseSchema } from '@/contract/case';
import type { FieldIssue } from '@/contract/field';
import type { Client } from '@/contract/views/client';
import type { Session } from '@/contract/views/plan';
import { eventsAfter, setsAfter, type ApiSetRow } from '@/data/queries/api-lists';
import { ensureFolded } from '@/data/queries/folds';
import { listGyms } from '@/data/queries/gyms';
import { listKit } from '@/data/queries/kit';
import { usedSetups } from '@/data/queries/newest-records';
import { API_EXPECTED } from '@/messages/api';
import { good, NOT_THERE, once, operation, saved, type Operation, type Outcome } from './api-operation';
import { toKitPiece, WRITES } from './api-writes';
import { saveClientForm } from './clients';
import { loadLedger } from './ledger';
import { reachClient, reachClients, reachSession, reachSessions } from './reach';
import { makeSession } from './sessions';
import { solveApart } from './solve-apart';
import type { UseCase } from './use-case';

const toCursor = (last: string | number): string => Buffer.from(String(last)).toString('base64url');
const fromCursor = (cursor: string): string => Buffer.from(cursor, 'base64url').toString();

/** A page of what is at hand, after the item that the cursor names. */
function page<T extends { readonly id: string }, R>(
  all: readonly T[],
  { cursor, limit }: z.output<typeof pageQuery>,
  of: (item: T) => R,
): Outcome<{ items: R[]; next: string | null }> {
  const after = cursor === undefined ? -1 : all.findIndex((a) => a.id === fromCursor(cursor));
  if (cursor !== undefined && after < 0)
    return { ok: false, status: 422, issues: [{ path: 'cursor', message: API_EXPECTED.cursor }] };
  const shown = all.slice(after + 1, after + 1 + limit);
  const more = after + 1 + limit < all.length;
  return good({ items: shown.map(of), next: more ? toCursor(shown.at(-1)!.id) : null });
}

/** A page of rows by their number. */
function rowPage<T extends { readonly no: number }, R>(
  { cursor, limit }: z.output<typeof pageQuery>,
  read: (after: number, most: number) => readonly T[],
  of: (row: T) => R,
): Outcome<{ items: R[]; next: string | null }> {
  const after = cursor === undefined ? 0 : Number(fromCursor(cursor));
  if (!Number.isSafeInteger(after))
    return { ok: false, status: 422, issues: [{ path: 'cursor', message: API_EXPECTED.cursor }] };
  const rows = read(after, limit + 1);
  const shown = rows.slice(0, limit);
  return good({ items: shown.map(of), next: rows.length > limit ? toCursor(shown.at(-1)!.no) : null });
}

const toClient = (c: Client): z.input<typeof apiClient> => ({
  ...{ id: c.id, name: c.name, statureM: c.statureM, massKg: c.massKg, isMassEstimated: c.massEstimated },
  ...{ measuredM: { ...c.measuredM } as Record<string, number>, notes: [...c.notes], note: c.note },
});
/** A client in one's care by their id, as programs see them. */
const clientOf = (uc: UseCase) => (id: string) => {
  const client = reachClient(uc, id);
  return client && toClient(client);
};
const toSession = (s: Session): z.input<typeof apiSession> => ({
  ...{ id: s.id, clientId: s.clientId, gymId: s.gymId, startsAtMs: s.startsAtMs, minutes: s.minutes },
  finishedAtMs: s.finishedAtMs,
  items: s.items.map(({ id, movement, side, sets, reps, tempo, loadG, skipped }) => ({
    ...{ id, movement, side, sets, reps, tempo, loadG, skipped },
  })),
});

const toSet = (s: ApiSetRow): z.input<typeof apiSet> => ({
  ...{ setId: s.setId, itemId: s.itemId, movement: s.movement, side: s.side, setNo: s.setNo },
  ...{ startedAtMs: s.startedAtMs, endedAtMs: s.endedAtMs, loadG: s.loadG, reps: s.reps },
  ...{ targetReps: s.targetReps, tempo: s.tempo, scheme: s.scheme, isConfirmed: s.isConfirmed === 1 },
  faults: JSON.parse(s.faults) as z.input<typeof apiSet>['faults'],
});

/** The set-up that was used last, of each movement and side. */
function setupsOf({ db }: UseCase, clientId: string): z.input<typeof apiSetup>[] {
  return [...usedSetups(db, clientId)].flatMap(([movement, all]) => {
    const newest = new Map(all.toSorted((a, b) => a.atMs - b.atMs).map((s) => [s.side, s]));
    return [...newest.values()].map(({ side, stationId, atMs, placement }) => ({
      ...{ movement, side, stationId, atMs, placement },
    }));
  });
}

const ofClient = z.object({ clientId: z.string() });
const ofSession = z.object({ sessionId: z.string() });
const DAY_MS = 86_400_000;
/** Widest span of days that is listed. */
const MOST_DAYS = 366;

const NO_MEASURES = {
  ...{ measuredCm: {}, notes: [], unfelt: [], limits: [], chestLineDeg: '', saidIn: '' },
  ...{ rangeDeg: { left: {}, right: {} }, armPath: { left: [], right: [] } },
};

/** Everything that programs can do. */
export const OPERATIONS: readonly Operation[] = [
  operation({
    ...{ id: 'allClients', method: 'get', path: '/clients', scope: 'clients.read' },
    query: pageQuery,
    reply: pageOf(apiClient),
    does: (uc, { query }) => page(reachClients(uc), query, toClient),
  }),
  operation({
    ...{ id: 'addClient', method: 'post', path: '/clients', scope: 'clients.write' },
    body: apiNewClient,
    reply: apiClient,
    does: (uc, { body, key }) =>
      once(key, clientOf(uc), () => saveClientForm(uc, null, { ...NO_MEASURES, massKg: '', ...body }, null, key)),
  }),
  operation({
    ...{ id: 'getClient', method: 'get', path: '/clients/{clientId}', scope: 'clients.read' },
    params: ofClient,
    reply: apiClient,
    does: (uc, { params }) => {
      const client = clientOf(uc)(params.clientId);
      return client ? good(client) : NOT_THERE;
    },
  }),
  operation({
    ...{ id: 'listSets', method: 'get', path: '/clients/{clientId}/sets', scope: 'records.read' },
    params: ofClient,
    query: pageQuery,
    reply: pageOf(apiSet),
    does: (uc, { params: { clientId }, query }) => {
      if (!reachClient(uc, clientId)) return NOT_THERE;
      ensureFolded(uc.db, clientId);
      return rowPage(query, (after, most) => setsAfter(uc.db, clientId, after, most), toSet);
    },
  }),
  operation({
    ...{ id: 'listEvents', method: 'get', path: '/clients/{clientId}/events', scope: 'records.read' },
    params: ofClient,
    query: pageQuery,
    reply: pageOf(apiEvent),
    does: (uc, { params: { clientId }, query }) =>
      reachClient(uc, clientId)
        ? rowPage(
            query,
            (after, most) => eventsAfter(uc.db, clientId, after, most),
            ({ id, itemId, movement, kind, atMs, receivedAtMs, body }) => ({
              ...{ id, itemId, movement, kind, atMs, receivedAtMs, body: JSON.parse(body) as unknown },
            }),
          )
        : NOT_THERE,
  }),
  operation({
    ...{ id: 'listSetups', method: 'get', path: '/clients/{clientId}/setups', scope: 'records.read' },
    params: ofClient,
    reply: z.object({ items: z.array(apiSetup) }),
    does: (uc, { params: { clientId } }) =>
      reachClient(uc, clientId) ? good({ items: setupsOf(uc, clientId) }) : NOT_THERE,
  }),
  operation({
    ...{ id: 'getLedger', method: 'get', path: '/clients/{clientId}/ledger', scope: 'records.read' },
    params: ofClient,
    reply: apiLedger,
    does: (uc, { params: { clientId } }) => {
      const ledger = loadLedger(uc, clientId);
      if (!ledger) return NOT_THERE;
      const movements = ledger.movements.map(({ movement, faults }) => ({
        movement,
        faults: faults.map(({ fault, side, summary, cleared, rate }) => ({
          ...{ fault, side, summary, isCleared: cleared, rate },
        })),
      }));
      return good({ clientId, movements });
    },
  }),
  operation({
    ...{ id: 'listKit', method: 'get', path: '/kit', scope: 'kit.read' },
    query: pageQuery,
    reply: pageOf(apiKit),
    does: (uc, { query }) =>
      page(
        listGyms(uc.db).flatMap((g) => listKit(uc.db, g.id).rows),
        query,
        toKitPiece,
      ),
  }),
  operation({
    ...{ id: 'allGyms', method: 'get', path: '/gyms', scope: 'kit.read' },
    reply: z.object({ items: z.array(apiGym) }),
    does: (uc) => good({ items: listGyms(uc.db).map(({ id, name, saidIn }) => ({ id, name, saidIn })) }),
  }),
  operation({
    ...{ id: 'listMovements', method: 'get', path: '/movements', scope: 'kit.read' },
    query: pageQuery,
    reply: pageOf(apiMovement),
    does: (_, { query }) =>
      page(BOOK, query, ({ id, text, group, target, secondary, hands, tempo }) => ({
        ...{ id, name: text.name, group, target, secondary: [...secondary], hands, tempo, cue: text.cue },
      })),
  }),
  operation({
    ...{ id: 'allSessions', method: 'get', path: '/sessions', scope: 'plan.read' },
    query: z.object({ ...pageQuery.shape, from: apiDay, to: apiDay }),
    reply: pageOf(apiSession),
    does: (uc, { query }) => {
      const [fromMs, toMs] = [Date.parse(query.from), Date.parse(query.to) + DAY_MS];
      if (!(toMs > fromMs && toMs - fromMs <= MOST_DAYS * DAY_MS))
        return { ok: false, status: 422, issues: [{ path: 'to', message: API_EXPECTED.span }] };
      return page(reachSessions(uc, fromMs, toMs), query, toSession);
    },
  }),
  operation({
    ...{ id: 'planSession', method: 'post', path: '/sessions', scope: 'plan.write' },
    body: apiNewSession,
    reply: apiSession,
    does: (uc, { body, key }) =>
      saved(makeSession(uc, { ...body, gymId: '', fromId: '', leaveOut: true }, key), (id) => {
        const session = reachSession(uc, id);
        return session && toSession(session);
      }),
  }),
  operation({
    ...{ id: 'getSession', method: 'get', path: '/sessions/{sessionId}', scope: 'plan.read' },
    params: ofSession,
    reply: apiSession,
    does: (uc, { params }) => {
      const session = reachSession(uc, params.sessionId);
      return session ? good(toSession(session)) : NOT_THERE;
    },
  }),
  operation({
    ...{ id: 'solve', method: 'post', path: '/solve', scope: 'solve' },
    body: caseSchema,
    reply: answerSchema,
    does: async (_, { body }) => {
      const { status, bytes } = await solveApart(JSON.stringify(body));
      const told = JSON.parse(new TextDecoder().decode(bytes)) as { issues?: FieldIssue[] };
      if (status !== 200) return { ok: false, status: 422, issues: told.issues ?? [] };
      return good(told as z.input<typeof answerSchema>);
    },
  }),
  ...WRITES,
];

import 'server-only';
import dayjs from 'dayjs';
import { DAY_MS } from '@/core/body/clinician-limit';
import { v5 as uuidFrom } from 'uuid';
import { toFieldIssues } from '@/contract/field';
import { refused, type Refused, type SaveResult } from '@/contract/save-result';
import { sessionFormSchema, sessionTimeSchema, type SessionForm } from '@/contract/session-form';
import type { Client } from '@/contract/views/client';
import type { NewItem, Session } from '@/contract/views/plan';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import { begunItems } from '@/data/queries/read-folds';
import { addSession, setCalledOff, setFinished, setTime } from '@/data/queries/sessions';
import { doneName } from '@/messages/book';
import { objectionText } from '@/messages/choosing';
import { moment } from '@/messages/day';
import { PLAN_REFUSAL, whenText } from '@/messages/plan';
import { keepChanges } from './changes';
import { idFromKey } from './form-key';
import { learnItems, type Learned, type Source } from './learned-items';
import { reachClient, reachSession, reachSessionsOf, reachTogether } from './reach';
import { reachTemplates } from './templates';
import type { UseCase } from './use-case';

/** A time of a day where the server stands; a clock's "9:05" of a day since 1970, milliseconds. */
function timeOn(dayNo: number, clock: string): number {
  const [hours, minutes] = clock.split(':').map(Number);
  const day = new Date(dayNo * DAY_MS).toISOString().slice(0, 10);
  return dayjs(day).hour(hours!).minute(minutes!).valueOf();
}

/** How many of a client's newest sessions are looked through for one with movements. */
const LOOKED_THROUGH = 12;

/** What a session begins from; a name that is not there is told at its field. */
function sourcesOf(uc: UseCase, form: SessionForm): readonly Source[] | Refused {
  if (form.from === 'empty') return [];
  if (form.from === 'template') {
    const template = reachTemplates(uc).rows.find((t) => t.id === form.fromId);
    return template?.movements ?? refused('fromId', PLAN_REFUSAL.notListed);
  }
  if (form.from === 'session') {
    const session = reachSession(uc, form.fromId!);
    return session?.clientId === form.clientId ? session.items : refused('fromId', PLAN_REFUSAL.notListed);
  }
  const before = reachSessionsOf(uc, form.clientId, LOOKED_THROUGH);
  return before.find((s) => s.items.length > 0)?.items ?? refused('from', PLAN_REFUSAL.noSessionYet);
}

/** Where a client trains: the gym that is asked for, else that of the newest session, else the first on record. */
function gymFor(uc: UseCase, { clientId, gymId }: SessionForm): string | null {
  const gyms = listGyms(uc.db).map((g) => g.id);
  if (gymId !== undefined) return gyms.includes(gymId) ? gymId : null;
  const last = reachSessionsOf(uc, clientId, 1)[0]?.gymId;
  return gyms.find((id) => id === last) ?? gyms[0] ?? null;
}

/** Movements that cannot be done there, each with why. */
const leftOut = (learned: readonly Learned[]): string[] => [
  ...new Set(
    learned.flatMap((l) => (l.ok ? [] : [`${doneName(l.source.movement, 'both')}: ${objectionText(l.objection)}`])),
  ),
];

/** What was learned as a session's planned movements; `sessionId`: whose ids theirs follow from. */
export const itemsOf = (sessionId: string, learned: readonly Learned[]): NewItem[] =>
  learned
    .flatMap((l) => (l.ok ? [l.item] : []))
    .map((item, position) => ({
      ...item,
      ...{ id: uuidFrom(String(position), sessionId), sessionId, position },
      // A pair of another session is a pair of its own in this one.
      pairId: item.pairId ? uuidFrom(item.pairId, sessionId) : null,
    }));

/** What a session is kept in the changes as. */
export const whenSheet = ({ startsAtMs, minutes }: Pick<Session, 'startsAtMs' | 'minutes'>) => ({
  session: whenText(moment(startsAtMs), minutes),
});

/** Add a session with its movements and keep that it was made. */
export function keepMade(uc: UseCase, client: Client, session: Parameters<typeof addSession>[1]): void {
  addSession(uc.db, session, uc.actor.id);
  const of = { subject: 'plan', clientId: client.id } as const;
  keepChanges(uc, { ...of, subjectId: session.id }, { session: null }, whenSheet(session));
  for (const item of session.items) keepChanges(uc, { ...of, subjectId: item.id }, undefined, item);
}

/**
 * Make a session for a client on any day: empty, the same as the last one or as another one with what was learned
 * since, or by a template for this body and this gym's kit. Sent twice (`key`) it is one.
 */
export function makeSession(uc: UseCase, typed: unknown, key: unknown = null): SaveResult {
  const parsed = sessionFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const client = reachClient(uc, form.clientId);
  if (!client) return refused('clientId', PLAN_REFUSAL.notListed);
  const gymId = gymFor(uc, form);
  if (gymId === null)
    return form.gymId === undefined ? refused('from', PLAN_REFUSAL.noGym) : refused('gymId', PLAN_REFUSAL.notListed);
  const id = idFromKey(key);
  if (reachSession(uc, id)) return { ok: true, id };
  const sources = sourcesOf(uc, form);
  if ('ok' in sources) return sources;
  const learned = learnItems(uc, client, gymId, sources);
  const not = leftOut(learned);
  if (not.length > 0 && !form.leaveOut) return refused('leaveOut', PLAN_REFUSAL.notHere(not));
  const startsAtMs = timeOn(form.day, form.startsAt);
  const session = { id, gymId, clientId: client.id, startsAtMs, minutes: form.minutes, items: itemsOf(id, learned) };
  inTransaction(uc.db, () => keepMade(uc, client, session));
  return { ok: true, id };
}

/** Does something to a session that is in somebody's care; its change is kept with it. */
function changeSession(
  uc: UseCase,
  id: string,
  does: (session: Session) => Refused | { readonly before: unknown; readonly after: unknown },
): SaveResult {
  return inTransaction(uc.db, (): SaveResult => {
    const session = reachSession(uc, id);
    if (!session) return refused('session', PLAN_REFUSAL.notListed);
    const done = does(session);
    if ('ok' in done) return done;
    keepChanges(uc, { subject: 'plan', subjectId: id, clientId: session.clientId }, done.before, done.after);
    return { ok: true, id };
  });
}

const hasBegun = (uc: UseCase, { id, clientId }: Session): boolean => begunItems(uc.db, clientId, id).size > 0;

/**
 * Move a session to another day or time, or give it more or less time, and with it that of who trains together; what
 * has begun stays on its day.
 */
export function moveSession(uc: UseCase, id: string, typed: unknown): SaveResult {
  const parsed = sessionTimeSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { day, startsAt, minutes } = parsed.data;
  return changeSession(uc, id, (session) => {
    const startsAtMs = timeOn(day, startsAt);
    const after = whenSheet({ startsAtMs, minutes });
    const other = reachTogether(uc, session);
    const both = other ? [session, other] : [session];
    if (both.some((s) => hasBegun(uc, s) && !dayjs(startsAtMs).isSame(s.startsAtMs, 'day')))
      return refused('day', PLAN_REFUSAL.begunStays);
    for (const s of both) setTime(uc.db, s.id, startsAtMs, minutes);
    if (other)
      keepChanges(uc, { subject: 'plan', subjectId: other.id, clientId: other.clientId }, whenSheet(other), after);
    return { before: whenSheet(session), after };
  });
}

/** Finish a session although movements are left, or go on with it. */
export const finishSession = (uc: UseCase, id: string, finished: boolean): SaveResult =>
  changeSession(uc, id, (session) => {
    setFinished(uc.db, id, finished ? uc.nowMs : null);
    return { before: { finished: session.finishedAtMs !== null }, after: { finished } };
  });

/** Call a session off in which nothing was recorded, or have it again. */
export const callOffSession = (uc: UseCase, id: string, off: boolean): SaveResult =>
  changeSession(uc, id, (session) => {
    if (off && hasBegun(uc, session)) return refused('session', PLAN_REFUSAL.begunIsFinished);
    setCalledOff(uc.db, id, off ? uc.nowMs : null);
    return { before: { calledOff: session.calledOffAtMs !== null }, after: { calledOff: off } };
  });

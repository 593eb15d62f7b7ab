import 'server-only';
import { randomUUID } from 'node:crypto';
import dayjs from 'dayjs';
import { v5 as uuidFrom } from 'uuid';
import { noteDefaults } from '@/core/body/client-note';
import { limitsOn, loadLimits } from '@/core/body/clinician-limit';
import { SIDES, workingSides, type WorkingSide } from '@/core/body/side';
import { BOOK, entryOf } from '@/core/book/book';
import { usesBand } from '@/core/book/book-entry';
import { findOverload } from '@/core/book/load-limit';
import { findNearestStep } from '@/core/load/stack-steps';
import { sideOrder } from '@/core/record/side-pair';
import { gramsToKg, kgToGrams } from '@/core/units/mass';
import { toFieldIssues } from '@/contract/field';
import { planFormSchema, type PlanForm } from '@/contract/plan-form';
import type { SaveResult } from '@/contract/save-result';
import { SESSION_MINUTES } from '@/contract/session-form';
import { toGrams } from '@/contract/to-kit';
import type { Client } from '@/contract/views/client';
import type { NewItem, PlanChoices, Session, Variant } from '@/contract/views/plan';
import type { Station } from '@/contract/views/station';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import { findAttachment, findStation, listAttachments, listBands, listStations } from '@/data/queries/kit';
import { addItem, addSession, clientOfItem, nextPosition, setFinished } from '@/data/queries/sessions';
import { findVariant, listVariants } from '@/data/queries/variants';
import { loadNumber } from '@/messages/loads';
import { PLAN_REFUSAL } from '@/messages/plan';
import { toLocalDay } from './clock';
import { floorSessions } from './floor-sessions';
import { loadSteps, loadUnit } from './load-steps';
import { idFromKey } from './form-key';
import { keepChanges } from './changes';
import { reachClient, reachClients, reachSession } from './reach';
import type { UseCase } from './use-case';

/** The first session on the floor of each client who has one. */
function sessionsToday(uc: UseCase): ReadonlyMap<string, Session> {
  return new Map(
    floorSessions(uc)
      .map((s) => [s.clientId, s] as const)
      .toReversed(),
  );
}

/** A client's session of today. */
const sessionToday = (uc: UseCase, clientId: string): Session | null => sessionsToday(uc).get(clientId) ?? null;

/** Where a client trains: today's session's gym, else the first on record. */
const gymOf = (uc: UseCase, session: Session | null): string | null => session?.gymId ?? listGyms(uc.db)[0]?.id ?? null;

/** What a movement can be planned with today. */
export function listPlanChoices(uc: UseCase): PlanChoices {
  const { db } = uc;
  const today = sessionsToday(uc);
  const poundsAt = new Map(
    listGyms(db).map((g) => [
      g.id,
      BOOK.filter((e) => e.load.kind !== 'cable' && loadUnit(db, g.id, e, null) === 'lb').map((e) => e.id),
    ]),
  );
  return {
    clients: reachClients(uc).map((c) => ({
      value: c.id,
      label: c.name,
      oneArm: noteDefaults(c.notes).oneArm,
      inPounds: poundsAt.get(gymOf(uc, today.get(c.id) ?? null) ?? '') ?? [],
    })),
    stations: listStations(db)
      .filter((s) => !s.outOfOrder)
      .map((s) => ({ value: s.id, label: s.name, unit: s.stackUnit })),
    attachments: listAttachments(db).map((a) => ({ value: a.id, label: a.name, kind: a.kind })),
    bands: listBands(db).map((b) => ({ value: b.id, label: b.name })),
    variants: listVariants(db).rows.map((v) => ({ value: v.id, label: v.name, movement: v.movement })),
  };
}

interface Planning {
  readonly form: PlanForm;
  readonly client: Client;
  readonly station: Station | null;
  readonly variant: Variant | null;
  readonly gymId: string;
  /** The session that it is added to; null where one begins with it. */
  readonly session: Session | null;
}

type Refusal = { readonly path: string; readonly message: string };

/** Find everything that a form names; a name that is not there is told at its field. */
function findNamed(uc: UseCase, form: PlanForm): Planning | Refusal {
  const { db } = uc;
  const onCable = entryOf(form.movement).load.kind === 'cable';
  const missing = (path: string): Refusal => ({ path, message: PLAN_REFUSAL.notListed });
  const client = reachClient(uc, form.clientId);
  if (!client) return missing('clientId');
  const session = form.sessionId === undefined ? sessionToday(uc, client.id) : reachSession(uc, form.sessionId);
  if (form.sessionId !== undefined && session?.clientId !== client.id) return missing('sessionId');
  const station = onCable ? findStation(db, form.stationId!) : null;
  if (onCable && !station) return missing('stationId');
  if (onCable && !findAttachment(db, form.attachmentId!)) return missing('attachmentId');
  if (usesBand(entryOf(form.movement)) && form.bandId !== undefined && !listBands(db).some((b) => b.id === form.bandId))
    return missing('bandId');
  const variant = form.variantId === undefined ? null : findVariant(db, form.variantId);
  if (form.variantId !== undefined && variant?.movement !== form.movement)
    return { path: 'variantId', message: PLAN_REFUSAL.otherVariant };
  const gymId = station?.gymId ?? gymOf(uc, session);
  return gymId === null
    ? { path: 'movement', message: PLAN_REFUSAL.noGym }
    : { form, client, station, variant, gymId, session };
}

/** What a load is planned for. */
interface Loading extends Pick<Planning, 'client' | 'station' | 'gymId'> {
  readonly form: Pick<PlanForm, 'movement' | 'side' | 'load' | 'unit'>;
}

/** The load as it is stamped here, grams; refused where a clinician's limit forbids it or no such load is here. */
export function findLoad({ db, nowMs }: UseCase, { form, client, station, gymId }: Loading): number | Refusal {
  const entry = entryOf(form.movement);
  const loadG = toGrams([form.load ?? 0], form.unit)[0]!;
  const limits = loadLimits(
    limitsOn(client.limits, toLocalDay(nowMs)),
    form.side === 'each' ? SIDES : workingSides(form.side),
  );
  const over = findOverload(entry, gramsToKg(loadG), station?.column.pulleyRatio ?? 1, limits);
  if (over) {
    const allowedKg = Math.floor(((over.mostKg * gramsToKg(loadG)) / over.haveKg) * 100) / 100;
    return {
      path: 'load',
      message: PLAN_REFUSAL.overLimit(kgToGrams(allowedKg), kgToGrams(over.mostKg), over.part, form.unit),
    };
  }
  const nearest = findNearestStep(loadSteps(db, gymId, entry, station), loadG);
  // Pounds are typed as they are stamped and kept to a tenth.
  return nearest !== null && loadNumber(nearest, form.unit) !== loadNumber(loadG, form.unit)
    ? { path: 'load', message: PLAN_REFUSAL.noSuchLoad(nearest, form.unit) }
    : (nearest ?? loadG);
}

/**
 * Add a movement to a session of a client, to today's where none is named, which begins with it when there is none. The
 * load must exist on the stack.
 */
export function planToday(uc: UseCase, typed: unknown, key: unknown = null): SaveResult {
  const parsed = planFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const planning = findNamed(uc, form);
  if ('path' in planning) return { ok: false, issues: [planning] };
  const { station, variant } = planning;
  const { load } = entryOf(form.movement);
  if (load.kind === 'cable' && station?.column.kind === 'single' && form.side === 'both' && !load.shared)
    return { ok: false, issues: [{ path: 'side', message: PLAN_REFUSAL.onePulley }] };
  const loadG = findLoad(uc, planning);
  if (typeof loadG !== 'number') return { ok: false, issues: [loadG] };
  const item: Omit<Unplaced, 'side'> = {
    id: idFromKey(key),
    movement: form.movement,
    variantId: variant?.id ?? null,
    stationId: station?.id ?? null,
    attachmentId: load.kind === 'cable' ? form.attachmentId! : null,
    bandId: usesBand(entryOf(form.movement)) ? (form.bandId ?? null) : null,
    sets: form.sets,
    reps: form.reps,
    tempo: form.tempo.toUpperCase(),
    loadG,
  };
  // Sent twice it is one movement.
  if (clientOfItem(uc.db, item.id) !== null) return { ok: true, id: item.id };
  const add = (one: Unplaced): void => {
    addTo(uc, planning, one);
    keepChanges(uc, { subject: 'plan', subjectId: one.id, clientId: form.clientId }, undefined, one);
  };
  const [first, second] = sidesPlanned(planning);
  inTransaction(uc.db, () => {
    add({ ...item, side: first });
    if (second) add({ ...item, id: otherSideId(item.id), side: second });
  });
  return { ok: true, id: item.id };
}

type Unplaced = Omit<NewItem, 'sessionId' | 'position'>;

/** The other side of a planned movement has an id that follows from the first one's: sent twice it is one. */
const otherSideId = (id: string): string => uuidFrom('other side', id);

/** Who works, in the order that it is done: each side is a plan of its own, the weaker first where it is noted. */
function sidesPlanned({ form, client }: Planning): readonly [WorkingSide, WorkingSide?] {
  return form.side === 'each' ? sideOrder(noteDefaults(client.notes).weakerSide) : [form.side];
}

/** A session begins when it is said to, else now, on whole five minutes. */
function startOf(nowMs: number, typed: string | undefined): dayjs.Dayjs {
  const now = dayjs(nowMs);
  if (typed === undefined) return now.startOf('minute').subtract(now.minute() % 5, 'minute');
  const [hours, minutes] = typed.split(':').map(Number);
  return now.startOf('day').hour(hours!).minute(minutes!);
}

/** Put a movement last in its session; one that was finished goes on. Today's first one opens it. */
function addTo(uc: UseCase, { form, gymId, session: named }: Planning, item: Unplaced): void {
  const session = named ?? sessionToday(uc, form.clientId);
  if (session) {
    if (session.finishedAtMs !== null) setFinished(uc.db, session.id, null);
    const position = nextPosition(uc.db, session.id);
    return addItem(uc.db, { ...item, sessionId: session.id, position }, uc.actor.id);
  }
  const startsAt = startOf(uc.nowMs, form.startsAt);
  const id = randomUUID();
  addSession(
    uc.db,
    {
      id,
      gymId,
      clientId: form.clientId,
      startsAtMs: startsAt.valueOf(),
      minutes: SESSION_MINUTES.usual,
      items: [{ ...item, sessionId: id, position: 0 }],
    },
    uc.actor.id,
  );
}

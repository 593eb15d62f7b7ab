import 'server-only';
import { randomUUID } from 'node:crypto';
import { SIDES } from '@/core/body/active-range';
import { limitsOn, mostLoadKg } from '@/core/body/clinician-limit';
import { noteDefaults } from '@/core/body/client-note';
import { BOOK, findEntry } from '@/core/book/book';
import { findNearestStep } from '@/core/load/stack-steps';
import { gramsToKg, kgToGrams } from '@/core/units/mass';
import { toFieldIssues } from '@/contract/field';
import { planFormSchema } from '@/contract/plan-form';
import { toGrams } from '@/contract/to-kit';
import { loadNumber, loadText } from '@/messages/loads';
import type { Db } from '@/data/open-db';
import { findClient, listClients } from '@/data/queries/clients';
import { addItem, addSession, listSessions } from '@/data/queries/sessions';
import { findAttachment, findStation, listAttachments, listStations } from '@/data/queries/kit';
import { listGyms } from '@/data/queries/gyms';
import { findVariant, listVariants } from '@/data/queries/variants';
import { inHandKg } from '@/core/book/entry-load';
import { dayOf } from './floor';
import { loadSteps, loadUnit } from './load-steps';
import { toLocalDay } from './clock';
import type { SaveResult } from './result';

const SESSION_MINUTES = 60;

/** Where a client trains: today's session's gym, else the first on record. */
function gymOf(db: Db, clientId: string, nowMs: number): string | null {
  const { fromMs, toMs } = dayOf(nowMs);
  return listSessions(db, fromMs, toMs).find((s) => s.clientId === clientId)?.gymId ?? listGyms(db)[0]?.id ?? null;
}

/** What a movement can be planned with today. */
export function listPlanChoices(db: Db, nowMs: number) {
  const poundsAt = new Map(
    listGyms(db).map((g) => [
      g.id,
      BOOK.filter((e) => e.load.kind !== 'cable' && loadUnit(db, g.id, e, null) === 'lb').map((e) => e.id),
    ]),
  );
  return {
    clients: listClients(db).map((c) => ({
      value: c.id,
      label: c.name,
      oneArm: noteDefaults(c.notes).oneArm,
      inPounds: poundsAt.get(gymOf(db, c.id, nowMs) ?? '') ?? [],
    })),
    stations: listStations(db)
      .filter((s) => !s.outOfOrder)
      .map((s) => ({ value: s.id, label: s.name, unit: s.stackUnit })),
    attachments: listAttachments(db).map((a) => ({ value: a.id, label: a.name, kind: a.kind })),
    variants: listVariants(db).map((v) => ({ value: v.id, label: v.name, movement: v.movement })),
  };
}

/** Add a movement to a client's session today, starting one when there is none. The load must exist on the stack. */
export function planToday(db: Db, typed: unknown, nowMs: number): SaveResult {
  const parsed = planFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const entry = findEntry(form.movement)!;
  const onCable = entry.load.kind === 'cable';
  const missing = (path: string): SaveResult => ({
    ok: false,
    issues: [{ path, message: 'expected one of the list' }],
  });
  const client = findClient(db, form.clientId);
  if (!client) return missing('clientId');
  const station = onCable ? findStation(db, form.stationId!) : null;
  if (onCable && !station) return missing('stationId');
  if (onCable && !findAttachment(db, form.attachmentId!)) return missing('attachmentId');
  const variant = form.variantId === undefined ? null : findVariant(db, form.variantId);
  if (form.variantId !== undefined && variant?.movement !== form.movement)
    return { ok: false, issues: [{ path: 'variantId', message: 'expected a variant of this movement' }] };
  const gymId = station?.gymId ?? gymOf(db, client.id, nowMs);
  if (gymId === null)
    return {
      ok: false,
      issues: [{ path: 'movement', message: 'expected a gym on record: enter one under Kit first' }],
    };
  const most = mostLoadKg(limitsOn(client.limits, toLocalDay(nowMs)), form.side === 'both' ? SIDES : [form.side]);
  const ratio = station?.column.pulleyRatio ?? 1;
  const loadG = toGrams([form.load ?? 0], form.unit)[0]!;
  const loadKg = gramsToKg(loadG);
  const inHand = inHandKg(entry, loadKg, ratio);
  if (most !== null && inHand > most) {
    const allowedG = kgToGrams(Math.floor(((most * loadKg) / inHand) * 100) / 100);
    return {
      ok: false,
      issues: [
        {
          path: 'load',
          message:
            `expected at most ${loadText(allowedG, form.unit)} here: a clinician’s limit of ` +
            `${loadText(kgToGrams(most), form.unit)} in the hand`,
        },
      ],
    };
  }
  if (entry.load.kind === 'cable' && station?.column.kind === 'single' && form.side === 'both' && !entry.load.shared)
    return { ok: false, issues: [{ path: 'side', message: 'expected left or right: a single column serves one arm' }] };
  const nearest = findNearestStep(loadSteps(db, gymId, entry, station), loadG);
  // Pounds are typed as they are stamped and kept to a tenth.
  if (nearest !== null && loadNumber(nearest, form.unit) !== loadNumber(loadG, form.unit)) {
    return {
      ok: false,
      issues: [
        { path: 'load', message: `expected a load that is here; the nearest is ${loadText(nearest, form.unit)}` },
      ],
    };
  }
  const { fromMs, toMs } = dayOf(nowMs);
  const [hours, minutes] = form.startsAt.split(':').map(Number);
  const startsAt = new Date(fromMs);
  startsAt.setHours(hours!, minutes!, 0, 0);
  const session = listSessions(db, fromMs, toMs).find((s) => s.clientId === form.clientId);
  const item = {
    id: randomUUID(),
    movement: form.movement,
    variantId: variant?.id ?? null,
    side: form.side,
    stationId: station?.id ?? null,
    attachmentId: onCable ? form.attachmentId! : null,
    sets: form.sets,
    reps: form.reps,
    tempo: form.tempo.toUpperCase(),
    loadG: nearest ?? loadG,
  };
  if (session) {
    addItem(db, {
      ...item,
      sessionId: session.id,
      position: Math.max(-1, ...session.items.map((i) => i.position)) + 1,
    });
    return { ok: true, id: item.id };
  }
  const sessionId = randomUUID();
  addSession(db, {
    id: sessionId,
    gymId,
    clientId: form.clientId,
    startsAtMs: startsAt.getTime(),
    minutes: SESSION_MINUTES,
    items: [{ ...item, sessionId, position: 0 }],
  });
  return { ok: true, id: item.id };
}

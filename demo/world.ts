import { CORRECTION_KIND, type RemedyKind } from '@/core/movement/correction-code';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import type { Db } from '@/data/open-db';
import { addAccount, findAccount } from '@/data/queries/accounts';
import { findCare, setTrainer } from '@/data/queries/care';
import { appendScreening, saveClient } from '@/data/queries/clients';
import { listGyms, saveGym } from '@/data/queries/gyms';
import { saveKit } from '@/data/queries/kit';
import { GYM, KIT, YARD } from './kit';
import { addSession, findItem } from '@/data/queries/sessions';
import { dayText, toLocalDay } from '@/server/clock';
import { recordEvents } from '@/server/record-events';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { Outcome } from '@/core/record/floor-event';
import { solvePlanned } from './solve-planned';
import { CLIENTS, DEMO_OWNER, DEMO_TRAINER, PAST, PLANS, RELIEF, SCREENINGS } from './people';

/** The demo world, built through the same use cases as real data. */

const actorId = DEMO_TRAINER.id;

/** Everybody who may go in, and whose clients are whose; accounts that are there already stay as they are. */
function loadAccounts(db: Db): void {
  for (const a of [DEMO_TRAINER, DEMO_OWNER, RELIEF])
    if (!findAccount(db, a.id)) addAccount(db, { ...a, passphraseHash: null });
  for (const { id } of CLIENTS)
    if (findCare(db, id)?.trainerId === null) setTrainer(db, id, id === 'corvin' ? RELIEF.id : DEMO_TRAINER.id);
}

function loadKitAndPeople(db: Db, nowMs: number): void {
  saveGym(db, GYM, actorId);
  saveGym(db, YARD, actorId);
  KIT.forEach((p) => saveKit(db, p, actorId));
  CLIENTS.forEach((c) => saveClient(db, c, actorId));
  for (const s of SCREENINGS)
    appendScreening(db, {
      id: `screening-${s.client}`,
      clientId: s.client,
      day: toLocalDay(nowMs) - s.daysAgo,
      doneBy: s.doneBy,
      procedure: s.procedure,
      recordedAtMs: nowMs,
      actorId,
    });
}

function addDay(db: Db, dayStart: Date, key: string, clientId: string, hour: number): void {
  const startsAt = new Date(dayStart);
  startsAt.setHours(hour, 0, 0, 0);
  const sessionId = `${clientId}-${key}`;
  const session = {
    id: sessionId,
    gymId: GYM.id,
    clientId,
    startsAtMs: startsAt.getTime(),
    minutes: 60,
    items: PLANS[clientId]!.map((p, i) => ({ ...p, id: `${sessionId}-${i}`, sessionId, position: i })),
  };
  addSession(db, session, actorId);
}

/** Replays a past session through the same use case as real taps. */
function replay(db: Db, past: (typeof PAST)[number], dayStart: Date): void {
  const itemId = `${past.client}-past-${past.daysAgo}-${past.item}`;
  const item = findItem(db, itemId)!;
  const { options, at } = solvePlanned({ db, actor: DEMO_TRAINER, nowMs: dayStart.getTime() }, itemId);
  const { placement: solved, off: isOff } = at!;
  const events: FloorEvent[] = [];
  let atMs = dayStart.getTime() + 10 * 3_600_000;
  let seq = 0;
  const add = (body: FloorEventBody): string => {
    seq += 1;
    atMs += 1000;
    const id = `${itemId}-e${seq}`;
    events.push({
      ...body,
      id,
      actorId,
      deviceId: 'demo-tablet',
      seq,
      atMs,
      clientId: past.client,
      itemId,
      movement: item.movement,
    });
    return id;
  };
  const saveSetup = (off: number): void => {
    const placement = { ...solved, hole: solved.hole + off };
    add({
      kind: 'setup-saved',
      placement,
      solved,
      off: isOff(placement),
      stationId: item.stationId,
      attachmentId: item.attachmentId,
      side: item.side,
      options,
    });
  };
  saveSetup(past.holeOff ?? 0);
  let open: { id: string; outcome: Outcome } | null = null;
  past.sets.forEach((set, i) => {
    const setId = `${itemId}-s${i + 1}`;
    const loadG = set.kg * 1000;
    add({ kind: 'set-started', setId, setNo: i + 1, loadG, targetReps: item.reps, tempo: item.tempo });
    for (let rep = 1; rep <= set.reps; rep++) {
      for (const [fault, reps] of set.faults ?? [])
        if (reps.includes(rep))
          add({ kind: 'fault', setId, rep, fault, side: 'both', severity: FAULT_BOOK[fault].severity });
      atMs += 6000;
      add({ kind: 'rep', setId, rep });
    }
    add({ kind: 'set-ended', setId, reps: set.reps });
    add({ kind: 'set-confirmed', setId, loadG, reps: set.reps });
    if (open) add({ kind: 'outcome', correctionId: open.id, setId, outcome: open.outcome });
    open = null;
    if (set.correction) {
      const [fault, correction, outcome] = set.correction;
      const cause: RemedyKind = CORRECTION_KIND[correction];
      open = { id: add({ kind: 'correction', setId, fault, correction, cause }), outcome };
      if (correction === 'solved-hole') saveSetup(0);
    }
    atMs += 90_000;
  });
  const result = recordEvents(
    { db, actor: DEMO_TRAINER, nowMs: atMs },
    { events: events.map((e) => ({ ...e, version: FLOOR_EVENT_VERSION })) },
  );
  if (!result.ok) throw new Error(`demo: ${itemId}: ${JSON.stringify(result.issues)}`);
}

/** The day on show: its name, and the hour around which sessions sit, so that whoever opens it finds somebody next. */
export const dayOnShow = (nowMs: number): { readonly key: string; readonly hour: number } => ({
  key: dayText(nowMs),
  hour: Math.min(20, Math.max(7, new Date(nowMs).getHours())),
});

/** Load the world where it is missing, and give today its sessions; what was recorded stays. */
export function loadDemoWorld(db: Db, nowMs: number): void {
  const today = new Date(nowMs);
  today.setHours(0, 0, 0, 0);
  const fresh = !listGyms(db).some((g) => g.id === GYM.id);
  if (fresh) loadKitAndPeople(db, nowMs);
  loadAccounts(db);
  if (fresh) {
    for (const past of PAST.toSorted((a, b) => b.daysAgo - a.daysAgo)) {
      const dayStart = new Date(today);
      dayStart.setDate(dayStart.getDate() - past.daysAgo);
      addDay(db, dayStart, `past-${past.daysAgo}`, past.client, 10);
      replay(db, past, dayStart);
    }
  }
  const { hour, key } = dayOnShow(nowMs);
  addDay(db, today, key, 'sefina', hour);
  addDay(db, today, key, 'anselm', hour + 1);
  addDay(db, today, key, 'wilhelmina', hour + 2);
}

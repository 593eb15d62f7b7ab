import 'server-only';
import { randomUUID } from 'node:crypto';
import { SIDES } from '@/core/body/active-range';
import { limitsOn, mostLoadKg } from '@/core/body/clinician-limit';
import { findNearestStep } from '@/core/load/stack-steps';
import { gramsToKg, kgToGrams } from '@/core/units/mass';
import { toFieldIssues } from '@/contract/field';
import { planFormSchema } from '@/contract/plan-form';
import type { Db } from '@/data/open-db';
import { findClient } from '@/data/queries/clients';
import { addItem, addSession, listSessions } from '@/data/queries/sessions';
import { findAttachment, findStation } from '@/data/queries/kit';
import { dayOf } from './floor';
import { toLocalDay } from './clock';
import type { SaveResult } from './result';

const SESSION_MINUTES = 60;

/** Add a movement to a client's session today, starting one when there is none. The load must exist on the stack. */
export function planToday(db: Db, typed: unknown, nowMs: number): SaveResult {
  const parsed = planFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const station = findStation(db, form.stationId);
  const missing = (path: string): SaveResult => ({ ok: false, issues: [{ path, message: 'expected one of the list' }] });
  if (!findClient(db, form.clientId)) return missing('clientId');
  if (!station) return missing('stationId');
  if (!findAttachment(db, form.attachmentId)) return missing('attachmentId');
  const client = findClient(db, form.clientId)!;
  const most = mostLoadKg(limitsOn(client.limits, toLocalDay(nowMs)), form.side === 'both' ? SIDES : [form.side]);
  if (most !== null && form.loadKg / station.column.pulleyRatio > most) {
    return { ok: false, issues: [{ path: 'loadKg', message: `expected at most ${Math.floor(most * station.column.pulleyRatio * 100) / 100} kg on this stack: a clinician’s limit of ${most} kg in the hand` }] };
  }
  if (station.column.kind === 'single' && form.side === 'both') return { ok: false, issues: [{ path: 'side', message: 'expected left or right: a single column serves one arm' }] };
  const loadG = kgToGrams(form.loadKg);
  const nearest = findNearestStep(station.stackG, loadG);
  if (nearest !== null && nearest !== loadG) {
    return { ok: false, issues: [{ path: 'loadKg', message: `expected a step of this stack; the nearest is ${Math.round(gramsToKg(nearest) * 100) / 100} kg` }] };
  }
  const { fromMs, toMs } = dayOf(nowMs);
  const [hours, minutes] = form.startsAt.split(':').map(Number);
  const startsAt = new Date(fromMs);
  startsAt.setHours(hours!, minutes!, 0, 0);
  const session = listSessions(db, fromMs, toMs).find((s) => s.clientId === form.clientId);
  const item = {
    id: randomUUID(), movement: form.movement, side: form.side, stationId: form.stationId, attachmentId: form.attachmentId,
    sets: form.sets, reps: form.reps, tempo: form.tempo.toUpperCase(), loadG,
  };
  if (session) {
    addItem(db, { ...item, sessionId: session.id, position: Math.max(-1, ...session.items.map((i) => i.position)) + 1 });
    return { ok: true, id: item.id };
  }
  const sessionId = randomUUID();
  addSession(db, {
    id: sessionId, gymId: station.gymId, clientId: form.clientId, startsAtMs: startsAt.getTime(), minutes: SESSION_MINUTES,
    items: [{ ...item, sessionId, position: 0 }],
  });
  return { ok: true, id: item.id };
}

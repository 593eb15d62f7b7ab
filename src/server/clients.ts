import 'server-only';
import { randomUUID } from 'node:crypto';
import { SIDES } from '@/core/body/active-range';
import { screeningState, type Screening, type ScreeningState } from '@/core/body/screening';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { clientFormSchema, screeningFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import type { Db } from '@/data/open-db';
import { appendScreening, findClient, findScreening, saveClient } from '@/data/queries/clients';
import { listGyms } from '@/data/queries/gyms';
import { toLocalDay } from './clock';
import type { SaveResult } from './result';

/** Check and keep a client sheet; a null id makes a new client. */
export function saveClientForm(db: Db, id: string | null, typed: unknown): SaveResult {
  const parsed = clientFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const clientId = id ?? randomUUID();
  const path = (side: (typeof SIDES)[number]) =>
    form.armPath[side].map((t) => ({ belowDeg: t.belowDeg, behindM: t.behindCm / 100 }));
  saveClient(db, {
    id: clientId,
    name: form.name,
    note: form.note,
    statureM: form.statureCm / 100,
    massKg: form.massKg,
    measuredM: Object.fromEntries(
      MEASURE_NAMES.flatMap((n) => (form.measuredCm[n] === undefined ? [] : [[n, form.measuredCm[n] / 100]])),
    ),
    range: form.rangeDeg,
    notes:
      form.unfelt.length > 0 && !form.notes.includes('does-not-feel') ? [...form.notes, 'does-not-feel'] : form.notes,
    unfelt: form.unfelt,
    limits: form.limits.map((l) => ({
      subject: l.subject,
      side: l.side,
      most: l.most,
      setBy: l.setBy,
      fromDay: l.from,
      untilDay: l.until ?? null,
    })),
    armPath: { left: path('left'), right: path('right') },
    chestLineDeg: form.chestLineDeg ?? null,
  });
  return { ok: true, id: clientId };
}

/** Keep that a screening was done; records are only added. It cannot lie ahead of today. */
export function saveScreening(db: Db, clientId: string, typed: unknown, nowMs: number): SaveResult {
  const parsed = screeningFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  if (!findClient(db, clientId))
    return { ok: false, issues: [{ path: 'doneBy', message: 'expected a client who is on record' }] };
  if (parsed.data.day > toLocalDay(nowMs))
    return { ok: false, issues: [{ path: 'day', message: 'expected today or a day before' }] };
  const id = randomUUID();
  appendScreening(db, id, clientId, parsed.data, nowMs);
  return { ok: true, id };
}

export interface ScreeningView {
  readonly screening: Screening | null;
  readonly state: ScreeningState;
}

/**
 * A client's newest screening against the gym's own setting (the strictest one, where a client is not tied to a gym).
 */
export function loadScreening(db: Db, clientId: string, gymId: string | null, nowMs: number): ScreeningView {
  const gyms = listGyms(db).filter((g) => gymId === null || g.id === gymId);
  const validDays = Math.min(365 * 10, ...gyms.map((g) => g.screeningDays));
  const screening = findScreening(db, clientId);
  return { screening, state: screeningState(screening, toLocalDay(nowMs), validDays) };
}

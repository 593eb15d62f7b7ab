import 'server-only';
import { randomUUID } from 'node:crypto';
import { buildBody } from '@/core/body/body-model';
import { SPACING_OVER_SHOULDERS_M } from '@/contract/case';
import { toFieldIssues } from '@/contract/field';
import { attachmentFormSchema, parseStackLoads, stationFormSchema } from '@/contract/station-form';
import type { Db } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { findStation, saveAttachment, saveStation } from '@/data/queries/stations';
import type { SaveResult } from './result';

/** The client whose shoulders ask for the widest station. */
function findBroadest(db: Db): { readonly name: string; readonly needM: number } | null {
  let broadest: { name: string; needM: number } | null = null;
  for (const c of listClients(db)) {
    const needM = buildBody(c).length.shoulderBreadth.m + SPACING_OVER_SHOULDERS_M;
    if (!broadest || needM > broadest.needM) broadest = { name: c.name, needM };
  }
  return broadest;
}

/** Check and keep a twin column; a null id makes a new one in the gym. */
export function saveStationForm(db: Db, gymId: string, id: string | null, typed: unknown): SaveResult {
  const parsed = stationFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const form = parsed.data;
  const broadest = findBroadest(db);
  if (broadest && form.twinSpacingCm / 100 < broadest.needM) {
    const expected = `expected at least ${Math.ceil(broadest.needM * 100)} cm: wider than the shoulders of ${broadest.name}, with room for the hands`;
    return { ok: false, issues: [{ path: 'twinSpacingCm', message: expected }] };
  }
  const stationId = id ?? randomUUID();
  saveStation(db, {
    id: stationId,
    gymId: id === null ? gymId : (findStation(db, id)?.gymId ?? gymId),
    name: form.name,
    column: {
      holes: form.holes,
      numberedFrom: form.numberedFrom,
      twinSpacingM: form.twinSpacingCm / 100,
      pulleyRatio: form.pulleyRatio,
      clearanceM: form.clearanceCm / 100,
      travelM: form.travelCm / 100,
    },
    room: { minDistanceM: form.minDistanceCm / 100, maxDistanceM: form.maxDistanceCm / 100 },
    readings: form.readings.map((r) => ({ hole: r.hole, heightM: r.heightCm / 100 })),
    stackG: parseStackLoads(form.stack, form.stackUnit) ?? [],
  });
  return { ok: true, id: stationId };
}

/** Check and keep an attachment; a null id makes a new one in the gym. */
export function saveAttachmentForm(db: Db, gymId: string, id: string | null, typed: unknown): SaveResult {
  const parsed = attachmentFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const attachmentId = id ?? randomUUID();
  saveAttachment(db, { id: attachmentId, gymId, name: parsed.data.name, lengthM: parsed.data.lengthCm / 100 });
  return { ok: true, id: attachmentId };
}

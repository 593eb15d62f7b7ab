'use server';
import { refresh } from 'next/cache';
import { sharedDb } from '@/data/open-db';
import { listGyms, saveGym } from '@/data/queries/stations';
import { saveClientForm } from '@/server/clients';
import { saveAttachmentForm, saveStationForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import type { SaveResult } from '@/server/result';

const FIRST_GYM = { id: 'gym', name: 'My gym' };

/** The gym that new kit belongs to; the first piece of kit opens one. */
function gymOfKit(): string {
  const db = sharedDb();
  const [gym] = listGyms(db);
  if (gym) return gym.id;
  saveGym(db, FIRST_GYM);
  return FIRST_GYM.id;
}

export async function saveClientAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return saveClientForm(sharedDb(), id, typed);
}

export async function saveStationAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return saveStationForm(sharedDb(), gymOfKit(), id, typed);
}

export async function saveAttachmentAction(id: string | null, typed: unknown): Promise<SaveResult> {
  const result = saveAttachmentForm(sharedDb(), gymOfKit(), id, typed);
  if (result.ok) refresh();
  return result;
}

export async function planTodayAction(typed: unknown): Promise<SaveResult> {
  const result = planToday(sharedDb(), typed, Date.now());
  if (result.ok) refresh();
  return result;
}

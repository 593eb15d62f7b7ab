'use server';
import { refresh } from 'next/cache';
import { sharedDb } from '@/data/open-db';
import { findGym, listGyms, saveGym } from '@/data/queries/gyms';
import { saveClientForm, saveScreening } from '@/server/clients';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { keepVariant } from '@/server/variants';
import type { SaveResult } from '@/server/result';

const FIRST_GYM = { id: 'gym', name: 'My gym', screeningDays: 365 };

/** The gym that new kit belongs to; the first piece of kit opens one. */
function gymOfKit(asked: string | null): string {
  const db = sharedDb();
  const gym = (asked === null ? null : findGym(db, asked)) ?? listGyms(db)[0];
  if (gym) return gym.id;
  saveGym(db, FIRST_GYM);
  return FIRST_GYM.id;
}

export async function saveClientAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return saveClientForm(sharedDb(), id, typed);
}

export async function saveScreeningAction(clientId: string, typed: unknown): Promise<SaveResult> {
  const result = saveScreening(sharedDb(), clientId, typed, Date.now());
  if (result.ok) refresh();
  return result;
}

export async function savePieceAction(gymId: string | null, id: string | null, typed: unknown): Promise<SaveResult> {
  return savePieceForm(sharedDb(), gymOfKit(gymId), id, typed);
}

export async function saveGymAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return saveGymForm(sharedDb(), id, typed);
}

export async function keepVariantAction(typed: unknown): Promise<SaveResult> {
  const result = keepVariant(sharedDb(), typed, Date.now());
  if (result.ok) refresh();
  return result;
}

export async function planTodayAction(typed: unknown): Promise<SaveResult> {
  const result = planToday(sharedDb(), typed, Date.now());
  if (result.ok) refresh();
  return result;
}

'use server';
import type { SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { PlanChoices } from '@/contract/views/plan';
import type { PutAwayKind } from '@/contract/views/put-away';
import type { Gym, KitPiece } from '@/contract/views/kit';
import type { SpottingKept } from '@/contract/views/spotting';
import { saveClientForm } from '@/server/clients';
import { eraseClientForGood } from '@/server/erase';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { addStarterKit } from '@/server/starter-kit';
import { acting } from '@/server/open-use-case';
import { putAway } from '@/server/put-away';
import { keepClientPractice, keepOwnPractice } from '@/server/practice';
import { listPlanChoices, planToday } from '@/server/plan';
import { saveScreening } from '@/server/screening';
import { orderSession } from '@/server/session-plan';
import { keepSpotting } from '@/server/spotting';
import { keepVariant } from '@/server/variants';
import { refreshed } from './refreshed';

export async function saveClientAction(
  id: string | null,
  typed: unknown,
  opened: Client | null,
  key: string,
): Promise<SaveResult<Client>> {
  return acting([id], (uc) => saveClientForm(uc, id, typed, opened, key));
}

export async function saveScreeningAction(clientId: string, typed: unknown, key: string): Promise<SaveResult> {
  return refreshed(await acting([clientId], (uc) => saveScreening(uc, clientId, typed, key)));
}

export async function savePieceAction(
  gymId: string | null,
  id: string | null,
  typed: unknown,
  opened: KitPiece | null,
  key: string,
): Promise<SaveResult<KitPiece>> {
  return acting([gymId, id], (uc) => savePieceForm(uc, gymId, id, typed, opened, key));
}

export async function addStarterKitAction(gymId: string | null, typed: unknown, key: string): Promise<SaveResult> {
  return refreshed(await acting([gymId], (uc) => addStarterKit(uc, gymId, typed, key)));
}

export async function saveGymAction(
  id: string | null,
  typed: unknown,
  opened: Gym | null,
  key: string,
): Promise<SaveResult<Gym>> {
  return acting([id], (uc) => saveGymForm(uc, id, typed, opened, key));
}

export async function keepVariantAction(typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => keepVariant(uc, typed)));
}

export async function keepSpottingAction(answers: unknown): Promise<SaveResult<SpottingKept>> {
  return acting([], (uc) => keepSpotting(uc, answers));
}

export async function orderSessionAction(sessionId: string, itemIds: unknown): Promise<SaveResult> {
  return refreshed(await acting([sessionId], (uc) => orderSession(uc, sessionId, itemIds)));
}

export async function putAwayAction(kind: PutAwayKind, id: string, away: boolean): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => putAway(uc, kind, id, away)));
}

export async function planTodayAction(typed: unknown, key: string): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => planToday(uc, typed, key)));
}

/** What a movement can be planned with, for the form as it is opened. */
export async function findPlanChoicesAction(): Promise<SaveResult<PlanChoices>> {
  return acting([], (uc) => ({ ok: true, id: 'choices', kept: listPlanChoices(uc) }));
}

export async function keepClientPracticeAction(clientId: string, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([clientId], (uc) => keepClientPractice(uc, clientId, typed)));
}

export async function keepOwnPracticeAction(typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => keepOwnPractice(uc, typed)));
}

export async function eraseClientAction(clientId: string, name: unknown): Promise<SaveResult> {
  return acting([clientId], (uc) => eraseClientForGood(uc, clientId, name));
}

'use server';
import { refresh } from 'next/cache';
import type { SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { KitPiece } from '@/contract/views/kit';
import { saveClientForm } from '@/server/clients';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { saveScreening } from '@/server/screening';
import { openUseCase } from '@/server/use-case';
import { keepVariant } from '@/server/variants';

/** What is shown follows what was saved. */
function refreshed(result: SaveResult): SaveResult {
  if (result.ok) refresh();
  return result;
}

export async function saveClientAction(
  id: string | null,
  typed: unknown,
  opened: Client | null,
): Promise<SaveResult<Client>> {
  return saveClientForm(openUseCase(), id, typed, opened);
}

export async function saveScreeningAction(clientId: string, typed: unknown): Promise<SaveResult> {
  return refreshed(saveScreening(openUseCase(), clientId, typed));
}

export async function savePieceAction(
  gymId: string | null,
  id: string | null,
  typed: unknown,
  opened: KitPiece | null,
): Promise<SaveResult<KitPiece>> {
  return savePieceForm(openUseCase(), gymId, id, typed, opened);
}

export async function saveGymAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return saveGymForm(openUseCase(), id, typed);
}

export async function keepVariantAction(typed: unknown): Promise<SaveResult> {
  return refreshed(keepVariant(openUseCase(), typed));
}

export async function planTodayAction(typed: unknown): Promise<SaveResult> {
  return refreshed(planToday(openUseCase(), typed));
}

'use server';
import { cookies, headers } from 'next/headers';
import type { SaveResult } from '@/contract/save-result';
import type { SheetNamesView } from '@/contract/views/records';
import {
  addTrainer,
  changePassphrase,
  choosePin,
  createOwner,
  endAccount,
  endDevice,
  signIn,
  signInToDemo,
  signOut,
  unlock,
  type AtDoor,
  type Entry,
} from '@/server/accounts';
import { backUpNow, restoreBackup } from '@/server/backups';
import { takeRecords } from '@/server/records-flow';
import { matchSheet } from '@/server/spreadsheets';
import { COOKIE, cookieOptions } from '@/server/session-cookie';
import { endCoverOf, giveClient } from '@/server/care';
import { acting, requestToken } from '@/server/open-use-case';
import { sharedRecords } from '@/server/records-file';
import { skipStep } from '@/server/first-steps';
import { endToken, makeToken } from '@/server/tokens';
import { refreshed } from './refreshed';

const atDoor = async (): Promise<AtDoor> => ({
  db: sharedRecords(),
  nowMs: Date.now(),
  place: (await headers()).get('x-place') ?? '',
});

/** The device keeps its token; no script reads it. */
async function entered(entry: Entry): Promise<SaveResult> {
  if (!entry.ok) return entry;
  (await cookies()).set(COOKIE, entry.token, cookieOptions());
  return { ok: true, id: '' };
}

export async function createOwnerAction(typed: unknown, device: string): Promise<SaveResult> {
  return entered(await createOwner(await atDoor(), typed, device));
}

export async function signInAction(typed: unknown): Promise<SaveResult> {
  return entered(await signIn(await atDoor(), typed));
}

export async function signInToDemoAction(accountId: string, device: string): Promise<SaveResult> {
  return entered(signInToDemo(await atDoor(), accountId, device));
}

export async function unlockAction(typed: unknown): Promise<SaveResult> {
  return unlock(await atDoor(), await requestToken(), typed);
}

export async function signOutAction(): Promise<SaveResult> {
  signOut(await atDoor(), await requestToken());
  (await cookies()).delete(COOKIE);
  return { ok: true, id: '' };
}

export async function addTrainerAction(typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => addTrainer(uc, typed)));
}

export async function endAccountAction(id: string, end: boolean): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => endAccount(uc, id, end)));
}

export async function changePassphraseAction(id: string | null, typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => changePassphrase(uc, id ?? uc.actor.id, typed)));
}

export async function choosePinAction(typed: unknown): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => choosePin(uc, typed)));
}

export async function endDeviceAction(id: string): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => endDevice(uc, id)));
}

export async function giveClientAction(clientId: string, typed: unknown): Promise<SaveResult> {
  const given = await acting([clientId], (uc) => giveClient(uc, clientId, typed));
  return given.ok && given.id === '' ? given : refreshed(given);
}

export async function endCoverAction(clientId: string, coverId: string): Promise<SaveResult> {
  return refreshed(await acting([clientId, coverId], (uc) => endCoverOf(uc, clientId, coverId)));
}

export async function backUpNowAction(): Promise<SaveResult> {
  return refreshed(await acting([], backUpNow));
}

export async function makeTokenAction(typed: unknown): Promise<SaveResult<string>> {
  return acting([], (uc) => makeToken(uc, typed));
}

export async function endTokenAction(id: string): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => endToken(uc, id)));
}

export async function takeRecordsAction(id: string): Promise<SaveResult> {
  return refreshed(await acting([id], (uc) => takeRecords(uc, id)));
}

export async function matchSheetAction(id: string, reading: unknown): Promise<SaveResult<SheetNamesView>> {
  return acting([id], (uc) => matchSheet(uc, id, reading));
}

export async function skipStepAction(step: string, isSkipped: boolean): Promise<SaveResult> {
  return refreshed(await acting([], (uc) => skipStep(uc, step, isSkipped)));
}

export async function restoreBackupAction(name: string): Promise<SaveResult> {
  return acting([], (uc) => restoreBackup(uc, name));
}

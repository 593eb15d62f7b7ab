import 'server-only';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { readId } from '@/contract/id';
import type { SaveResult } from '@/contract/save-result';
import type { DoorView } from '@/contract/views/account';
import { sharedDb } from '@/data/open-db';
import { EXPECTED } from '@/messages/expected';
import { loadDoor } from './accounts';
import { authenticate, noteUse } from './authenticate';
import { COOKIE } from './session-cookie';
import { signInPath } from './sign-in-path';
import { storageTrouble } from './storage-trouble';
import type { UseCase } from './use-case';

/** The token that a request brings. */
export const requestToken = async (): Promise<string | undefined> => (await cookies()).get(COOKIE)?.value;

/** For one request: the shared records, who is signed in, and the server's clock read once; null for nobody. */
async function findUseCase(): Promise<UseCase | null> {
  const [db, nowMs] = [sharedDb(), Date.now()];
  const signedIn = authenticate(db, await requestToken(), nowMs);
  if (signedIn?.state !== 'open') return null;
  noteUse(db, signedIn, nowMs);
  return { db, actor: signedIn.actor, nowMs, sessionId: signedIn.session.id };
}

/** For a page: who is not signed in is sent to sign in, and comes back to where they were. */
export async function openUseCase(): Promise<UseCase> {
  return (await findUseCase()) ?? redirect(signInPath((await headers()).get('x-path')));
}

/** Who is signed in, where a page is drawn for everybody; null for nobody. */
export const findActor = async (): Promise<UseCase['actor'] | null> => (await findUseCase())?.actor ?? null;

/** What who is not signed in is met with. */
export const openDoor = async (): Promise<DoorView> =>
  loadDoor({ db: sharedDb(), nowMs: Date.now() }, await requestToken());

/**
 * For a form: what it saves, or why nothing could be saved. Who is signed out stays on the page with what they typed,
 * and so does who meets a full disk. `ids`: what it names, null for what is new.
 */
export async function acting<V = never>(
  ids: readonly unknown[],
  does: (uc: UseCase) => SaveResult<V> | Promise<SaveResult<V>>,
): Promise<SaveResult<V>> {
  const uc = await findUseCase();
  if (!uc) return { ok: false, issues: [], trouble: 'signedOut' };
  if (ids.some((id) => id !== null && readId(id) === null))
    return { ok: false, issues: [{ path: '', message: EXPECTED.id }] };
  try {
    return await does(uc);
  } catch (error) {
    const trouble = storageTrouble(error);
    if (trouble === null) throw error;
    return { ok: false, issues: [], trouble };
  }
}

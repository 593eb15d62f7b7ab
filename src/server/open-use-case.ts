import 'server-only';
import { cookies, headers } from 'next/headers';
import { redirect } from 'next/navigation';
import type { SaveResult } from '@/contract/save-result';
import type { DoorView } from '@/contract/views/account';
import { sharedDb } from '@/data/open-db';
import { loadDoor } from './accounts';
import { loadFirstSteps } from './first-steps';
import { attempt } from './attempt';
import { authenticate, noteUse } from './authenticate';
import { COOKIE } from './session-cookie';
import { signInPath } from './sign-in-path';
import { toUseCase } from './signed-in-use-case';
import type { UseCase } from './use-case';

/** The token that a request brings. */
export const requestToken = async (): Promise<string | undefined> => (await cookies()).get(COOKIE)?.value;

/** For one request: the shared records, who is signed in, and the server's clock read once; null for nobody. */
async function findUseCase(): Promise<UseCase | null> {
  // Asked for before the records are opened: while pages are built there is no request, and nothing is begun.
  const token = await requestToken();
  const [db, nowMs] = [sharedDb(), Date.now()];
  const signedIn = authenticate(db, token, nowMs);
  if (signedIn?.state !== 'open') return null;
  noteUse(db, signedIn, nowMs);
  return toUseCase(signedIn, nowMs);
}

/** For a page: who is not signed in is sent to sign in, and comes back to where they were. */
export async function openUseCase(): Promise<UseCase> {
  return (await findUseCase()) ?? redirect(signInPath((await headers()).get('x-path')));
}

/** Who is signed in, where a page is drawn for everybody; null for nobody. */
export const findActor = async (): Promise<UseCase['actor'] | null> => (await findUseCase())?.actor ?? null;

/** Who is signed in, with the first steps of a new gym where they are its owner's and under way. */
export async function findHere() {
  const uc = await findUseCase();
  const steps = uc && loadFirstSteps(uc);
  return { actor: uc?.actor ?? null, steps: steps?.some((s) => s.state === 'open') ? steps : null };
}

/** What who is not signed in is met with. */
export async function openDoor(): Promise<DoorView> {
  const token = await requestToken();
  return loadDoor({ db: sharedDb(), nowMs: Date.now() }, token);
}

/** For a form: `attempt` for who is signed in. */
export const acting = async <V = never>(
  ids: readonly unknown[],
  does: (uc: UseCase) => SaveResult<V> | Promise<SaveResult<V>>,
): Promise<SaveResult<V>> => attempt(await findUseCase(), ids, does);

import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { Door } from '@/features/account/door';
import { findActor, openDoor } from '@/server/open-use-case';
import { placeAfterSignIn } from '@/server/sign-in-path';
import { WORDS } from '@/messages/screens/account';
import { createOwnerAction, signInAction, signInToDemoAction, unlockAction } from '../account-actions';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.signIn };

/** The way in. */
export default async function SignInPage({ searchParams }: { readonly searchParams: Asked }) {
  const to = placeAfterSignIn((await readAsked(searchParams)).to);
  if (await findActor()) redirect(to);
  const view = await openDoor();
  const does = {
    createOwner: createOwnerAction,
    signIn: signInAction,
    signInToDemo: signInToDemoAction,
    unlock: unlockAction,
  };
  return <Door view={view} to={to} {...does} />;
}

import type { Metadata } from 'next';
import { AccountPage } from '@/features/account/account-page';
import { loadAccount } from '@/server/accounts';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/account';
import {
  changePassphraseAction,
  choosePinAction,
  endDeviceAction,
  endTokenAction,
  makeTokenAction,
  signOutAction,
} from '../account-actions';

export const metadata: Metadata = { title: WORDS.account };

/** One's own account. */
export default async function Account() {
  const view = loadAccount(await openUseCase());
  return (
    <div className="page">
      <h1>{WORDS.account}</h1>
      <AccountPage
        view={view}
        signOut={signOutAction}
        choosePin={choosePinAction}
        changePassphrase={changePassphraseAction.bind(null, null)}
        endDevice={endDeviceAction}
        makeToken={makeTokenAction}
        endToken={endTokenAction}
      />
    </div>
  );
}

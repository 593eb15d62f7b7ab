import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PeoplePage } from '@/features/account/people-page';
import { loadPeople } from '@/server/accounts';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/account';
import { addTrainerAction, changePassphraseAction, endAccountAction, endDeviceAction } from '../account-actions';

export const metadata: Metadata = { title: WORDS.people };

/** Who may sign in: for the owner. */
export default async function People() {
  const people = loadPeople(await openUseCase());
  if (!people) notFound();
  return (
    <div className="page">
      <h1>{WORDS.people}</h1>
      <PeoplePage
        people={people}
        addTrainer={addTrainerAction}
        endAccount={endAccountAction}
        setPassphrase={changePassphraseAction}
        endDevice={endDeviceAction}
      />
    </div>
  );
}

import type { Metadata } from 'next';
import { Link } from '@/features/shell/link';
import { clientTitle } from '@/server/titles';
import { notFound } from 'next/navigation';
import lists from '@/features/shell/lists.module.css';
import { CarePanel } from '@/features/client/care-panel';
import { EraseClient } from '@/features/client/erase-client';
import { ClientSheet } from '@/features/client/client-sheet';
import { ScreeningForm } from '@/features/client/screening-form';
import { ChangeTable } from '@/features/records/change-table';
import { SetupBook } from '@/features/client/setup-book';
import forms from '@/features/shell/forms.module.css';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { PutAwayButton } from '@/features/shell/put-away';
import { loadClient } from '@/server/clients';
import { openUseCase } from '@/server/open-use-case';
import { endCoverAction, giveClientAction } from '../../account-actions';
import { eraseClientAction, putAwayAction, saveClientAction, saveScreeningAction } from '../../actions';
import { WORDS as RECORDS_WORDS } from '@/messages/screens/records';
import { RECORDS_FILE } from '@/messages/records-file';
import { WORDS } from '@/messages/screens/pages';
import { PRACTICE } from '@/messages/screens/practice';

/** What the page is called: whose, and which place. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ clientId: string }>;
}): Promise<Metadata> {
  return { title: clientTitle(await openUseCase(), (await params).clientId, WORDS.sheet) };
}

export default async function ClientPage({ params }: { readonly params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const sheet = loadClient(await openUseCase(), clientId);
  if (!sheet) notFound();
  const { client, guide, setupBook, screening, today, gymSaidIn, unreadable, care, history, mayErase } = sheet;
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{client.name}</h1>
        <Link href={`/clients/${client.id}/hand-over`}>{WORDS.handOver}</Link>
        <Link href={`/clients/${client.id}/practice`}>{PRACTICE.link}</Link>
        <Link href={`/ledger/${client.id}`}>{WORDS.ledger}</Link>
      </div>
      <ClientSheet
        key={client.id}
        client={client}
        guide={guide}
        today={today}
        gymSaidIn={gymSaidIn}
        save={saveClientAction}
      />
      <SetupBook pages={setupBook} />
      <UnreadableNote rows={unreadable} />
      <ScreeningForm
        key={`screening-${client.id}`}
        clientId={client.id}
        view={screening}
        today={today}
        save={saveScreeningAction.bind(null, client.id)}
      />
      {care && (
        <CarePanel
          key={`care-${client.id}`}
          care={care}
          give={giveClientAction.bind(null, client.id)}
          callOff={endCoverAction.bind(null, client.id)}
        />
      )}
      <p>
        <a className={lists.link} href={`/api/v1/records/${client.id}`} download>
          {RECORDS_FILE.outClient}
        </a>
      </p>
      <PutAwayButton thing={{ kind: 'client', id: client.id, name: client.name }} act={putAwayAction} list="/clients" />
      <details className={`${forms.fold} ${lists.history}`}>
        <summary>{RECORDS_WORDS.history}</summary>
        <p>{RECORDS_WORDS.historyText}</p>
        <ChangeTable changes={history} named={false} label={RECORDS_WORDS.history} />
      </details>
      {mayErase && <EraseClient client={client} erase={eraseClientAction.bind(null, client.id)} />}
    </div>
  );
}

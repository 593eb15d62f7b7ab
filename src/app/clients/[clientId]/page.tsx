import Link from 'next/link';
import { notFound } from 'next/navigation';
import { ClientSheet } from '@/features/client/client-sheet';
import { ScreeningForm } from '@/features/client/screening-form';
import { SetupBook } from '@/features/client/setup-book';
import forms from '@/features/shell/forms.module.css';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { loadClient } from '@/server/clients';
import { openUseCase } from '@/server/use-case';
import { saveClientAction, saveScreeningAction } from '../../actions';
import { WORDS } from '@/messages/screens/pages';

export default async function ClientPage({ params }: { readonly params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const sheet = loadClient(openUseCase(), clientId);
  if (!sheet) notFound();
  const { client, guide, setupBook, screening, today, unreadable } = sheet;
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{client.name}</h1>
        <Link href={`/ledger/${client.id}`}>{WORDS.ledger}</Link>
      </div>
      <ClientSheet key={client.id} client={client} guide={guide} today={today} save={saveClientAction} />
      <SetupBook pages={setupBook} />
      <UnreadableNote rows={unreadable} />
      <ScreeningForm
        key={`screening-${client.id}`}
        clientId={client.id}
        view={screening}
        today={today}
        save={saveScreeningAction.bind(null, client.id)}
      />
    </div>
  );
}

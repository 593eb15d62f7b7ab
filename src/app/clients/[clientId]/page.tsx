import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { findClient } from '@/data/queries/clients';
import { findAttachment, findStation } from '@/data/queries/kit';
import { ClientSheet } from '@/features/client/client-sheet';
import { SetupBook } from '@/features/client/setup-book';
import { ScreeningForm } from '@/features/client/screening-form';
import forms from '@/features/shell/forms.module.css';
import { readClock, today } from '@/server/clock';
import { loadScreening } from '@/server/clients';
import { loadMeasuringGuide } from '@/server/measuring-guide';
import { loadSetupBook } from '@/server/setup-book';
import { toSetupBookView } from '../../setup-book-view';
import { saveClientAction, saveScreeningAction } from '../../actions';

export default async function ClientPage({ params }: { readonly params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const db = sharedDb();
  const client = findClient(db, clientId);
  if (!client) notFound();
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{client.name}</h1>
        <Link href={`/ledger/${client.id}`}>Ledger</Link>
      </div>
      <ClientSheet
        key={client.id}
        client={client}
        guide={loadMeasuringGuide(db, client.id)}
        today={today()}
        save={saveClientAction}
      />
      <SetupBook
        pages={toSetupBookView(loadSetupBook(db, client.id), {
          station: (id) => (id === null ? null : findStation(db, id)),
          handle: (id) => (id === null ? '' : (findAttachment(db, id)?.name ?? '')),
        })}
      />
      <ScreeningForm
        key={`screening-${client.id}`}
        clientId={client.id}
        view={loadScreening(db, client.id, null, readClock())}
        today={today()}
        save={saveScreeningAction.bind(null, client.id)}
      />
    </div>
  );
}

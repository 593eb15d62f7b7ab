import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { findClient } from '@/data/queries/clients';
import { ClientSheet } from '@/features/client/client-sheet';
import forms from '@/features/shell/forms.module.css';
import { saveClientAction } from '../../actions';

export default async function ClientPage({ params }: { readonly params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const client = findClient(sharedDb(), clientId);
  if (!client) notFound();
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{client.name}</h1>
        <Link href={`/ledger/${client.id}`}>Ledger</Link>
      </div>
      <ClientSheet key={client.id} client={client} save={saveClientAction} />
    </div>
  );
}

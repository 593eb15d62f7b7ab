import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { findClient } from '@/data/queries/clients';
import { LedgerTable } from '@/features/ledger/ledger-table';
import forms from '@/features/shell/forms.module.css';
import { loadLedger } from '@/server/ledger';
import { toLedgerView } from '../../ledger-view';

export default async function LedgerPage({ params }: { readonly params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const db = sharedDb();
  const client = findClient(db, clientId);
  if (!client) notFound();
  const ledger = toLedgerView(loadLedger(db, clientId));
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>Ledger of {client.name}</h1>
        <Link href={`/clients/${client.id}`}>Client sheet</Link>
      </div>
      {ledger.length === 0 && <p>Nothing recorded yet. What is tapped during a set shows here.</p>}
      {ledger.map((m) => (
        <LedgerTable key={m.movement} ledger={m} />
      ))}
    </div>
  );
}

import Link from 'next/link';
import { connection } from 'next/server';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import forms from '@/features/shell/forms.module.css';
import { FAULT_TEXT } from '@/messages/faults';
import { loadLedger } from '@/server/ledger';

export default async function LedgerIndexPage() {
  await connection();
  const db = sharedDb();
  const rows = listClients(db).map((c) => {
    const ledger = loadLedger(db, c.id);
    const sets = ledger.flatMap((m) => m.sessions).reduce((n, s) => n + s.sets.length, 0);
    const top = ledger
      .flatMap((m) => m.faults)
      .filter((f) => !f.cleared)
      .sort((a, b) => b.weight - a.weight)[0];
    return { id: c.id, name: c.name, sets, top: top ? FAULT_TEXT[top.fault].seen : '' };
  });
  return (
    <div className="page">
      <h1>Ledger</h1>
      {rows.length === 0 && <p>No clients yet.</p>}
      <ul className={forms.list}>
        {rows.map((r) => (
          <li key={r.id}>
            <Link href={`/ledger/${r.id}`}>
              <b>{r.name}</b>
              <span>{r.top}</span>
              <span>{r.sets} sets</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

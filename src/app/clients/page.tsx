import Link from 'next/link';
import { connection } from 'next/server';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import forms from '@/features/shell/forms.module.css';

export default async function ClientsPage() {
  await connection();
  const clients = listClients(sharedDb());
  return (
    <div className="page">
      <h1>Clients</h1>
      {clients.length === 0 && <p>No clients yet.</p>}
      <ul className={forms.list}>
        {clients.map((c) => (
          <li key={c.id}>
            <Link href={`/clients/${c.id}`}>
              <b>{c.name}</b>
              <span>{c.note}</span>
              <span>
                {Math.round(c.statureM * 100)} cm, {c.massKg} kg, {Object.keys(c.measuredM).length} measured
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Link href="/clients/new" className={forms.add}>
        Add a client
      </Link>
    </div>
  );
}

import Link from 'next/link';
import { connection } from 'next/server';
import forms from '@/features/shell/forms.module.css';
import { loadClients } from '@/server/clients';
import { openUseCase } from '@/server/use-case';

export default async function ClientsPage() {
  await connection();
  const clients = loadClients(openUseCase());
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

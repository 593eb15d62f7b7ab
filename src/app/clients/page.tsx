import type { Metadata } from 'next';
import Link from 'next/link';
import { connection } from 'next/server';
import forms from '@/features/shell/forms.module.css';
import { loadClients } from '@/server/clients';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = { title: WORDS.clients };

export default async function ClientsPage() {
  await connection();
  const clients = loadClients(await openUseCase());
  return (
    <div className="page">
      <h1>{WORDS.clients}</h1>
      {clients.length === 0 && <p>{WORDS.noClientsYet}</p>}
      <ul className={forms.list}>
        {clients.map((c) => (
          <li key={c.id}>
            <Link href={`/clients/${c.id}`}>
              <b>{c.name}</b>
              <span>{c.note}</span>
              <span>{WORDS.cmKgMeasured(Math.round(c.statureM * 100), c.massKg, Object.keys(c.measuredM).length)}</span>
            </Link>
          </li>
        ))}
      </ul>
      <Link href="/clients/new" className={forms.add}>
        {WORDS.addAClient}
      </Link>
    </div>
  );
}

import type { Metadata } from 'next';
import { connection } from 'next/server';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { PutAwayList, PutAwayUndo } from '@/features/shell/put-away';
import { loadClients } from '@/server/clients';
import { openUseCase } from '@/server/open-use-case';
import { loadPutAway } from '@/server/put-away';
import { putAwayAction } from '../actions';
import { readAsked, type Asked } from '../asked';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = { title: WORDS.clients };

export default async function ClientsPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const uc = await openUseCase();
  const clients = loadClients(uc);
  const things = loadPutAway(uc, ['client']);
  const { away } = await readAsked(searchParams);
  return (
    <div className="page">
      <h1>{WORDS.clients}</h1>
      <PutAwayUndo things={things} justNow={away} act={putAwayAction} />
      {clients.length === 0 && <p>{WORDS.noClientsYet}</p>}
      <ul className={forms.list}>
        {clients.map((c) => (
          <li key={c.id}>
            <Link href={`/clients/${c.id}`}>
              <b>{c.name}</b>
              <span>{c.note}</span>
              <span>
                {WORDS.cmKgMeasured(
                  Math.round(c.statureM * 100),
                  c.massKg,
                  c.massEstimated,
                  Object.keys(c.measuredM).length,
                )}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Link href="/clients/new" className={forms.add}>
        {WORDS.addAClient}
      </Link>
      <PutAwayList things={things} act={putAwayAction} />
    </div>
  );
}

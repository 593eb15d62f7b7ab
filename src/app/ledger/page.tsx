import type { Metadata } from 'next';
import { connection } from 'next/server';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { FAULT_TEXT } from '@/messages/faults';
import { listLedgers } from '@/server/ledger';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = { title: WORDS.ledger };

export default async function LedgerIndexPage() {
  await connection();
  const lines = listLedgers(await openUseCase());
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.ledger}</h1>
        <Link href="/ledger/what-works">{WORDS.whatWorks}</Link>
      </div>
      {lines.length === 0 && <p>{WORDS.noClientsYet}</p>}
      <ul className={forms.list}>
        {lines.map((line) => (
          <li key={line.id}>
            <Link href={`/ledger/${line.id}`}>
              <b>{line.name}</b>
              <span>{line.top ? FAULT_TEXT[line.top].seen : ''}</span>
              <span>{WORDS.sets(line.sets)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

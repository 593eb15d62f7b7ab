import Link from 'next/link';
import { connection } from 'next/server';
import forms from '@/features/shell/forms.module.css';
import { FAULT_TEXT } from '@/messages/faults';
import { listLedgers } from '@/server/ledger';
import { openUseCase } from '@/server/use-case';

export default async function LedgerIndexPage() {
  await connection();
  const lines = listLedgers(openUseCase());
  return (
    <div className="page">
      <h1>Ledger</h1>
      {lines.length === 0 && <p>No clients yet.</p>}
      <ul className={forms.list}>
        {lines.map((line) => (
          <li key={line.id}>
            <Link href={`/ledger/${line.id}`}>
              <b>{line.name}</b>
              <span>{line.top ? FAULT_TEXT[line.top].seen : ''}</span>
              <span>{line.sets} sets</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  );
}

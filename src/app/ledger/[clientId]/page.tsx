import type { Metadata } from 'next';
import { Link } from '@/features/shell/link';
import { clientTitle } from '@/server/titles';
import { notFound } from 'next/navigation';
import { LedgerSection } from '@/features/ledger/ledger-section';
import forms from '@/features/shell/forms.module.css';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { loadLedger } from '@/server/ledger';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/pages';
import { readAsked, type Asked } from '../../asked';

/** What the page is called: whose, and which place. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ clientId: string }>;
}): Promise<Metadata> {
  return { title: clientTitle(await openUseCase(), (await params).clientId, WORDS.ledgerPlace) };
}

export default async function LedgerPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ clientId: string }>;
  readonly searchParams: Asked;
}) {
  const { clientId } = await params;
  const { all } = await readAsked(searchParams);
  const ledger = loadLedger(await openUseCase(), clientId, all ?? null);
  if (!ledger) notFound();
  const { client, movements, unreadable } = ledger;
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.ledgerOf(client.name)}</h1>
        <Link href={`/clients/${client.id}/hand-over`}>{WORDS.handOver}</Link>
        <Link href={`/clients/${client.id}`}>{WORDS.clientSheet}</Link>
      </div>
      <UnreadableNote rows={unreadable} />
      {movements.length === 0 && <p>{WORDS.nothingRecordedYetWhatIs}</p>}
      {movements.map((m) => (
        <LedgerSection key={m.movement} ledger={m} clientId={client.id} />
      ))}
    </div>
  );
}

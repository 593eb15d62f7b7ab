import { notFound } from 'next/navigation';
import { KIT_KINDS, type KitKind } from '@/core/kit/kit-kind';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { KitSheet } from '@/features/kit/kit-sheet';
import { KIT_NAME } from '@/messages/kit';
import { savePieceAction } from '../../actions';

export default async function NewPiecePage({
  searchParams,
}: {
  readonly searchParams: Promise<{ kind?: string; gym?: string }>;
}) {
  const { kind, gym } = await searchParams;
  if (!KIT_KINDS.includes(kind as KitKind)) notFound();
  const known = kind as KitKind;
  return (
    <div className="page">
      <h1>New {KIT_NAME[known].one}</h1>
      <KitSheet
        kind={known}
        piece={null}
        clients={listClients(sharedDb())}
        save={savePieceAction.bind(null, gym ?? null)}
      />
    </div>
  );
}

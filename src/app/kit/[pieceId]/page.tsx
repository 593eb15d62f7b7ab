import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { findKit } from '@/data/queries/kit';
import { KitSheet } from '@/features/kit/kit-sheet';
import { savePieceAction } from '../../actions';

export default async function PiecePage({ params }: { readonly params: Promise<{ pieceId: string }> }) {
  const { pieceId } = await params;
  const db = sharedDb();
  const piece = findKit(db, pieceId);
  if (!piece) notFound();
  return (
    <div className="page">
      <h1>{piece.name}</h1>
      <KitSheet
        key={piece.id}
        kind={piece.kind}
        piece={piece}
        clients={listClients(db)}
        save={savePieceAction.bind(null, piece.gymId)}
      />
    </div>
  );
}

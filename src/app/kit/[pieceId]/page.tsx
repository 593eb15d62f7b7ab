import { notFound } from 'next/navigation';
import { KitSheet } from '@/features/kit/kit-sheet';
import { loadKitSheet } from '@/server/kit';
import { openUseCase } from '@/server/open-use-case';
import { savePieceAction } from '../../actions';

export default async function PiecePage({ params }: { readonly params: Promise<{ pieceId: string }> }) {
  const { pieceId } = await params;
  const sheet = loadKitSheet(await openUseCase(), pieceId);
  if (!sheet?.piece) notFound();
  const { piece, clients } = sheet;
  return (
    <div className="page">
      <h1>{piece.name}</h1>
      <KitSheet
        key={piece.id}
        kind={piece.kind}
        piece={piece}
        clients={clients}
        save={savePieceAction.bind(null, piece.gymId)}
      />
    </div>
  );
}

import type { Metadata } from 'next';
import { pieceTitle } from '@/server/titles';
import { notFound } from 'next/navigation';
import { KitSheet } from '@/features/kit/kit-sheet';
import { PutAwayButton } from '@/features/shell/put-away';
import { loadKitSheet } from '@/server/kit';
import { openUseCase } from '@/server/open-use-case';
import { putAwayAction, savePieceAction } from '../../actions';

/** What the page is called: the piece, and which place. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ pieceId: string }>;
}): Promise<Metadata> {
  return { title: pieceTitle(await openUseCase(), (await params).pieceId) };
}

export default async function PiecePage({ params }: { readonly params: Promise<{ pieceId: string }> }) {
  const { pieceId } = await params;
  const sheet = loadKitSheet(await openUseCase(), pieceId);
  if (!sheet?.piece) notFound();
  const { piece, clients, saidIn } = sheet;
  return (
    <div className="page">
      <h1>{piece.name}</h1>
      <KitSheet
        key={piece.id}
        kind={piece.kind}
        piece={piece}
        clients={clients}
        saidIn={saidIn}
        save={savePieceAction.bind(null, piece.gymId)}
      />
      <PutAwayButton
        thing={{ kind: 'piece', id: piece.id, name: piece.name }}
        act={putAwayAction}
        list={`/kit?gym=${piece.gymId}`}
      />
    </div>
  );
}

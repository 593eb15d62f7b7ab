import { notFound } from 'next/navigation';
import { readKitKind } from '@/contract/kit-spec';
import { KitSheet } from '@/features/kit/kit-sheet';
import { KIT_NAME } from '@/messages/kit';
import { loadKitSheet } from '@/server/kit';
import { openUseCase } from '@/server/open-use-case';
import { savePieceAction } from '../../actions';
import { WORDS } from '@/messages/screens/pages';
import { readAsked, type Asked } from '../../asked';

export default async function NewPiecePage({ searchParams }: { readonly searchParams: Asked }) {
  const { kind, gym } = await readAsked(searchParams);
  const known = kind === undefined ? null : readKitKind(kind);
  if (!known) notFound();
  const { clients, saidIn } = loadKitSheet(await openUseCase(), null, gym ?? null)!;
  return (
    <div className="page">
      <h1>{WORDS.new(KIT_NAME[known].one)}</h1>
      <KitSheet
        kind={known}
        piece={null}
        clients={clients}
        saidIn={saidIn}
        save={savePieceAction.bind(null, gym ?? null)}
      />
    </div>
  );
}

import { notFound } from 'next/navigation';
import { readKitKind } from '@/contract/kit-spec';
import { KitSheet } from '@/features/kit/kit-sheet';
import { KIT_NAME } from '@/messages/kit';
import { loadKitSheet } from '@/server/kit';
import { openUseCase } from '@/server/use-case';
import { savePieceAction } from '../../actions';
import { WORDS } from '@/messages/screens/pages';

export default async function NewPiecePage({
  searchParams,
}: {
  readonly searchParams: Promise<{ kind?: string; gym?: string }>;
}) {
  const { kind, gym } = await searchParams;
  const known = kind === undefined ? null : readKitKind(kind);
  if (!known) notFound();
  const { clients } = loadKitSheet(openUseCase(), null)!;
  return (
    <div className="page">
      <h1>{WORDS.new(KIT_NAME[known].one)}</h1>
      <KitSheet kind={known} piece={null} clients={clients} save={savePieceAction.bind(null, gym ?? null)} />
    </div>
  );
}

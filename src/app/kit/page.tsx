import type { Metadata } from 'next';
import { WORDS } from '@/messages/screens/pages';
import { connection } from 'next/server';
import { KitList } from '@/features/kit/kit-list';
import { loadKit } from '@/server/kit';
import { openUseCase } from '@/server/open-use-case';
import { loadPutAway } from '@/server/put-away';
import { addStarterKitAction, putAwayAction, saveGymAction } from '../actions';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.kit };

export default async function KitPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const uc = await openUseCase();
  const { gym, away } = await readAsked(searchParams);
  return (
    <KitList
      view={loadKit(uc, gym)}
      saveGym={saveGymAction}
      addStarter={addStarterKitAction}
      putAway={{ things: loadPutAway(uc, ['piece', 'gym']), justNow: away, act: putAwayAction }}
    />
  );
}

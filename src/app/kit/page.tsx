import type { Metadata } from 'next';
import { WORDS } from '@/messages/screens/pages';
import { connection } from 'next/server';
import { KitList } from '@/features/kit/kit-list';
import { loadKit } from '@/server/kit';
import { openUseCase } from '@/server/open-use-case';
import { saveGymAction } from '../actions';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.kit };

export default async function KitPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const view = loadKit(await openUseCase(), (await readAsked(searchParams)).gym);
  return <KitList view={view} saveGym={saveGymAction} />;
}

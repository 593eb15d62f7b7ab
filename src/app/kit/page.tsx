import { connection } from 'next/server';
import { KitList } from '@/features/kit/kit-list';
import { loadKit } from '@/server/kit';
import { openUseCase } from '@/server/use-case';
import { saveGymAction } from '../actions';

export default async function KitPage({ searchParams }: { readonly searchParams: Promise<{ gym?: string }> }) {
  await connection();
  const view = loadKit(openUseCase(), (await searchParams).gym);
  return <KitList view={view} saveGym={saveGymAction} />;
}

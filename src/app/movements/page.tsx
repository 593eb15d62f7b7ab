import type { Metadata } from 'next';
import { connection } from 'next/server';
import { MovementList } from '@/features/movements/movement-list';
import { loadChoosing } from '@/server/choosing';
import { openUseCase } from '@/server/open-use-case';
import { WORDS } from '@/messages/screens/pages';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.movements };

export default async function MovementsPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const data = loadChoosing(await openUseCase(), await readAsked(searchParams));
  return (
    <div className="page">
      <h1>{WORDS.movements}</h1>
      <MovementList key={`${data.clientId}-${data.gymId}`} data={data} />
    </div>
  );
}

import { connection } from 'next/server';
import { MovementList } from '@/features/movements/movement-list';
import { loadChoosing } from '@/server/choosing';
import { openUseCase } from '@/server/use-case';
import { WORDS } from '@/messages/screens/pages';

export default async function MovementsPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ client?: string; gym?: string }>;
}) {
  await connection();
  const data = loadChoosing(openUseCase(), await searchParams);
  return (
    <div className="page">
      <h1>{WORDS.movements}</h1>
      <MovementList key={`${data.clientId}-${data.gymId}`} data={data} />
    </div>
  );
}

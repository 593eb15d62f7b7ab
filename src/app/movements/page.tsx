import { connection } from 'next/server';
import { sharedDb } from '@/data/open-db';
import { MovementList } from '@/features/movements/movement-list';
import { loadChoosing } from '@/server/choosing';
import { readClock } from '@/server/clock';

export default async function MovementsPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ client?: string; gym?: string }>;
}) {
  await connection();
  const { client, gym } = await searchParams;
  const data = loadChoosing(sharedDb(), client, gym, readClock());
  return (
    <div className="page">
      <h1>Movements</h1>
      <MovementList key={`${data.clientId}-${data.gymId}`} data={data} />
    </div>
  );
}

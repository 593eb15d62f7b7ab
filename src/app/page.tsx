import { connection } from 'next/server';
import { findEntry } from '@/core/book/book';
import { sharedDb } from '@/data/open-db';
import { FloorBoard } from '@/features/floor/floor-board';
import { PlanForm } from '@/features/floor/plan-form';
import { readClock } from '@/server/clock';
import { loadFloor } from '@/server/floor';
import { listPlanChoices } from '@/server/plan';
import { planTodayAction } from './actions';
import { toFloorView } from './floor-view';

export default async function FloorPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ plan?: string; variant?: string; client?: string }>;
}) {
  await connection();
  const { plan, variant, client } = await searchParams;
  const db = sharedDb();
  const now = readClock();
  const view = toFloorView(loadFloor(db, now), now);
  const asked = plan && findEntry(plan) ? { movement: plan, variantId: variant ?? '', clientId: client ?? '' } : null;
  return (
    <>
      <h1 className="visually-hidden">Floor</h1>
      <FloorBoard view={view} />
      <div className="page">
        <PlanForm
          key={`${plan}-${variant}`}
          choices={listPlanChoices(db, now)}
          action={planTodayAction}
          asked={asked}
        />
      </div>
    </>
  );
}

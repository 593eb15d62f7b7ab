import { connection } from 'next/server';
import { noteDefaults } from '@/core/body/client-note';
import { findEntry } from '@/core/book/book';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { listAttachments, listStations } from '@/data/queries/kit';
import { listVariants } from '@/data/queries/variants';
import { FloorBoard } from '@/features/floor/floor-board';
import { PlanForm } from '@/features/floor/plan-form';
import { readClock } from '@/server/clock';
import { loadFloor } from '@/server/floor';
import { planTodayAction } from './actions';
import { toFloorView } from './floor-view';

export default async function FloorPage({ searchParams }: { readonly searchParams: Promise<{ plan?: string; variant?: string; client?: string }> }) {
  await connection();
  const { plan, variant, client } = await searchParams;
  const db = sharedDb();
  const now = readClock();
  const view = toFloorView(loadFloor(db, now), now);
  const choices = {
    clients: listClients(db).map((c) => ({ value: c.id, label: c.name, oneArm: noteDefaults(c.notes).oneArm })),
    stations: listStations(db).filter((s) => !s.outOfOrder).map((s) => ({ value: s.id, label: s.name })),
    attachments: listAttachments(db).map((a) => ({ value: a.id, label: a.name, kind: a.kind })),
    variants: listVariants(db).map((v) => ({ value: v.id, label: v.name, movement: v.movement })),
  };
  const asked = plan && findEntry(plan) ? { movement: plan, variantId: variant ?? '', clientId: client ?? '' } : null;
  return (
    <>
      <h1 className="visually-hidden">Floor</h1>
      <FloorBoard view={view} />
      <div className="page">
        <PlanForm key={`${plan}-${variant}`} choices={choices} action={planTodayAction} asked={asked} />
      </div>
    </>
  );
}

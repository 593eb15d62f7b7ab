import { connection } from 'next/server';
import { noteDefaults } from '@/core/body/client-note';
import { sharedDb } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { listAttachments, listStations } from '@/data/queries/kit';
import { FloorBoard } from '@/features/floor/floor-board';
import { PlanForm } from '@/features/floor/plan-form';
import { readClock } from '@/server/clock';
import { loadFloor } from '@/server/floor';
import { planTodayAction } from './actions';
import { toFloorView } from './floor-view';

export default async function FloorPage() {
  await connection();
  const db = sharedDb();
  const now = readClock();
  const view = toFloorView(loadFloor(db, now), now);
  const choices = {
    clients: listClients(db).map((c) => ({ value: c.id, label: c.name, oneArm: noteDefaults(c.notes).oneArm })),
    stations: listStations(db).filter((s) => !s.outOfOrder).map((s) => ({ value: s.id, label: s.name })),
    attachments: listAttachments(db).map((a) => ({ value: a.id, label: a.name })),
  };
  return (
    <>
      <h1 className="visually-hidden">Floor</h1>
      <FloorBoard view={view} />
      <div className="page">
        <PlanForm choices={choices} action={planTodayAction} />
      </div>
    </>
  );
}

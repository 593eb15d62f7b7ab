import Link from 'next/link';
import { connection } from 'next/server';
import { holeHeightM } from '@/core/kit/column';
import { sharedDb } from '@/data/open-db';
import { listAttachments, listGyms, listStations } from '@/data/queries/stations';
import { AttachmentRow } from '@/features/kit/attachment-row';
import forms from '@/features/shell/forms.module.css';
import { saveAttachmentAction } from '../actions';

const cm = (m: number): number => Math.round(m * 100);

export default async function KitPage() {
  await connection();
  const db = sharedDb();
  const stations = listStations(db);
  const [gym] = listGyms(db);
  return (
    <div className="page">
      <h1>Kit{gym ? `, ${gym.name}` : ''}</h1>
      <h2>Twin columns</h2>
      {stations.length === 0 && <p>No columns yet. Two measured holes and the spacing are enough to start.</p>}
      <ul className={forms.list}>
        {stations.map((s) => {
          const ends = [holeHeightM(s.column, 1), holeHeightM(s.column, s.column.holes)];
          return (
            <li key={s.id}>
              <Link href={`/kit/stations/${s.id}`}>
                <b>{s.name}</b>
                <span>
                  {s.column.holes} holes from {cm(Math.min(...ends))} to {cm(Math.max(...ends))} cm, hole 1 at the {s.column.numberedFrom}
                </span>
                <span>
                  {cm(s.column.twinSpacingM)} cm apart, {s.stackG.length} loads
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      <Link href="/kit/stations/new" className={forms.add}>
        Add columns
      </Link>
      <h2>Handles</h2>
      {listAttachments(db).map((a) => (
        <AttachmentRow key={a.id} attachment={a} save={saveAttachmentAction} />
      ))}
      <AttachmentRow attachment={null} save={saveAttachmentAction} />
    </div>
  );
}

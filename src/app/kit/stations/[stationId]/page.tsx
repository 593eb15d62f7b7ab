import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { findStation } from '@/data/queries/stations';
import { StationSheet } from '@/features/kit/station-sheet';
import { saveStationAction } from '../../../actions';

export default async function StationPage({ params }: { readonly params: Promise<{ stationId: string }> }) {
  const { stationId } = await params;
  const station = findStation(sharedDb(), stationId);
  if (!station) notFound();
  return (
    <div className="page">
      <h1>{station.name}</h1>
      <StationSheet key={station.id} station={station} save={saveStationAction} />
    </div>
  );
}

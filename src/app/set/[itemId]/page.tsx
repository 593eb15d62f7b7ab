import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { SetScreen } from '@/features/set/set-screen';
import { holeText } from '@/messages/holes';
import { loadSet } from '@/server/set-context';

export default async function SetRoute({ params }: { readonly params: Promise<{ itemId: string }> }) {
  const { itemId } = await params;
  const loaded = loadSet(sharedDb(), itemId);
  if (!loaded) notFound();
  const { client, item, station, plates, tension, events } = loaded;
  return (
    <SetScreen
      key={item.id}
      context={{
        client: { id: client.id, name: client.name, note: client.note },
        item,
        stationName: station.name,
        stackG: station.stackG,
        placement: plates.from === 'blocked' ? null : plates.placement,
        holes: plates.from === 'blocked' ? '' : holeText(station.column, plates.placement.hole, item.side),
        setupSaved: plates.from === 'saved',
        blocked: plates.from === 'blocked' ? plates.says : null,
        tension,
        events,
        screening: loaded.screening,
        mostLoadG: loaded.mostLoadKg === null ? null : Math.floor(loaded.mostLoadKg * station.column.pulleyRatio * 1000),
        notes: client.notes,
      }}
    />
  );
}

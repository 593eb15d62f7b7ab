import Link from 'next/link';
import { notFound } from 'next/navigation';
import { sharedDb } from '@/data/open-db';
import { SetupPage } from '@/features/setup/setup-page';
import { loadItem, stationChoices } from '@/server/item-context';

export default async function SetupRoute({
  params,
  searchParams,
}: {
  readonly params: Promise<{ itemId: string }>;
  readonly searchParams: Promise<{ station?: string }>;
}) {
  const { itemId } = await params;
  const { station } = await searchParams;
  const db = sharedDb();
  const loaded = loadItem(db, itemId, station);
  if (!loaded) notFound();
  const { client, item, attachment, events, setupCase } = loaded;
  return (
    <SetupPage
      key={loaded.station?.id ?? item.id}
      setupCase={setupCase}
      context={{
        client,
        item,
        station: loaded.station && { id: loaded.station.id, name: loaded.station.name },
        attachment,
        converted: loaded.converted,
        unit: loaded.unit,
        variant: loaded.variant && { id: loaded.variant.id, name: loaded.variant.name },
        stations: loaded.station ? stationChoices(db, loaded.station.gymId) : [],
        events,
        replaced: loaded.replaced,
        screening: loaded.screening,
        mostLoadKg: loaded.mostLoadKg,
        stackG: loaded.station?.stackG ?? [],
        simulatedTilt: process.env.JORVIX_TILT === 'simulated',
      }}
      measureLink={<Link href={`/clients/${client.id}`}>Client sheet</Link>}
      kitLink={<Link href={loaded.station ? `/kit/${loaded.station.id}` : '/kit'}>Kit</Link>}
    />
  );
}

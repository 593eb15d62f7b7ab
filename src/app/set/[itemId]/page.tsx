import { notFound } from 'next/navigation';
import { findEntry } from '@/core/book/book';
import { inHandKg } from '@/core/book/entry-load';
import { sharedDb } from '@/data/open-db';
import { SetScreen } from '@/features/set/set-screen';
import { loadLabel } from '@/messages/loads';
import { loadSet } from '@/server/set-context';
import { dropsInWords, platesInWords } from '../../plates-view';

/** Heaviest load whose part in the hand stays within a clinician's limit, grams. */
function mostLoadG(movement: string, mostKg: number | null, pulleyRatio: number): number | null {
  const perKg = inHandKg(findEntry(movement)!, 1, pulleyRatio);
  return mostKg === null || perKg === 0 ? null : Math.floor((mostKg / perKg) * 1000);
}

export default async function SetRoute({ params }: { readonly params: Promise<{ itemId: string }> }) {
  const { itemId } = await params;
  const loaded = loadSet(sharedDb(), itemId);
  if (!loaded) notFound();
  const { client, item, station, plates, events } = loaded;
  return (
    <SetScreen
      key={item.id}
      context={{
        client: { id: client.id, name: client.name, note: client.note },
        item,
        stationName: station?.name ?? null,
        stackG: loaded.stepsG,
        bar: loaded.bar,
        plates: platesInWords(plates, station, item.side),
        drops: dropsInWords(loaded.drops),
        stances: loaded.drops.stances.map((s) => s.standX),
        stepIns: loaded.drops.stepIns.map((s) => s.standX),
        stackTravelM: loaded.stackTravelM,
        peakAt: loaded.peakAt,
        loadLabel: loadLabel(findEntry(item.movement)!, item.side),
        variantCue: loaded.variant?.cue ?? '',
        breathing: loaded.schools.breathing === 'in-on-pull' ? 'in-on-pull' : 'out-on-effort',
        lastReps: loaded.schools['last-reps'] === 'little-help' ? 'little-help' : 'strict',
        otherSide: loaded.otherSide,
        opposites: loaded.opposites,
        unit: loaded.unit,
        setupSaved: plates.from === 'saved',
        blocked: plates.from === 'blocked' ? plates.says : null,
        loaded: loaded.loaded,
        jointDegs: loaded.jointDegs,
        events,
        screening: loaded.screening,
        mostLoadG: mostLoadG(item.movement, loaded.mostLoadKg, station?.column.pulleyRatio ?? 1),
        notes: client.notes,
      }}
    />
  );
}

import 'server-only';
import { otherSideOf } from '@/core/record/side-pair';
import type { PlannedSetupView } from '@/contract/views/setup';
import type { StationChoice } from '@/contract/views/station';
import type { Db } from '@/data/open-db';
import { listGyms } from '@/data/queries/gyms';
import { listStations } from '@/data/queries/kit';
import { loadItem } from './item-context';
import { practicesOnce } from './solved';
import type { UseCase } from './use-case';

/** Columns that a set-up can be taken to, this gym's first, each with its gym's name. */
function stationChoices(db: Db, gymId: string): StationChoice[] {
  const gyms = listGyms(db).toSorted((a, b) => Number(b.id === gymId) - Number(a.id === gymId));
  return gyms.flatMap((g) =>
    listStations(db, g.id).map((s) => ({ id: s.id, name: s.name, gym: g.name, outOfOrder: s.outOfOrder })),
  );
}

/** The bench of a planned movement, optionally on another station. Null when there is none of that id. */
export function loadSetup(uc: UseCase, itemId: string, stationId?: string): PlannedSetupView | null {
  const loaded = loadItem(uc, itemId, stationId);
  if (!loaded) return null;
  const { client, item, session, attachment, converted, unit, variant, station } = loaded;
  const other = otherSideOf(session.items, item.id);
  const { events, planned, unreadable, replaced, screening, limits } = loaded;
  return {
    setupCase: loaded.setupCase,
    bench: {
      client,
      item,
      otherSide: other && { id: other.id, side: other.side },
      attachment,
      bandName: loaded.band?.name ?? null,
      converted,
      unit,
      variant,
      events,
      planned,
      unreadable,
      replaced,
      screening,
      limits,
      chosenBy: loaded.chosenBy,
      practices: practicesOnce(uc, loaded.setupCase),
      station: station && { id: station.id, name: station.name },
      stations: station ? stationChoices(uc.db, station.gymId) : [],
      stackG: station?.stackG ?? [],
      simulatedTilt: process.env.JORVIX_TILT === 'simulated',
    },
  };
}

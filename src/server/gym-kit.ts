import 'server-only';
import type { GymKit } from '@/core/book/choose';
import { USUAL_KIT, type StationKit } from '@/core/book/station-kit';
import { toAttachmentShape, toBand, toBench, toLandmine, toMachine, toPreacher, toStraps } from '@/contract/to-kit';
import type { KitPiece } from '@/contract/views/kit';
import type { Db } from '@/data/open-db';
import { listKit, ofKind, toStation } from '@/data/queries/kit';

/** Pieces of a gym in working order. */
export const workingKit = (db: Db, gymId: string | null): readonly KitPiece[] =>
  gymId === null ? [] : listKit(db, gymId).rows.filter((p) => !p.outOfOrder);

/** What movements can be chosen by in a gym. */
export function gymKit(db: Db, gymId: string | null): GymKit {
  const pieces = workingKit(db, gymId);
  return {
    columns: ofKind(pieces, 'column').map((p) => {
      const { id, name, column, room } = toStation(p);
      return { id, name, column, room };
    }),
    attachments: ofKind(pieces, 'attachment').map((p) => toAttachmentShape(p.spec)),
    machines: ofKind(pieces, 'machine').map((p) => toMachine(p.spec).kind),
    kinds: [...new Set(pieces.map((p) => p.kind))],
  };
}

/**
 * What movements without a column are set on in a gym: its first working piece of each kind, or the band that is asked
 * for; what is usual where it has none.
 */
export function stationKit(db: Db, gymId: string | null, bandId: string | null = null): StationKit {
  if (gymId === null) return toStationKit([], bandId);
  // What was listed stands for the kit as it was then: what follows from it is made once for each band.
  const listed = listKit(db, gymId);
  const byBand = stationKits.get(listed) ?? new Map<string | null, StationKit>();
  stationKits.set(listed, byBand);
  const own = byBand.get(bandId) ?? toStationKit(workingKit(db, gymId), bandId);
  byBand.set(bandId, own);
  return own;
}
const stationKits = new WeakMap<object, Map<string | null, StationKit>>();

function toStationKit(pieces: readonly KitPiece[], bandId: string | null): StationKit {
  const [bench] = ofKind(pieces, 'bench').map((p) => toBench(p.spec));
  const [preacher] = ofKind(pieces, 'preacher').map((p) => toPreacher(p.spec));
  const [landmine] = ofKind(pieces, 'landmine').map((p) => toLandmine(p.spec));
  const [anchor] = ofKind(pieces, 'strap-anchor').map((p) => toStraps(p.spec));
  const bands = ofKind(pieces, 'band');
  const band = bands.find((p) => p.id === bandId) ?? bands[0];
  const machines = ofKind(pieces, 'machine').map((p) => toMachine(p.spec));
  return {
    ...USUAL_KIT,
    surfaces: bench ? { ...USUAL_KIT.surfaces, benchHeightM: bench.seatHeightM } : USUAL_KIT.surfaces,
    bench: bench ?? null,
    preacher: preacher ?? null,
    machines: Object.fromEntries(machines.toReversed().map((m) => [m.kind, m])),
    landmine: landmine ?? USUAL_KIT.landmine,
    straps: anchor ?? USUAL_KIT.straps,
    band: band ? toBand(band.spec) : null,
  };
}

import 'server-only';
import type { BookEntry } from '@/core/book/book-entry';
import { barLoads, sumsOf } from '@/core/load/load-sums';
import { toStackSteps } from '@/core/load/stack-steps';
import { kgToGrams, type LoadUnit } from '@/core/units/mass';
import { toGrams } from '@/contract/to-kit';
import type { Db } from '@/data/open-db';
import { isKind, listKit, type Station } from '@/data/queries/kit';

/**
 * The bar of a movement with the plates for its ends; null for other loads. The first bar of the gym that is in order.
 */
export function findBar(
  db: Db,
  gymId: string,
  entry: BookEntry,
): { readonly barG: number; readonly platesG: number[]; readonly pairs: number } | null {
  if (entry.load.kind !== 'weight' || entry.load.kit === 'dumbbells' || entry.load.kit === 'plates') return null;
  const pieces = listKit(db, gymId).filter((p) => !p.outOfOrder);
  const bar = pieces.find((p) => isKind(p, 'bar'));
  const plates = pieces.flatMap((p) => (isKind(p, 'plates') ? [p.spec] : []));
  if (!bar || !isKind(bar, 'bar') || plates.length === 0) return null;
  return {
    barG: kgToGrams(bar.spec.massKg),
    platesG: plates.flatMap((p) => toGrams(p.loads, p.unit)),
    pairs: Math.max(...plates.map((p) => p.pairs)),
  };
}

/**
 * Loads that a gym has for a movement, integer grams, ascending; empty where nothing is measured, nought where nothing
 * is loaded.
 */
export function loadSteps(db: Db, gymId: string, entry: BookEntry, station: Station | null): readonly number[] {
  const { load } = entry;
  if (load.kind === 'cable') return station?.stackG ?? [];
  const pieces = listKit(db, gymId).filter((p) => !p.outOfOrder);
  const plates = pieces.flatMap((p) =>
    isKind(p, 'plates') ? [{ grams: toGrams(p.spec.loads, p.spec.unit), pairs: p.spec.pairs }] : [],
  );
  const platesG = plates.flatMap((p) => p.grams);
  const pairs = Math.max(0, ...plates.map((p) => p.pairs));
  if (load.kind === 'machine')
    return toStackSteps(
      pieces.flatMap((p) =>
        isKind(p, 'machine') && p.spec.machineKind === load.machine ? toGrams(p.spec.stack, p.spec.stackUnit) : [],
      ),
    );
  if (load.kind === 'landmine') return sumsOf(platesG, 2 * pairs);
  if (load.kind !== 'weight') return [0];
  if (load.kit === 'dumbbells')
    return toStackSteps(pieces.flatMap((p) => (isKind(p, 'dumbbells') ? toGrams(p.spec.loads, p.spec.unit) : [])));
  if (load.kit === 'plates') return toStackSteps(platesG);
  return toStackSteps(
    pieces.flatMap((p) => (isKind(p, 'bar') ? barLoads(kgToGrams(p.spec.massKg), platesG, pairs) : [])),
  );
}

/** What a movement's load is stamped in at a gym; kilograms where its kit is stamped in both, or in nothing. */
export function loadUnit(db: Db, gymId: string, entry: BookEntry, station: Station | null): LoadUnit {
  const { load } = entry;
  if (load.kind === 'cable') return station?.stackUnit ?? 'kg';
  const stamped = listKit(db, gymId).flatMap((p): LoadUnit[] => {
    if (isKind(p, 'machine'))
      return load.kind === 'machine' && p.spec.machineKind === load.machine ? [p.spec.stackUnit] : [];
    if (isKind(p, 'dumbbells')) return load.kind === 'weight' && load.kit === 'dumbbells' ? [p.spec.unit] : [];
    return isKind(p, 'plates') && (load.kind === 'landmine' || (load.kind === 'weight' && load.kit !== 'dumbbells'))
      ? [p.spec.unit]
      : [];
  });
  return stamped.length > 0 && stamped.every((u) => u === 'lb') ? 'lb' : 'kg';
}

import 'server-only';
import type { BookEntry } from '@/core/book/book-entry';
import { barLoads, sumsOf } from '@/core/load/load-sums';
import { toStackSteps } from '@/core/load/stack-steps';
import { kgToGrams, type LoadUnit } from '@/core/units/mass';
import { toGrams } from '@/contract/to-kit';
import type { KitPiece } from '@/contract/views/kit';
import type { BarKit } from '@/contract/views/set';
import type { Station } from '@/contract/views/station';
import type { Db } from '@/data/open-db';
import { listKit, ofKind } from '@/data/queries/kit';
import { workingKit } from './gym-kit';

/** Plates of a gym, grams, and the most pairs that there are of one. */
function platesOf(pieces: readonly KitPiece[]): { readonly platesG: number[]; readonly pairs: number } {
  const plates = ofKind(pieces, 'plates').map((p) => p.spec);
  return {
    platesG: plates.flatMap((p) => toGrams(p.loads, p.unit)),
    pairs: Math.max(0, ...plates.map((p) => p.pairs)),
  };
}

/**
 * The bar of a movement with the plates for its ends; null for other loads. The first bar of the gym that is in order.
 */
export function findBar(db: Db, gymId: string, entry: BookEntry): BarKit | null {
  if (entry.load.kind !== 'weight' || entry.load.kit === 'dumbbells' || entry.load.kit === 'plates') return null;
  const pieces = workingKit(db, gymId);
  const [bar] = ofKind(pieces, 'bar');
  const { platesG, pairs } = platesOf(pieces);
  return bar && pairs > 0 ? { barG: kgToGrams(bar.spec.massKg), platesG, pairs } : null;
}

/**
 * Loads that a gym has for a movement, integer grams, ascending; empty where nothing is measured, nought where nothing
 * is loaded.
 */
export function loadSteps(db: Db, gymId: string, entry: BookEntry, station: Station | null): readonly number[] {
  const { load } = entry;
  if (load.kind === 'cable') return station?.stackG ?? [];
  const pieces = workingKit(db, gymId);
  const { platesG, pairs } = platesOf(pieces);
  if (load.kind === 'machine')
    return toStackSteps(
      ofKind(pieces, 'machine').flatMap(({ spec }) =>
        spec.machineKind === load.machine ? toGrams(spec.stack, spec.stackUnit) : [],
      ),
    );
  if (load.kind === 'landmine') return sumsOf(platesG, 2 * pairs);
  if (load.kind !== 'weight') return [0];
  if (load.kit === 'dumbbells')
    return toStackSteps(ofKind(pieces, 'dumbbells').flatMap(({ spec }) => toGrams(spec.loads, spec.unit)));
  if (load.kit === 'plates') return toStackSteps(platesG);
  return toStackSteps(ofKind(pieces, 'bar').flatMap(({ spec }) => barLoads(kgToGrams(spec.massKg), platesG, pairs)));
}

/** What a movement's load is stamped in at a gym; kilograms where its kit is stamped in both, or in nothing. */
export function loadUnit(db: Db, gymId: string, { load }: BookEntry, station: Station | null): LoadUnit {
  if (load.kind === 'cable') return station?.stackUnit ?? 'kg';
  if (load.kind === 'body' || load.kind === 'none') return 'kg';
  const pieces = listKit(db, gymId).rows;
  const onPlates = load.kind === 'landmine' || (load.kind === 'weight' && load.kit !== 'dumbbells');
  const stamped: LoadUnit[] =
    load.kind === 'machine'
      ? ofKind(pieces, 'machine').flatMap(({ spec }) => (spec.machineKind === load.machine ? [spec.stackUnit] : []))
      : ofKind(pieces, onPlates ? 'plates' : 'dumbbells').map(({ spec }) => spec.unit);
  return stamped.length > 0 && stamped.every((u) => u === 'lb') ? 'lb' : 'kg';
}

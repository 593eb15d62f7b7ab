import 'server-only';
import { unpackTrace } from '@/core/trace/pack-trace';
import { traceCsv } from '@/contract/trace-csv';
import { findTrace } from '@/data/queries/traces';
import { reachItem } from './reach';
import type { UseCase } from './use-case';

/** The kept trace of a set as CSV, as it is read again; null where there is none in one's care. */
export function writeTrace(uc: UseCase, itemId: string, setId: string): string | null {
  const packed = reachItem(uc, itemId) ? findTrace(uc.db, itemId, setId) : null;
  const points = packed && unpackTrace(packed);
  return points && traceCsv(points);
}

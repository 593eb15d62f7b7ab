import 'server-only';
import type { Client } from '@/contract/views/client';
import type { SessionItem } from '@/contract/views/plan';
import { kitStamp } from '@/data/queries/kit';
import { standingOf } from '@/data/queries/practice-choices';
import { foldStamp } from '@/data/queries/read-folds';
import { findVariant } from '@/data/queries/variants';
import { toLocalDay } from './clock';
import type { UseCase } from './use-case';

/**
 * What is told of planned movements follows from: who trains, as they are kept, the day, what is on record of them, the
 * kit, what stands where practitioners differ, the variants, and what else it is told with, their sessions among it.
 */
export const stampOfPlanned = (
  { db, nowMs }: UseCase,
  client: Client,
  toldWith: unknown,
  items: readonly SessionItem[],
): string =>
  JSON.stringify([
    ...[toldWith, client, toLocalDay(nowMs), foldStamp(db, client.id), kitStamp(db), standingOf(db, client.id)],
    items.map((i) => [i.id, i.variantId && findVariant(db, i.variantId)]),
  ]);

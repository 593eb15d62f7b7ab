import type { Actor } from '@/contract/actor';
import { openDb, type Db } from '@/data/open-db';
import type { UseCase } from '@/server/use-case';
import { DEMO_OWNER, DEMO_TRAINER } from '../../demo/people';
import { loadDemoWorld } from '../../demo/world';

/** The morning on which the demo world is tested. */
export const NOW = new Date('2026-11-24T09:20:00').getTime();

/** The demo world of a morning, in a file. */
export function worldIn(file: string, nowMs = NOW): Db {
  const db = openDb(file);
  loadDemoWorld(db, nowMs);
  return db;
}

/** The demo world of that morning, in memory. */
export const world = (nowMs = NOW): Db => worldIn(':memory:', nowMs);

/** A use case of a trainer, the demo's unless somebody else asks. */
export const at = (db: Db, nowMs = NOW, actor: Actor = DEMO_TRAINER): UseCase => ({ db, actor, nowMs });
/** A use case of the owner. */
export const asOwner = (db: Db, nowMs = NOW): UseCase => at(db, nowMs, DEMO_OWNER);

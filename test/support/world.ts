import { BUILT_IN_TRAINER } from '@/contract/actor';
import { openDb, type Db } from '@/data/open-db';
import type { UseCase } from '@/server/use-case';
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

/** A use case of the built-in trainer. */
export const at = (db: Db, nowMs = NOW): UseCase => ({ db, actor: BUILT_IN_TRAINER, nowMs });

import Database from 'better-sqlite3';
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

const written = new Map<number, Buffer>();

/** The demo world of that morning, in memory: written once, then copied. */
export function world(nowMs = NOW): Db {
  const image = written.get(nowMs) ?? worldIn(':memory:', nowMs).serialize();
  written.set(nowMs, image);
  return new Database(image);
}

/** A use case of a trainer, the demo's unless somebody else asks. */
export const at = (db: Db, nowMs = NOW, actor: Actor = DEMO_TRAINER): UseCase => ({ db, actor, nowMs });
/** A use case of the owner. */
export const asOwner = (db: Db, nowMs = NOW): UseCase => at(db, nowMs, DEMO_OWNER);

import 'server-only';
import type { Actor } from '@/contract/actor';
import type { Db } from '@/data/open-db';

/** What every use case is called with first: the records, who asks, and when, milliseconds. */
export interface UseCase {
  readonly db: Db;
  readonly actor: Actor;
  readonly nowMs: number;
  /** The signed-in device that asks; null where it is not a device (a script, a test). */
  readonly sessionId?: string | null;
}

import 'server-only';
import { BUILT_IN_TRAINER, type Actor } from '@/contract/actor';
import { sharedDb, type Db } from '@/data/open-db';

/** What every use case is called with first: the records, who asks, and when, milliseconds. */
export interface UseCase {
  readonly db: Db;
  readonly actor: Actor;
  readonly nowMs: number;
}

/** For one request: the shared records, the built-in trainer, and the server's clock read once. */
export const openUseCase = (): UseCase => ({ db: sharedDb(), actor: BUILT_IN_TRAINER, nowMs: Date.now() });

import 'server-only';
import { sharedDb } from '@/data/open-db';
import type { SignedIn } from './authenticate';
import type { UseCase } from './use-case';

/** A use case of who is signed in, at the server's own door. */
export const toUseCase = ({ actor, session }: SignedIn, nowMs: number): UseCase => ({
  db: sharedDb(),
  actor,
  nowMs,
  sessionId: session.id,
});

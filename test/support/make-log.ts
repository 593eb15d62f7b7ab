import { entryOf } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import type { PracticeChoice } from '@/core/book/practice';
import type { Db } from '@/data/open-db';
import { findItem, findSession } from '@/data/queries/sessions';
import { recordEvents } from '@/server/record-events';
import { asOwner, NOW } from './world';

let n = 0;

/** Taps of a tablet on a planned movement, through the same door as real ones. */
export function makeLog(db: Db, itemId: string, atMs = NOW) {
  const item = findItem(db, itemId)!;
  const { clientId } = findSession(db, item.sessionId)!;
  let lag = 0;
  const tap = (body: object): string => {
    n += 1;
    const id = `log-${n}`;
    const base = {
      id,
      deviceId: 'd',
      actorId: 'x',
      seq: n,
      atMs: atMs + lag + n,
      clientId,
      itemId,
      movement: item.movement,
    };
    const told = recordEvents(asOwner(db, atMs), { events: [{ ...base, ...body }] });
    if (!told.ok || told.reply.kept.length !== 1) throw new Error(JSON.stringify(told));
    return id;
  };
  const start = (
    setId: string,
    { loadG = item.loadG, tempo = item.tempo }: { loadG?: number; tempo?: string },
  ): string => tap({ kind: 'set-started', setId, setNo: 1, loadG, targetReps: item.reps, tempo });
  /** A whole set, confirmed. */
  const set = (more: { loadG?: number; tempo?: string; reps?: number }, afterMs = 0): void => {
    lag = afterMs;
    const { loadG = item.loadG, reps = item.reps } = more;
    const setId = `set-${n}`;
    start(setId, more);
    tap({ kind: 'set-ended', setId, reps });
    tap({ kind: 'set-confirmed', setId, loadG, reps });
  };
  /** Set up with some sides of what practitioners differ on. */
  const setUp = (practices: PracticeChoice, afterMs = 0): void => {
    lag = afterMs;
    const options = { ...usualOptions(entryOf(item.movement)), practices };
    const { side, stationId, attachmentId } = item;
    tap({ kind: 'setup-saved', placement: null, solved: null, off: false, stationId, attachmentId, side, options });
  };
  /** Stopped for pain. */
  const stop = (): string => tap({ kind: 'pain', setId: null, rep: 0 });
  const undo = (eventId: string): string => tap({ kind: 'undo', eventId });
  return { stop, setUp, begin: () => start('begun', {}), set, undo };
}

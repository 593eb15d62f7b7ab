import { mkdtempSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { afterEach, describe, expect, it, vi } from 'vitest';
import * as setLog from '@/core/record/set-log';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { backUp, backupFolder } from '@/data/backup';
import { closeSharedDb, leaveLog, openDb, sharedDb, tidyLog, type Db } from '@/data/open-db';
import { appendFloorEvents, foldNews } from '@/data/queries/folds';
import { readRecent } from '@/data/queries/newest-records';
import { readFolds } from '@/data/queries/read-folds';
import { readOnce } from '@/data/read-once';
import { restoreBackup } from '@/server/backups';
import { whileLetGo } from '@/server/let-go';
import { loadDemoWorld } from '../demo/world';
import { asOwner, NOW } from './support/world';

vi.mock('@/core/record/set-log', { spy: true });
afterEach(() => {
  vi.unstubAllEnvs();
  vi.restoreAllMocks();
  vi.useRealTimers();
});

const place = (): string => join(mkdtempSync(join(tmpdir(), 'jorvix-two-')), 'gym.db');
const WHERE = { clientId: 'anselm', itemId: 'anselm-2026-11-24-0', movement: 'cable-fly-level' } as const;
let seq = 0;
/** A tap on a tablet, as the door keeps it. */
function tap(door: Db, body: FloorEventBody): void {
  seq += 1;
  const by = { id: `two-${seq}`, actorId: 'marit', deviceId: 'two', seq, atMs: NOW + 1000 * seq };
  appendFloorEvents(door, [{ ...body, ...WHERE, ...by } as FloorEvent], NOW);
}
const fault = (door: Db): void =>
  tap(door, { kind: 'fault', setId: 'two-set', rep: 1, fault: 'shrugs', side: 'both', severity: 2 });
const stale = (db: Db): unknown => db.prepare('SELECT item_id FROM stale_fold').pluck().all();

describe('the door taps and the pages read, two connections to one file', () => {
  const file = place();
  const [door, pages] = [openDb(file), openDb(file)];
  loadDemoWorld(door, NOW);
  foldNews(door, -1);
  const seen = () => readRecent(pages, WHERE.clientId, WHERE.movement, [WHERE.itemId]).sets.at(-1)!.faults.length;
  it('a tap folds nothing; who reads next folds it, and what is at hand follows', () => {
    tap(door, { kind: 'set-started', setId: 'two-set', setNo: 9, loadG: 5000, targetReps: 9, tempo: '3-1-1-1' });
    fault(door);
    expect(stale(door)).toEqual([WHERE.itemId]);
    expect([seen(), stale(door)]).toEqual([1, []]);
    fault(door);
    expect([seen(), stale(door)]).toEqual([2, []]);
  });
  it('a tap that comes while its movement is folded is not told as folded', () => {
    fault(door);
    const real = vi.mocked(setLog.foldSetLog).getMockImplementation();
    vi.mocked(setLog.foldSetLog).mockImplementationOnce((...asked) => {
      const log = real ? real(...asked) : setLog.foldSetLog(...asked);
      fault(door);
      return log;
    });
    expect(foldNews(pages, -1)).toBe(1);
    expect(stale(pages)).toEqual([WHERE.itemId]);
    expect([seen(), stale(pages)]).toEqual([4, []]);
    const [whole] = readFolds(pages, { clientId: WHERE.clientId, items: [WHERE.itemId] }).values();
    expect(whole!.sets.at(-1)!.faults).toHaveLength(4);
  });
  it('what was read is read once for every state, of each connection apart, and no more than so many', () => {
    const once = readOnce<number>(2);
    let reads = 0;
    const read = (db: Db, key: string): number => once(db, key, () => ++reads);
    expect(['a', 'a', 'b', 'a', 'c', 'b'].map((key) => read(door, key))).toEqual([1, 1, 2, 1, 3, 4]);
    expect(read(pages, 'a')).toBe(5);
  });
});

it('the log stays beside the file until it is tidied, however much is written', () => {
  const file = place();
  vi.stubEnv('JORVIX_DB', file);
  leaveLog();
  const db = sharedDb();
  db.exec('CREATE TABLE note (text TEXT)');
  const before = statSync(file).size;
  const write = db.prepare('INSERT INTO note VALUES (?)');
  for (let n = 0; n < 2500; n++) write.run('x'.repeat(4000));
  expect(statSync(file).size).toBe(before);
  tidyLog();
  expect(statSync(file).size).toBeGreaterThan(before + 2500 * 4000);
  const [told] = db.pragma('wal_checkpoint(PASSIVE)') as { log: number; checkpointed: number }[];
  expect(told!.checkpointed).toBe(told!.log);
  closeSharedDb();
});

it('records are replaced also where something is read while the door is asked to let go', async () => {
  const file = place();
  vi.stubEnv('JORVIX_DB', file);
  loadDemoWorld(sharedDb(), NOW);
  const made = await backUp(file, backupFolder(file), NOW);
  vi.stubEnv('JORVIX_PAGES', '/somewhere');
  const own = process.send;
  process.send = (message: unknown) => {
    if ((message as { says: string }).says === 'let-go') {
      sharedDb().prepare('SELECT 1').get();
      process.emit('message', { says: 'let-go' }, undefined as never);
    }
    return true;
  };
  try {
    const owner = { ...asOwner(sharedDb()), nowMs: NOW + 1000 };
    expect(await restoreBackup(owner, basename(made))).toMatchObject({ ok: true });
  } finally {
    process.send = own;
    closeSharedDb();
  }
});

describe('letting go of the records while they are replaced', () => {
  it('is done at once where there is no door', async () => expect(await whileLetGo(() => 7)).toBe(7));
  it('waits for the door, and has it take up again, also where that fails or the door is silent', async () => {
    vi.useFakeTimers();
    vi.stubEnv('JORVIX_PAGES', '/somewhere');
    const told: unknown[] = [];
    const own = process.send;
    process.send = (message: unknown) => told.push(message) > 0;
    const heard = (): void => void process.emit('message', { says: 'let-go' }, undefined as never);
    try {
      const done = whileLetGo(() => told.length);
      expect(told).toEqual([{ says: 'let-go' }]);
      heard();
      expect(await done).toBe(1);
      const failed = expect(
        whileLetGo(() => {
          throw new Error('no');
        }),
      ).rejects.toThrow('no');
      heard();
      await failed;
      const silent = expect(whileLetGo(() => 0)).rejects.toThrow(/did not let go/);
      await vi.advanceTimersByTimeAsync(6000);
      await silent;
      expect(told.filter((m) => (m as { says: string }).says === 'take-up')).toHaveLength(3);
    } finally {
      process.send = own;
    }
  });
});

import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { describe, expect, it, vi } from 'vitest';
import { inTransaction } from '@/data/in-transaction';
import { openDb, type Db } from '@/data/open-db';

const place = (): string => join(mkdtempSync(join(tmpdir(), 'jorvix-turns-')), 'gym.db');
function noted(): Db {
  const db = openDb(place());
  db.exec('CREATE TABLE note (n INTEGER UNIQUE)');
  return db;
}
const write = (db: Db, n: number): void => void db.prepare('INSERT INTO note VALUES (?)').run(n);
const notes = (db: Db): unknown => db.prepare('SELECT n FROM note ORDER BY n').pluck().all();

/** One that writes again and again, 8 ms each with 2 ms between; counts how often it had the right to. */
const WRITES = `
  const { workerData: { file, count } } = require('node:worker_threads');
  const db = new (require('better-sqlite3'))(file);
  const turns = new Int32Array(count);
  const rest = (ms) => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, ms);
  db.pragma('busy_timeout = 5000');
  while (Atomics.load(turns, 1) === 0) {
    db.exec('BEGIN IMMEDIATE');
    Atomics.add(turns, 0, 1);
    rest(8);
    db.exec('COMMIT');
    rest(2);
  }`;

describe('the right to write', () => {
  it('all or nothing, also inside another', () => {
    const db = noted();
    const fails = (n: number) => () =>
      inTransaction(db, () => {
        write(db, n);
        throw new Error('no');
      });
    expect(fails(1)).toThrow('no');
    expect([notes(db), db.inTransaction]).toEqual([[], false]);
    const told = inTransaction(db, () => {
      write(db, 2);
      expect(fails(3)).toThrow('no');
      return inTransaction(db, () => (write(db, 4), 'kept'));
    });
    expect([told, notes(db), db.inTransaction]).toEqual(['kept', [2, 4], false]);
  });
  it('is had within a few turns of one that writes again and again', async () => {
    const db = noted();
    const count = new SharedArrayBuffer(8);
    const turns = new Int32Array(count);
    const other = new Worker(WRITES, { eval: true, workerData: { file: db.name, count } });
    while (Atomics.load(turns, 0) < 3) await new Promise((r) => setTimeout(r, 5));
    const waited = Array.from({ length: 41 }, (_, n) => {
      const before = Atomics.load(turns, 0);
      inTransaction(db, () => write(db, n));
      return Atomics.load(turns, 0) - before;
    });
    Atomics.store(turns, 1, 1);
    await new Promise((r) => other.once('exit', r));
    expect(notes(db)).toHaveLength(41);
    expect(waited.sort((a, b) => a - b)[20]).toBeLessThanOrEqual(3);
  });
  it('is not waited for without end, and refused it changed nothing', () => {
    const db = noted();
    db.pragma('busy_timeout = 900');
    const other = openDb(db.name);
    other.exec('BEGIN IMMEDIATE');
    const clock = vi.spyOn(Date, 'now');
    let asked = 0;
    clock.mockImplementation(() => asked++ * 300);
    expect(() => inTransaction(db, () => write(db, 1))).toThrow('locked');
    clock.mockRestore();
    expect([asked, db.pragma('busy_timeout', { simple: true })]).toEqual([5, 900]);
    other.exec('ROLLBACK');
    inTransaction(db, () => write(db, 1));
    expect(notes(db)).toEqual([1]);
  });
});

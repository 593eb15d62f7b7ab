import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { migrate, readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import { findStation, listStations, saveStation } from '@/data/queries/stations';
import { loadDemoWorld } from '../demo/world';

const NOW = new Date('2026-11-24T09:20:00').getTime();

describe('migrations', () => {
  const all = readMigrations(migrationsFolder());
  it('apply once, in order, with their checksums', () => {
    const db = new Database(':memory:');
    expect([migrate(db, all, 1), migrate(db, all, 2)]).toEqual([all.length, 0]);
    expect(db.prepare('SELECT count(*) AS n FROM migration').get()).toEqual({ n: all.length });
  });
  it('refuse a database newer than the code', () => {
    const db = new Database(':memory:');
    migrate(db, [...all, { version: all.length + 1, name: '9999_future.sql', sql: 'CREATE TABLE later (id INTEGER) STRICT', checksum: 'x' }], 1);
    expect(() => migrate(db, all, 2)).toThrow(/newer than this program/);
  });
  it('refuse history that was changed', () => {
    const db = new Database(':memory:');
    migrate(db, all, 1);
    expect(() => migrate(db, [{ ...all[0]!, checksum: 'other' }, ...all.slice(1)], 2)).toThrow(/changed after it was applied/);
  });
  it('leave nothing behind when one fails', () => {
    const db = new Database(':memory:');
    const broken = { version: 1, name: '0001_broken.sql', sql: 'CREATE TABLE good (id INTEGER) STRICT; CREATE BROKEN', checksum: 'b' };
    expect(() => migrate(db, [broken], 1)).toThrow();
    expect(db.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = 'good'").get()).toEqual({ n: 0 });
  });
});

describe('the database guards what core relies on', () => {
  const db = openDb(':memory:');
  loadDemoWorld(db, NOW);
  it.each([
    ["UPDATE client SET stature_m = 2.6 WHERE id = 'sefina'", /CHECK/],
    ["UPDATE station SET pulley_ratio = 0 WHERE id = 'long-pair'", /CHECK/],
    ["UPDATE station SET max_distance_m = -1 WHERE id = 'long-pair'", /CHECK/],
    ["INSERT INTO stack_step VALUES ('long-pair', -5)", /CHECK/],
    ["INSERT INTO session VALUES ('s', 'tidewater', 'nobody', 1, 60)", /FOREIGN KEY/],
    ["UPDATE floor_event SET kind = 'rep'", /append-only/],
    ['DELETE FROM floor_event', /append-only/],
  ])('%s', (sql, error) => expect(() => db.exec(sql)).toThrow(error));
});

describe('what is saved comes back', () => {
  it('clients with measures and ranges, stations with readings and stack', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'jorvix-')), 'a.db');
    const db = openDb(file);
    loadDemoWorld(db, NOW);
    const client = { ...findClient(db, 'wilhelmina')!, statureM: 1.9, measuredM: { elbowHeight: 1.2 }, range: { left: {}, right: { 'shoulder.horizontalAdduction': 111 } } } as const;
    saveClient(db, client);
    const station = listStations(db)[1]!;
    saveStation(db, { ...station, name: 'Renamed', stackG: [5000, 4000] });
    db.close();
    const again = openDb(file);
    expect(findClient(again, 'wilhelmina')).toEqual(client);
    expect(findStation(again, station.id)).toMatchObject({ name: 'Renamed', stackG: [4000, 5000], column: { firstHoleM: expect.closeTo(2.08, 2), pitchM: expect.closeTo(0.126, 3) } });
  });
  it('the demo world loads once and keeps what was recorded; another day adds its sessions', () => {
    const db = openDb(':memory:');
    const count = (table: string) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
    loadDemoWorld(db, NOW);
    const before = [count('session'), count('floor_event'), count('client')];
    loadDemoWorld(db, NOW + 3_600_000);
    expect([count('session'), count('floor_event'), count('client')]).toEqual(before);
    loadDemoWorld(db, NOW + 86_400_000);
    expect([count('session'), count('client')]).toEqual([before[0]! + 3, 3]);
  });
});

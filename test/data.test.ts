import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { migrate, readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import type { KitPiece } from '@/contract/views/kit';
import { findKit, findStation, saveKit } from '@/data/queries/kit';
import { loadDemoWorld } from '../demo/world';
import { NOW } from './support/world';

describe('migrations', () => {
  const all = readMigrations(migrationsFolder());
  it('apply once, in order, with their checksums', () => {
    const db = new Database(':memory:');
    expect([migrate(db, all, 1), migrate(db, all, 2)]).toEqual([all.length, 0]);
    expect(db.prepare('SELECT count(*) AS n FROM migration').get()).toEqual({ n: all.length });
  });
  it('refuse a database newer than the code', () => {
    const db = new Database(':memory:');
    migrate(
      db,
      [
        ...all,
        {
          version: all.length + 1,
          name: '9999_future.sql',
          sql: 'CREATE TABLE later (id INTEGER) STRICT',
          checksum: 'x',
        },
      ],
      1,
    );
    expect(() => migrate(db, all, 2)).toThrow(/newer than this program/);
  });
  it('refuse history that was changed', () => {
    const db = new Database(':memory:');
    migrate(db, all, 1);
    expect(() => migrate(db, [{ ...all[0]!, checksum: 'other' }, ...all.slice(1)], 2)).toThrow(
      /changed after it was applied/,
    );
  });
  it('carry the first kit, plans and ranges over into the second', () => {
    const db = new Database(':memory:');
    migrate(db, all.slice(0, 1), 1);
    db.exec(`INSERT INTO gym VALUES ('g', 'Gym');
      INSERT INTO station VALUES ('s', 'g', 'Pair', 16, 'top', 1.9, 2, 0.05, 2.6, -0.2, 1.5, 0);
      INSERT INTO station_reading VALUES ('s', 1, 2.08), ('s', 16, 0.191);
      INSERT INTO stack_step VALUES ('s', 5000), ('s', 4536);
      INSERT INTO attachment VALUES ('a', 'g', 'D', 0.14, 0);
      INSERT INTO client VALUES ('c', 'Amaro', 1.8, 80, '');
      INSERT INTO client_range VALUES ('c', 'left', 'shoulder.horizontalAbduction', 12);
      INSERT INTO session VALUES ('t', 'g', 'c', 1, 60);
      INSERT INTO session_item VALUES ('i', 't', 0, 'cable-fly-level', 'both', 's', 'a', 3, 12, '3-1-2-1', 5000);
      INSERT INTO floor_event VALUES ('e', 'd', 1, 1, 1, 'c', 'i', 'cable-fly-level', 'pain', '{}')`);
    migrate(db, all, 2);
    expect(findStation(db, 's')).toMatchObject({
      name: 'Pair',
      stackG: [4536, 5000],
      column: { kind: 'twin', holes: 16, twinSpacingM: 1.9, pulleyRatio: 2, firstHoleM: expect.closeTo(2.08, 6) },
      room: { minDistanceM: -0.2, maxDistanceM: 1.5 },
    });
    expect(findClient(db, 'c')!.range.left).toEqual({ 'shoulder.horizontalAbduction': 12 });
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(() =>
      db.exec("INSERT INTO floor_event VALUES ('f', 'd', 2, 1, 1, 'c', 'nothing', 'm', 'pain', '{}', 'trainer', 2)"),
    ).toThrow(/FOREIGN KEY/);
  });
  it('leave nothing behind when one fails', () => {
    const db = new Database(':memory:');
    const broken = {
      version: 1,
      name: '0001_broken.sql',
      sql: 'CREATE TABLE good (id INTEGER) STRICT; CREATE BROKEN',
      checksum: 'b',
    };
    expect(() => migrate(db, [broken], 1)).toThrow();
    expect(db.prepare("SELECT count(*) AS n FROM sqlite_master WHERE name = 'good'").get()).toEqual({ n: 0 });
  });
});

describe('the database guards what core relies on', () => {
  const db = openDb(':memory:');
  loadDemoWorld(db, NOW);
  it.each([
    ["UPDATE client SET stature_m = 2.6 WHERE id = 'sefina'", /CHECK/],
    ["UPDATE kit_piece SET spec = json_set(spec, '$.pulleyRatio', 0) WHERE id = 'long-pair'", /CHECK/],
    ["UPDATE kit_piece SET spec = json_set(spec, '$.maxDistanceCm', -40) WHERE id = 'long-pair'", /CHECK/],
    ["UPDATE kit_piece SET spec = json_set(spec, '$.stack', json_array()) WHERE id = 'long-pair'", /CHECK/],
    ["UPDATE kit_piece SET spec = 'no json' WHERE id = 'rope'", /CHECK|malformed/],
    ["UPDATE kit_piece SET kind = 'trampoline' WHERE id = 'rope'", /CHECK/],
    ["DELETE FROM kit_piece WHERE id = 'long-pair'", /FOREIGN KEY/],
    ["INSERT INTO client_range VALUES ('sefina', 'left', 'elbow.flexion', 260)", /CHECK/],
    ["INSERT INTO client_limit VALUES ('sefina', 0, 'load-in-hand', 'both', 8, 'doctor', 20, 10)", /CHECK/],
    ["INSERT INTO session VALUES ('s', 'tidewater', 'nobody', 1, 60, 'trainer', NULL, NULL, NULL)", /FOREIGN KEY/],
    ["UPDATE floor_event SET kind = 'rep'", /append-only/],
    ['DELETE FROM floor_event', /append-only/],
  ])('%s', (sql, error) => expect(() => db.exec(sql)).toThrow(error));
});

describe('what is saved comes back', () => {
  it('clients with measures and ranges, stations with readings and stack', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'jorvix-')), 'a.db');
    const db = openDb(file);
    loadDemoWorld(db, NOW);
    const client = {
      ...findClient(db, 'wilhelmina')!,
      statureM: 1.9,
      measuredM: { elbowHeight: 1.2, seatedArmpit: 0.5 },
      range: { left: {}, right: { 'shoulder.horizontalAdduction': 111 } },
      notes: ['does-not-feel', 'knee'],
      unfelt: ['lat-lower'],
      limits: [{ subject: 'load-in-hand', side: 'left', most: 9, setBy: 'physician', fromDay: 20_000, untilDay: null }],
      armPath: { left: [{ belowDeg: 10, behindM: 0.04 }], right: [] },
    } as const;
    saveClient(db, client, 'trainer');
    const station = findKit(db, 'short-pair') as KitPiece<'column'>;
    saveKit(db, { ...station, name: 'Renamed', spec: { ...station.spec, stack: [5, 4], addOns: [2.5] } }, 'trainer');
    db.close();
    const again = openDb(file);
    expect(findClient(again, 'wilhelmina')).toEqual(client);
    expect(findStation(again, station.id)).toMatchObject({
      name: 'Renamed',
      stackG: [4000, 5000, 6500, 7500],
      column: { firstHoleM: expect.closeTo(2.08, 2), pitchM: expect.closeTo(0.126, 3) },
    });
  });
  it('the demo world loads once and keeps what was recorded; another day adds its sessions', () => {
    const db = openDb(':memory:');
    const count = (table: string) => (db.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
    loadDemoWorld(db, NOW);
    const before = [count('session'), count('floor_event'), count('client')];
    loadDemoWorld(db, NOW + 3_600_000);
    expect([count('session'), count('floor_event'), count('client')]).toEqual(before);
    loadDemoWorld(db, NOW + 86_400_000);
    expect([count('session'), count('client')]).toEqual([before[0]! + 3, 5]);
  });
});

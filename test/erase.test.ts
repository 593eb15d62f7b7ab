import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Db } from '@/data/open-db';
import { loadChanges } from '@/server/changes';
import { eraseClientForGood } from '@/server/erase';
import { loadFloor } from '@/server/floor';
import { listLedgers, loadLedger } from '@/server/ledger';
import { keepClientPractice } from '@/server/practice';
import { recordEvents } from '@/server/record-events';
import { moveSession } from '@/server/sessions';
import { shareSession } from '@/server/together';
import { makeLog } from './support/make-log';
import { asOwner, at, NOW, world, worldIn } from './support/world';

const NAME = 'Anselm Okparaeke';
/** Every row of every table, as text. */
const everything = (db: Db): string =>
  db
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table'")
    .pluck()
    .all()
    .map((t) => JSON.stringify(db.prepare(`SELECT * FROM ${String(t)}`).all()))
    .join('\n');

describe('a client erased for good', () => {
  it('leaves neither name nor id anywhere, only counts; what is of others stays as it was', () => {
    const db = world();
    makeLog(db, 'anselm-2026-11-24-0').set({});
    keepClientPractice(at(db), 'anselm', { question: 'breathing', side: 'in-on-pull' });
    moveSession(at(db), 'anselm-2026-11-24', { day: '2026-11-24', startsAt: '9:00', minutes: 60 });
    expect(shareSession(at(db), 'sefina-2026-11-24', 'anselm').ok).toBe(true);
    expect(everything(db)).toContain(NAME);
    const hers = JSON.stringify(loadLedger(at(db), 'sefina'));
    expect(eraseClientForGood(asOwner(db), 'anselm', ` ${NAME} `)).toMatchObject({ ok: true });
    expect(everything(db)).not.toMatch(/anselm|Okparaeke/i);
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(JSON.stringify(loadLedger(at(db), 'sefina'))).toBe(hers);
    expect(loadFloor(at(db)).sessions.some((s) => s.clientId === 'sefina')).toBe(true);
    expect(listLedgers(asOwner(db)).map((l) => l.id)).not.toContain('anselm');
    const [told] = loadChanges(asOwner(db), null)!.changes;
    expect([told!.what, told!.after]).toEqual([
      'Erased for good',
      expect.stringMatching(/^a client with \d+ sessions, \d+ sets, \d+ taps$/),
    ]);
    // Logs are closed again.
    expect(() => db.exec('DELETE FROM floor_event')).toThrow('append-only');
    expect(() => db.exec('DELETE FROM change')).toThrow('append-only');
  });
  it('wants the name, and the owner; a tap that comes too late is refused, not kept', () => {
    const db = world();
    expect(eraseClientForGood(asOwner(db), 'anselm', 'Anselm')).toMatchObject({
      ok: false,
      issues: [{ path: 'name' }],
    });
    expect(eraseClientForGood(at(db), 'anselm', NAME).ok).toBe(false);
    expect(eraseClientForGood(asOwner(db), 'nobody', NAME).ok).toBe(false);
    expect(everything(db)).toContain(NAME);
    expect(eraseClientForGood(asOwner(db), 'anselm', NAME).ok).toBe(true);
    expect(eraseClientForGood(asOwner(db), 'anselm', NAME).ok).toBe(false);
    const tap = { kind: 'pain', setId: null, rep: 0, id: 'late', deviceId: 'd', actorId: 'x', seq: 1, atMs: NOW };
    const of = { clientId: 'anselm', itemId: 'anselm-2026-11-24-0', movement: 'cable-fly-level' };
    const late = recordEvents(asOwner(db), { events: [{ ...tap, ...of }] });
    expect(late.ok ? late.reply.kept : []).toEqual([]);
    expect(everything(db)).not.toMatch(/anselm/i);
  });
  it('is overwritten in the file itself', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'jorvix-erase-')), 'app.db');
    const db = worldIn(file);
    db.pragma('wal_checkpoint(TRUNCATE)');
    expect(readFileSync(file).includes(NAME)).toBe(true);
    expect(eraseClientForGood(asOwner(db), 'anselm', NAME).ok).toBe(true);
    expect([file, `${file}-wal`].map((f) => readFileSync(f).includes(NAME))).toEqual([false, false]);
    db.close();
  });
});

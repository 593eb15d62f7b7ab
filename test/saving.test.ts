import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect, it } from 'vitest';
import type { SaveResult } from '@/contract/save-result';
import type { Db } from '@/data/open-db';
import { findClient, listClients } from '@/data/queries/clients';
import { listChanges } from '@/data/queries/changes';
import { attempt } from '@/server/attempt';
import { saveClientForm } from '@/server/clients';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { saveScreening } from '@/server/screening';
import { CLIENT } from './support/forms';
import { at, asOwner, world, worldIn } from './support/world';

const KEY = '0b6f9a2e-1c3d-4e5f-8a9b-0c1d2e3f4a5b';
const why = (r: SaveResult<unknown>) => (r.ok ? 'saved' : (r.trouble ?? r.issues[0]!.path));
const save = (db: Db) => attempt(at(db), ['anselm'], (uc) => saveClientForm(uc, 'anselm', { ...CLIENT, note: 'New.' }));

it('signed out, a full disk and a read-only one are three sentences, and nothing is kept by halves', async () => {
  expect(why(await attempt(null, [], () => ({ ok: true, id: '' })))).toBe('signedOut');
  const file = join(mkdtempSync(join(tmpdir(), 'jorvix-full-')), 'app.db');
  const full = worldIn(file);
  full.pragma(`max_page_count = ${full.pragma('page_count', { simple: true }) as number}`);
  const long = { ...CLIENT, note: 'x'.repeat(400), notes: [] };
  let last = 'saved';
  for (let n = 0; n < 200 && last === 'saved'; n++)
    last = why(await attempt(at(full), [null], (uc) => saveClientForm(uc, null, { ...long, name: `Full ${n}` })));
  expect(last).toBe('full');
  const clients = listClients(full).filter((c) => c.name.startsWith('Full'));
  const changes = listChanges(full, { clientId: null, beforeId: null, most: 300 }).filter(
    (c) => c.subject === 'client',
  );
  expect(clients.length).toBe(changes.length);
  full.close();
  const readOnly = new Database(file, { readonly: true });
  expect(why(await save(readOnly))).toBe('readOnly');
  expect(findClient(readOnly, 'anselm')!.note).not.toBe('New.');
});
it('what is no fault of the disk is none of these', () =>
  expect(attempt(at(world()), [], () => Promise.reject(new Error('a bug')))).rejects.toThrow('a bug'));
it.each([['../x'], [''], [7], [{}], ['x'.repeat(65)]])('%j names nothing', async (id) =>
  expect(await attempt(at(world()), [id], () => ({ ok: true, id: '' }))).toMatchObject({ ok: false }),
);

it('whatever form is sent twice under its key makes one thing', () => {
  const db = world();
  const uc = asOwner(db);
  const count = (table: string) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
  const plan = {
    ...{ clientId: 'anselm', movement: 'dumbbell-row-one-arm', side: 'right', sets: 3, reps: 12, tempo: '3-1-2-1' },
    ...{ load: 10, unit: 'kg', startsAt: '10:00' },
  };
  const bar = { name: 'Bar', outOfOrder: 'no', kind: 'strap-anchor', spec: { heightCm: 220 } };
  const twice: readonly (readonly [string, () => SaveResult<unknown>])[] = [
    ['client', () => saveClientForm(uc, null, CLIENT, null, KEY)],
    ['gym', () => saveGymForm(uc, null, { name: 'Yard two', screeningDays: 90 }, null, KEY)],
    ['kit_piece', () => savePieceForm(uc, 'tidewater', null, bar, null, KEY)],
    ['screening', () => saveScreening(uc, 'anselm', { day: '2026-11-20', doneBy: 'desk', procedure: 'form' }, KEY)],
    ['session_item', () => planToday(uc, plan, KEY)],
  ];
  for (const [table, send] of twice) {
    const before = count(table);
    const both = [send(), send()];
    expect([table, both.map((r) => (r.ok ? r.id : r.issues)), count(table) - before]).toEqual([table, [KEY, KEY], 1]);
  }
});

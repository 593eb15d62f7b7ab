import { createHash } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020';
import Papa from 'papaparse';
import { afterAll, describe, expect, it } from 'vitest';
import { openDb, type Db } from '@/data/open-db';
import { columnsOf, RECORD_TABLES } from '@/data/record-tables';
import { recordsOut } from '@/data/records-out';
import { recordsSchema } from '@/data/records-schema';
import type { LookedView, LookLine } from '@/contract/views/records';
import { changePassphrase, signIn } from '@/server/accounts';
import { loadChanges } from '@/server/changes';
import { loadFloor } from '@/server/floor';
import { loadLedger } from '@/server/ledger';
import { lookAtRecords, takeRecords, writeRecords, writeTable } from '@/server/records-flow';
import { makeLog } from './support/make-log';
import { seeded } from './support/fixtures';
import { asOwner, at, NOW, worldIn } from './support/world';

const folder = mkdtempSync(join(tmpdir(), 'jorvix-file-'));
const open: Db[] = [];
afterAll(() => open.forEach((db) => db.close()));
let n = 0;
const fileDb = (make: (file: string) => Db): Db => {
  const db = make(join(mkdtempSync(join(folder, 'db-')), `${(n += 1)}.db`));
  open.push(db);
  return db;
};
const demo = () => fileDb((f) => worldIn(f));
const empty = () => fileDb(openDb);
const textOf = (db: Db, clientId: string | null = null) => [...recordsOut(db, clientId, NOW)].join('');
type Doc = { tables: Record<string, Record<string, unknown>[]> } & Record<string, unknown>;
const docOf = (db: Db, clientId: string | null = null) => JSON.parse(textOf(db, clientId)) as Doc;
/** What the records hold, whatever else stands beside them. */
const dump = (db: Db) =>
  createHash('sha256')
    .update(JSON.stringify(docOf(db).tables))
    .digest('hex');

async function look(db: Db, text: string, actor = asOwner(db)): Promise<LookedView | string> {
  const stream = lookAtRecords(actor, new Response(text).body!, new AbortController().signal);
  const lines = (await new Response(stream).text()).trim().split('\n');
  const last = JSON.parse(lines.at(-1)!) as LookLine;
  return 'looked' in last ? last.looked : 'trouble' in last ? last.trouble : 'no end';
}
const good = (looked: LookedView | string): LookedView => {
  if (typeof looked === 'string') throw new Error(looked);
  return looked;
};
const counts = (looked: LookedView, table: string) => looked.tables.find((t) => t.table === table);

describe('records as a file', () => {
  it('every table of the database leaves, or is named as one that does not', () => {
    const db = empty();
    const WORKED_OUT = [
      'item_fold',
      'setup_fold',
      'set_fold',
      'fault_fold',
      'correction_fold',
      'pain_fold',
      'fold_state',
    ];
    const HERE = [
      'migration',
      'identity',
      'account_session',
      'sign_in_try',
      'api_token',
      'kept_solve',
      'fold_stamp',
      'kit_stamp',
      'first_step',
    ];
    const all = db.prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name").pluck().all();
    expect(all).toEqual([...RECORD_TABLES.map((t) => t.name), ...WORKED_OUT, ...HERE, 'stale_fold'].toSorted());
    for (const t of RECORD_TABLES) expect(columnsOf(db, t)).toEqual(expect.arrayContaining([...t.key]));
    expect(textOf(demo())).not.toContain('passphrase');
  });
  it('is as its published schema says, which is as the tables are', () => {
    const db = demo();
    const published = JSON.parse(readFileSync('docs/records.schema.json', 'utf8')) as object;
    expect(published).toEqual(recordsSchema(db));
    const validate = new Ajv2020({ strict: true, allowUnionTypes: true }).compile(published);
    expect(validate(docOf(db)), JSON.stringify(validate.errors)).toBe(true);
    expect(validate(docOf(db, 'sefina'))).toBe(true);
    const spoilt = docOf(db);
    delete spoilt.tables.client![0]!.name;
    expect(validate(spoilt)).toBe(false);
  });
  it('comes back exactly in an empty database, a second time it is all as it is', async () => {
    const db = demo();
    makeLog(db, 'sefina-2026-11-24-0').set({});
    const other = empty();
    const looked = good(await look(other, textOf(db)));
    expect(looked.rejected).toEqual([]);
    expect(counts(looked, 'client')).toMatchObject({ changed: 0, same: 0 });
    expect(dump(other)).toBe(dump(empty()));
    expect((await takeRecords(asOwner(other), looked.id)).ok).toBe(true);
    // What taking it in adds is that it was taken in.
    const own = other.prepare('DELETE FROM change WHERE path = \'["takenIn"]\'');
    other.exec('DROP TRIGGER change_is_kept');
    own.run();
    expect(dump(other)).toBe(dump(db));
    const again = good(await look(other, textOf(db)));
    expect(again.tables.every((t) => t.fresh + t.changed + t.rejected === 0)).toBe(true);
    // What was tapped is folded there as it is here.
    expect(JSON.stringify(loadLedger(at(other), 'sefina'))).toBe(JSON.stringify(loadLedger(at(db), 'sefina')));
    expect(loadFloor(at(other)).sessions.map((s) => s.items)).toEqual(loadFloor(at(db)).sessions.map((s) => s.items));
    expect(readdirSync(join(other.name, '../imports')).filter((f) => f.includes(looked.id))).toEqual([]);
  });
  it('one client’s is theirs alone, stands by itself, and is for who cares for them', async () => {
    const db = demo();
    const { tables, client } = docOf(db, 'sefina');
    expect(client).toBe('sefina');
    expect(tables.client!.map((c) => c.id)).toEqual(['sefina']);
    expect(JSON.stringify(tables)).not.toContain('Anselm');
    expect(tables.floor_event!.length).toBeGreaterThan(20);
    const other = empty();
    const looked = good(await look(other, textOf(db, 'sefina')));
    expect(looked.rejected).toEqual([]);
    expect((await takeRecords(asOwner(other), looked.id)).ok).toBe(true);
    expect(loadLedger(asOwner(other), 'sefina')).not.toBeNull();
    // Who comes in with a file is let in once the owner gives them a passphrase.
    const all = good(await look(other, textOf(db)));
    expect((await takeRecords(asOwner(other), all.id)).ok).toBe(true);
    const door = { db: other, nowMs: NOW, place: 'gym' };
    const words = { name: 'Marit Oduya-Lindqvist', passphrase: 'nine kettles in a row' };
    expect((await signIn(door, words)).ok).toBe(false);
    expect((await changePassphrase(asOwner(other), 'marit', { current: '', ...words })).ok).toBe(true);
    expect((await signIn(door, { ...words, device: 'Tablet' })).ok).toBe(true);
    expect(writeRecords(at(db), 'sefina')).not.toBeNull();
    expect(writeRecords(at(db, NOW, { id: 'stranger', name: 'S', role: 'trainer' }), 'sefina')).toBeNull();
    expect([writeRecords(at(db), null), writeTable(at(db), 'sets'), writeTable(asOwner(db), 'x')]).toEqual([
      null,
      null,
      null,
    ]);
    expect(await takeRecords(at(db), looked.id)).toMatchObject({ ok: false });
    expect(loadChanges(asOwner(db), null)!.changes.map((c) => c.what)).toContain('Records sent out as a file');
  });
  it('what is changed is changed, two that change places too; what was tapped stays as it was', async () => {
    const db = demo();
    const doc = docOf(db);
    doc.tables.client!.find((c) => c.id === 'sefina')!.note = 'Other';
    const [a, b] = doc.tables.session_item!.filter((i) => i.session_id === 'sefina-2026-11-24');
    [a!.position, b!.position] = [b!.position, a!.position];
    doc.tables.floor_event![0]!.at_ms = 5;
    const looked = good(await look(db, JSON.stringify(doc, null, 2)));
    expect([counts(looked, 'client'), counts(looked, 'session_item')]).toMatchObject([
      { changed: 1, fresh: 0 },
      { changed: 2, fresh: 0 },
    ]);
    expect(looked.rejected).toMatchObject([{ table: 'floor_event', row: 1, why: expect.stringMatching(/otherwise/) }]);
    expect((await takeRecords(asOwner(db), looked.id)).ok).toBe(true);
    const taken = docOf(db).tables;
    expect(taken.client!.find((c) => c.id === 'sefina')!.note).toBe('Other');
    expect(taken.session_item!.find((i) => i.id === a!.id)!.position).toBe(a!.position);
  });
  it.each<[string, (doc: Doc) => void, unknown]>([
    ['a column too many', (d) => void (d.tables.client![1]!.shoe = 42), { table: 'client', row: 2, column: 'shoe' }],
    ['a value that is missing', (d) => void (d.tables.gym![0]!.name = null), { table: 'gym', row: 1, column: 'name' }],
    ['text for a number', (d) => void (d.tables.client![0]!.stature_m = 'tall'), { row: 1, column: 'stature_m' }],
    ['a giant', (d) => void (d.tables.client![0]!.stature_m = 9), { row: 1, column: 'stature_m' }],
    ['a row twice', (d) => void d.tables.client!.push(d.tables.client![0]!), { table: 'client', row: 6, column: 'id' }],
    [
      'no such client',
      (d) => void (d.tables.session![4]!.client_id = 'x'),
      { table: 'session', row: 5, column: 'client_id' },
    ],
    ['a list for text', (d) => void (d.tables.client![0]!.name = ['a']), { table: 'client', row: 1, column: 'name' }],
    ['a table of its own', (d) => void (d.tables.shoe = [{ id: 1 }]), { table: 'shoe', row: 1 }],
  ])('%s is told at its row and column, and is not taken', async (_, spoil, told) => {
    const doc = docOf(demo());
    spoil(doc);
    const db = empty();
    const looked = good(await look(db, JSON.stringify(doc)));
    expect(looked.rejected[0]).toMatchObject(told as object);
    expect((await takeRecords(asOwner(db), looked.id)).ok).toBe(true);
    expect(db.pragma('foreign_key_check')).toEqual([]);
  });
  it('a file that is none, newer, cut off or spoilt anywhere: told or judged, nothing taken or left', async () => {
    const db = demo();
    const text = textOf(db, 'sefina');
    const before = dump(db);
    expect(await look(db, '{"a": 1}')).toMatch(/^Expected a file of records/);
    expect(await look(db, text.replace('"schema":', '"schema":9'))).toMatch(/newer Jorvix/);
    const random = seeded(21);
    for (let k = 0; k < 25; k++) {
      const at = Math.floor(random() * text.length);
      const cut = await look(db, text.slice(0, at));
      expect(typeof cut, `${at}`).toBe('string');
      const spoilt = await look(db, text.slice(0, at) + '¤]}7'[k % 4] + text.slice(at + 1));
      if (typeof spoilt !== 'string') expect(spoilt.tables.length).toBeGreaterThan(5);
    }
    expect(dump(db)).toBe(before);
    expect(await takeRecords(asOwner(db), '../../etc')).toMatchObject({ ok: false });
    expect(await takeRecords(asOwner(db), 'f1f1f1f1-0000-4000-8000-000000000000')).toMatchObject({ ok: false });
    expect(readdirSync(join(db.name, '../imports')).filter((f) => f.endsWith('.json'))).toEqual([]);
  });
  it('rows that cannot stand beside what is there are refused as a whole', async () => {
    const db = demo();
    const doc = docOf(db);
    const first = doc.tables.session_item!.find((i) => i.session_id === 'sefina-2026-11-24')!;
    const text = JSON.stringify({ ...doc, tables: { session_item: [{ ...first, id: 'another' }] } });
    expect(await look(db, text)).toMatch(/cannot stand beside .*position.*Nothing was taken/);
    expect(existsSync(db.name)).toBe(true);
  });
  it.each(['clients', 'kit', 'setups', 'sets', 'faults'])(
    '%s as a table, read back by an independent reader',
    async (name) => {
      const db = demo();
      const text = await new Response(writeTable(asOwner(db), name)).text();
      const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
      expect(errors).toEqual([]);
      expect(text.split('\r\n')[0]).toMatch(name === 'clients' ? /"stature, m","mass, kg"/ : /,/);
      const of = { clients: 'client', kit: 'kit_piece', setups: 'setup_fold', sets: 'set_fold', faults: 'fault_fold' }[
        name
      ]!;
      expect(data.length).toBe(db.prepare(`SELECT count(*) FROM ${of}`).pluck().get());
      if (name === 'sets')
        expect(data[0]).toMatchObject({ client: 'Sefina Taualofa', 'load, kg': expect.stringMatching(/^[\d.]+$/) });
    },
  );
});

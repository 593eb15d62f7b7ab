import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import dayjs from 'dayjs';
import fc from 'fast-check';
import Papa from 'papaparse';
import { afterAll, describe, expect, it } from 'vitest';
import type { SheetReading } from '@/contract/spreadsheet-form';
import type { LookedView, LookLine, SheetNamesView, SheetView } from '@/contract/views/records';
import type { Db } from '@/data/open-db';
import { eraseClientForGood } from '@/server/erase';
import { loadFloor } from '@/server/floor';
import { loadLedger } from '@/server/ledger';
import { loadCourse } from '@/server/movement-course';
import { takeRecords, writeTable } from '@/server/records-flow';
import { readDay, readTime } from '@/server/spreadsheet-cells';
import { lookAtSheet, matchSheet, openSheet } from '@/server/spreadsheets';
import { asOwner, at, worldIn } from './support/world';

const folder = mkdtempSync(join(tmpdir(), 'jorvix-sheets-'));
const open: Db[] = [];
afterAll(() => open.forEach((db) => db.close()));
const demo = (): Db => {
  const db = worldIn(join(mkdtempSync(join(folder, 'db-')), 'world.db'));
  open.push(db);
  return db;
};
const never = new AbortController().signal;
const bodyOf = (text: string | Uint8Array) => new Response(text as BodyInit).body!;
const opened = async (db: Db, text: string | Uint8Array): Promise<SheetView> => {
  const sheet = await openSheet(asOwner(db), bodyOf(text), never);
  if (!sheet || 'trouble' in sheet) throw new Error(sheet?.trouble ?? 'not for them');
  return sheet;
};
const matched = async (db: Db, id: string, reading: SheetReading): Promise<SheetNamesView> => {
  const done = await matchSheet(asOwner(db), id, reading);
  if (!done.ok) throw new Error(JSON.stringify(done.issues));
  return done.kept!;
};
type Meanings = Readonly<Record<string, string>>;
const meaningsOf = ({ movements, clients }: SheetNamesView, more: Meanings = {}) => {
  const said = new Map(Object.entries(more));
  const all = (names: SheetNamesView['clients']) =>
    Object.fromEntries(names.map((n) => [n.said, said.get(n.said) ?? n.means]));
  return { movements: all(movements), clients: all(clients) };
};
async function looked(db: Db, id: string, reading: SheetReading, names: unknown): Promise<LookedView | string> {
  const stream = await lookAtSheet(asOwner(db), id, { reading, names }, never);
  if ('ok' in stream) throw new Error(JSON.stringify(stream.issues));
  const last = JSON.parse((await new Response(stream).text()).trim().split('\n').at(-1)!) as LookLine;
  return 'looked' in last ? last.looked : 'trouble' in last ? last.trouble : 'no end';
}
/** A sheet with everything as it is guessed, but for what is said otherwise. */
async function lookOver(db: Db, text: string | Uint8Array, change: Partial<SheetReading> = {}, more: Meanings = {}) {
  const sheet = await opened(db, text);
  const reading = { ...sheet.readings[change.kind ?? 'sets'], ...change };
  const names = await matched(db, sheet.id, reading);
  const view = await looked(db, sheet.id, reading, meaningsOf(names, more));
  if (typeof view === 'string') throw new Error(view);
  return { sheet, names, view };
}
const counts = ({ tables }: LookedView) =>
  Object.fromEntries(tables.map((t) => [t.table, [t.fresh, t.same, t.rejected]]));
const csv = (rows: readonly (readonly string[])[], delimiter = ',') => Papa.unparse(rows as string[][], { delimiter });
const setsIn = (db: Db): number =>
  db.prepare("SELECT count(*) FROM floor_event WHERE kind = 'set-started'").pluck().get() as number;

const GERMAN_LIKE = csv(
  [
    ['Kommentar; notes', 'Weight', 'Reps', 'Exercise', 'Date', 'Client', ''],
    ['Good "grip"', '12,5', '12/10', 'cable fly, low to high', '03.09.2026', 'Sefina Taualofa', 'x'],
    ['', '15', '3x8', 'CABLE FLY, LOW TO HIGH', '10.9.2026', 'sefina taualofa', 'x'],
    ['', '', '', '', '', '', ''],
    ['', 'heavy', '8', 'cable fly, low to high', '11.9.2026', 'Sefina Taualofa', 'x'],
    ['', '15', '8', 'cable fly, low to high', '11.9.2031', 'Sefina Taualofa', 'x'],
    ['', '15', '8', 'Somebody’s own invention', '11.9.2026', 'Sefina Taualofa', 'x'],
  ],
  ';',
);

describe('days and times of cells', () => {
  const of = (y: number, m: number, d: number, h = 0, min = 0) => new Date(y, m - 1, d, h, min).getTime();
  it.each([
    ['2026-11-24', 'day-month-year', of(2026, 11, 24)],
    ['3.9.2026', 'day-month-year', of(2026, 9, 3)],
    ['3/9/2026', 'month-day-year', of(2026, 3, 9)],
    ['03-09-26', 'day-month-year', of(2026, 9, 3)],
    ['3 Sep 2026', 'day-month-year', of(2026, 9, 3)],
    ['Sep 3, 2026', 'month-day-year', of(2026, 9, 3)],
    ['2026-11-24 18:30', 'year-month-day', of(2026, 11, 24, 18, 30)],
    ['2026-11-24T17:30:00Z', 'year-month-day', Date.UTC(2026, 10, 24, 17, 30)],
    // A spreadsheet's own number of 24 November 2026 (days since 1899-12-30; remembered value).
    ['46350', 'year-month-day', of(2026, 11, 24)],
    ['31.2.2026', 'day-month-year', null],
    ['13/13/2026', 'month-day-year', null],
    ['soon', 'day-month-year', null],
    ['', 'day-month-year', null],
  ] as const)('%j by %s', (cell, order, ms) => {
    const day = readDay(cell, order);
    expect(day && day.dayMs + (day.timeMs ?? 0)).toBe(ms);
  });
  it('times', () =>
    expect(['7:05', '7:05 PM', '7pm', '', 'noon', '25:00'].map(readTime)).toEqual([
      ...[25_500_000, 68_700_000, 68_400_000, null],
      ...[undefined, undefined],
    ]));
});

describe('a spreadsheet of past sets', () => {
  it('is read whatever its columns, signs and letters; wrong cells are told, and twice is once', async () => {
    const db = demo();
    const before = setsIn(db);
    const latin = Uint8Array.from(Buffer.from(GERMAN_LIKE.replace('’', "'"), 'latin1'));
    const { sheet, names, view } = await lookOver(db, latin, {}, {});
    expect(sheet.readings.sets).toMatchObject({
      columns: { note: 0, load: 1, reps: 2, movement: 3, day: 4, client: 5 },
      dayOrder: 'day-month-year',
    });
    expect(sheet.headers.at(-1)).toBe('Column 7');
    expect(names.movements.map((n) => [n.said, n.times, n.means])).toEqual([
      ['cable fly, low to high', 4, expect.any(String)],
      ["Somebody's own invention", 1, ''],
    ]);
    expect(names.clients).toMatchObject([{ times: 5, means: 'sefina' }]);
    const fly = names.movements[0]!.likest[0]!;
    expect(fly).toContain('fly');
    const again = await lookOver(db, latin, {}, { 'cable fly, low to high': fly });
    expect(counts(again.view)).toEqual({ sets: [5, 0, 3], sessions: [2, 0, 0] });
    expect(again.view.rejected.map((r) => [r.row, r.column, r.why])).toEqual([
      [5, 'Weight', expect.stringContaining('“heavy”: expected a load')],
      [6, 'Date', expect.stringContaining('is still to come')],
      [7, 'Exercise', expect.stringContaining('is left out')],
    ]);
    expect(view.rejected.length).toBeGreaterThanOrEqual(3);
    expect(setsIn(db)).toBe(before);
    expect((await takeRecords(asOwner(db), again.view.id)).ok).toBe(true);
    expect(setsIn(db)).toBe(before + 5);
    const rows = db
      .prepare(
        `SELECT n.starts_at_ms AS at, i.sets, i.reps, i.load_g AS loadG FROM session_item i
         JOIN session n ON n.id = i.session_id WHERE i.id IN (SELECT item_id FROM floor_event WHERE device_id = 'sheet')
         ORDER BY at`,
      )
      .all();
    expect(rows).toEqual([
      { at: dayjs('2026-09-03T12:00').valueOf(), sets: 2, reps: 12, loadG: 12_500 },
      { at: dayjs('2026-09-10T12:00').valueOf(), sets: 3, reps: 8, loadG: 15_000 },
    ]);
    // The next one like it is read and matched as this one was.
    const more = `${GERMAN_LIKE}\r\n;17,5;8;cable fly, low to high;10.9.2026;Sefina Taualofa;`;
    const next = await lookOver(db, more);
    expect(next.sheet.known).toBe('sets');
    expect(counts(next.view)).toEqual({ sets: [1, 5, 3], sessions: [0, 2, 0] });
    expect((await takeRecords(asOwner(db), next.view.id)).ok).toBe(true);
    expect(setsIn(db)).toBe(before + 6);
    expect(readdirSync(join(db.name, '../imports'))).not.toContain(`${next.view.id}.staged`);
  });
  it('what came in is learned from, and its times are taken for none', async () => {
    const db = demo();
    const rows = [
      ['date', 'movement', 'load', 'reps', 'sets', 'tempo'],
      ['2026-09-01', 'Standing cable curl', '20', '10', '3', ''],
    ];
    const sheet = await opened(db, csv(rows));
    const reading = { ...sheet.readings.sets, clientId: 'iolana' };
    const names = await matched(db, sheet.id, reading);
    const movement = names.movements[0]!.likest[0]!;
    const view = await looked(db, sheet.id, reading, meaningsOf(names, { 'Standing cable curl': movement }));
    expect((await takeRecords(asOwner(db), (view as LookedView).id)).ok).toBe(true);
    expect(loadLedger(asOwner(db), 'iolana')!.movements.map((m) => m.movement)).toContain(movement);
    expect(loadFloor(at(db)).sessions.length).toBeGreaterThan(0);
    const course = loadCourse(asOwner(db), 'iolana', movement, true)!;
    expect(JSON.stringify(course)).toContain('20');
    const took = Papa.parse<Record<string, string>>(await new Response(writeTable(asOwner(db), 'sets')).text(), {
      header: true,
      skipEmptyLines: true,
    }).data.filter((r) => r['client id'] === 'iolana' && r.movement === movement);
    expect(took.filter((r) => r['took, s'] === '')).toHaveLength(3);
    // What names in it stood for goes with the client.
    expect(eraseClientForGood(asOwner(db), 'iolana', 'Iolana Brzezicki').ok).toBe(true);
    expect(db.prepare('SELECT count(*) FROM sheet_name WHERE client_id IS NOT NULL').pluck().get()).toBe(0);
  });
  it('what was tapped here is not taken once more from the table of sets that leaves', async () => {
    const db = demo();
    const table = await new Response(writeTable(asOwner(db), 'sets')).text();
    const before = setsIn(db);
    const { view, names } = await lookOver(db, table);
    expect(names.movements.every((n) => n.means === n.said)).toBe(true);
    expect(counts(view).sets).toEqual([0, 0, before]);
    expect(view.rejected.every((r) => r.why.includes('are on record'))).toBe(true);
  });
  it('says what is no table, what is no reading, and is for the owner alone', async () => {
    const db = demo();
    // A workbook is a packed file: it begins so, and holds signs that no text has.
    for (const text of ['', 'only,headers\n', '\n\n\n', 'PK\u0003\u0004\u0014\u0000,a\n1,2\n'])
      expect(await openSheet(asOwner(db), bodyOf(text), never)).toMatchObject({
        trouble: expect.stringContaining('CSV'),
      });
    expect(await openSheet(at(db), bodyOf(GERMAN_LIKE), never)).toBeNull();
    const sheet = await opened(db, GERMAN_LIKE);
    const { columns, ...reading } = sheet.readings.sets;
    const issuesOf = async (typed: unknown, id = sheet.id) => {
      const done = await matchSheet(asOwner(db), id, typed);
      return done.ok ? [] : done.issues.map((i) => i.path);
    };
    expect(await issuesOf({ ...reading, columns: {} })).toEqual(['day', 'movement', 'reps', 'client']);
    expect(await issuesOf({ ...reading, columns: { ...columns, mass: 1 } })).toEqual(['mass']);
    expect(await issuesOf({ ...reading, columns, gymId: 'none' })).toEqual(['gymId']);
    expect(await issuesOf({ ...reading, columns, clientId: 'nobody' })).toEqual(['client']);
    expect(await issuesOf({ ...reading, columns }, '../../etc')).toEqual(['file']);
    const bad = { movements: {}, clients: { a: 'nobody' } };
    expect(
      await lookAtSheet(asOwner(db), sheet.id, { reading: { ...reading, columns }, names: bad }, never),
    ).toMatchObject({ issues: [{ path: 'client' }] });
    const many = '2026-09-01,a,5,b\n'.repeat(9);
    const quote = await opened(db, `date,movement,reps,client\n${many}"2026${'x\n'.repeat(20_000)}`);
    const view = await looked(db, quote.id, quote.readings.sets, { movements: {}, clients: {} });
    expect(view).toContain('quote');
  });
  it('names that every object has are none, reps and sets must agree, today is no time to come', async () => {
    const db = demo();
    const uc = asOwner(db);
    const today = dayjs(uc.nowMs).format('YYYY-MM-DD');
    const rows = [
      ['date', 'movement', 'client', 'reps', 'sets'],
      ['2026-09-01', 'constructor', 'constructor', '8', ''],
      ['2026-09-01', '__proto__', 'toString', '8', ''],
      ['2026-09-01', 'x', 'Sefina Taualofa', '10/9/8', '4'],
      ['2026-09-01', 'x', 'Sefina Taualofa', '10/9/8', '3'],
      [today, 'x', 'Iolana Brzezicki', '8', '2'],
    ];
    const { view } = await lookOver(db, csv(rows), {}, { x: 'preacher-curl-one-arm' });
    expect(counts(view).sets).toEqual([5, 0, 3]);
    expect(view.rejected.map((r) => [r.row, r.column])).toEqual([
      [2, 'client'],
      [3, 'client'],
      [4, 'sets'],
    ]);
    expect((await takeRecords(uc, view.id)).ok).toBe(true);
    const last = db.prepare("SELECT max(at_ms) FROM floor_event WHERE device_id = 'sheet'").pluck().get() as number;
    expect(last).toBeLessThanOrEqual(uc.nowMs);
  });
  it('whatever its cells say, rows are taken or told, and what is taken stands with the rest (seeded)', async () => {
    const db = demo();
    const cell = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom(
        '2026-09-01',
        'constructor',
        '10',
        '3x10',
        '40/45',
        '12,5',
        'left',
        '',
        '1e3',
        '∞',
        "'; DROP TABLE client;--",
      ),
    );
    let taken = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(cell, { minLength: 5, maxLength: 7 }), { minLength: 1, maxLength: 12 }),
        async (rows) => {
          const good = ['2026-08-0' + (1 + (rows.length % 9)), 'x', '8', '20', 'left', '', ''];
          const text = csv([['date', 'movement', 'reps', 'load', 'side', 'tempo', 'note'], ...rows, good]);
          const { view } = await lookOver(db, text, { clientId: 'iolana' }, { x: 'preacher-curl-one-arm' }).catch(
            (e: Error) => {
              // Names may be too long to be names, and signs may hide what stands between cells.
              expect(e.message).toMatch(/characters|choose the column/);
              return { view: null };
            },
          );
          if (!view) return;
          const { sets } = counts(view) as { sets: number[] };
          taken += sets[0]!;
          if (sets[0]! > 0) expect((await takeRecords(asOwner(db), view.id)).ok).toBe(true);
        },
      ),
      { seed: 7, numRuns: 25 },
    );
    expect(taken).toBeGreaterThan(0);
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(loadLedger(asOwner(db), 'iolana')).not.toBeNull();
  }, 60_000);
});

describe('a spreadsheet of clients', () => {
  it('adds who is new, leaves who is here as they are, and estimates what is not said', async () => {
    const db = demo();
    const rows = [
      ['Member name', 'Height', 'Weight', 'Comments'],
      ['Tindra Vasquez-Holm', '1.72', '', 'Likes mornings'],
      ['Bo Amanor', `5'10"`, '180 lb', ''],
      ['SEFINA taualofa', '170', '60', 'Other'],
      ['Nobody', 'tall', '', ''],
      ['', '170', '', ''],
    ];
    const { view } = await lookOver(db, csv(rows, '\t'), { kind: 'clients' });
    expect(counts(view)).toEqual({ clients: [2, 1, 2] });
    expect(view.rejected.map((r) => [r.row, r.column])).toEqual([
      [5, 'Height'],
      [6, 'Member name'],
    ]);
    expect((await takeRecords(asOwner(db), view.id)).ok).toBe(true);
    const client = db.prepare('SELECT stature_m, mass_kg, mass_estimated, note FROM client WHERE name = ?');
    expect(client.get('Tindra Vasquez-Holm')).toMatchObject({
      stature_m: 1.72,
      mass_estimated: 1,
      note: 'Likes mornings',
    });
    // 5 feet 10 inches are 177.8 cm, 180 lb are 81.6 kg, by the definitions of foot and pound.
    expect(client.get('Bo Amanor')).toMatchObject({ stature_m: 1.778, mass_kg: 81.6, mass_estimated: 0 });
    expect(client.get('Sefina Taualofa')).not.toMatchObject({ note: 'Other' });
  });
});

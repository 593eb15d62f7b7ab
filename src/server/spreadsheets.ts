import 'server-only';
import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync } from 'node:fs';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { BOOK } from '@/core/book/book';
import { SHEET_KINDS, type SheetKind } from '@/core/record/spreadsheet';
import { toFieldIssues } from '@/contract/field';
import { refused, type SaveResult } from '@/contract/save-result';
import { sheetNamesSchema, sheetReadingSchema, type SheetNames, type SheetReading } from '@/contract/spreadsheet-form';
import type { SheetNamesView, SheetNameView, SheetView } from '@/contract/views/records';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import { findReading, keepReading, keepSheetName, listSheetNames } from '@/data/queries/spreadsheets';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { fileTroubleText } from '@/messages/records-file';
import { SHEET_REFUSAL } from '@/messages/spreadsheet';
import { guessColumns } from './guess-columns';
import { matcherOf, type Named } from './match-names';
import { reachClients } from './reach';
import { fileIn, isFileId, letGo, tidy, tellLooked } from './records-flow';
import { orderOf } from './spreadsheet-cells';
import { isBlank, OpenQuote, sheetRows } from './spreadsheet-reader';
import type { UseCase } from './use-case';

const SAMPLE_ROWS = 4;
const MOST_COLUMNS = 200;
/** More names than this are none: the column is another one. */
const MOST_NAMES = 500;
const LONGEST_NAME = 200;

/** Signs that no text has: a workbook is a packed file, not a table of text. */
const NO_TEXT = /\p{Cc}/u;

/** Headers as they are named; a column without one by its number. */
const namedHeaders = (row: readonly string[]): string[] => row.map((h, k) => h.trim() || SHEET_REFUSAL.columnNo(k + 1));

const headersKey = (headers: readonly string[]): string => JSON.stringify(headers.map((h) => h.trim().toLowerCase()));

/** How a sheet is read until somebody says otherwise. */
function firstReading(uc: UseCase, kind: SheetKind, headers: readonly string[], sample: readonly string[][]) {
  const gyms = listGyms(uc.db);
  const columns = guessColumns(kind, headers);
  const days = columns.day === undefined ? [] : sample.map((row) => row[columns.day!] ?? '');
  const inPounds = headers.some((h) => /\b(lbs?|pounds)\b/i.test(h)) || gyms[0]?.saidIn === 'feet-pounds';
  const reading = { kind, columns, dayOrder: orderOf(days), unit: inPounds ? 'lb' : 'kg' } as const;
  return { ...reading, gymId: gyms[0]?.id ?? '', clientId: '' };
}

/** What was kept of how such a sheet was read, with the gym and nobody's name; null where it was not. */
function readBefore(uc: UseCase, headers: readonly string[]): SheetReading | null {
  const kept = findReading(uc.db, headersKey(headers));
  const parsed = kept === null ? null : sheetReadingSchema.safeParse(JSON.parse(kept));
  if (!parsed?.success) return null;
  const gyms = listGyms(uc.db);
  return { ...parsed.data, gymId: gyms.find((g) => g.id === parsed.data.gymId)?.id ?? gyms[0]?.id ?? '' };
}

/**
 * Take up a spreadsheet, for the owner: its headers and first rows, and how it may be read. Nothing of it is taken
 * into the records. Null for who is not the owner.
 */
export async function openSheet(
  uc: UseCase,
  body: ReadableStream<Uint8Array>,
  signal: AbortSignal,
): Promise<SheetView | { readonly trouble: string } | null> {
  if (uc.actor.role !== 'owner') return null;
  tidy(uc.db, uc.nowMs);
  const id = randomUUID();
  const file = fileIn(uc.db, id, 'csv');
  try {
    await pipeline(Readable.fromWeb(body as WebStream), createWriteStream(file, { mode: 0o600 }), { signal });
    const rows: string[][] = [];
    for await (const row of sheetRows(file)) {
      if (rows.length === 0 || !isBlank(row)) rows.push([...row]);
      if (rows.length > SAMPLE_ROWS) break;
    }
    const [first = [], ...sample] = rows;
    const headers = namedHeaders(first);
    if (sample.length === 0 || headers.length > MOST_COLUMNS || headers.some((h) => NO_TEXT.test(h))) {
      letGo(uc.db, id);
      return { trouble: fileTroubleText({ why: 'no-table' }) };
    }
    const before = readBefore(uc, headers);
    const guesses = SHEET_KINDS.map((kind) => [kind, firstReading(uc, kind, headers, sample)] as const);
    const readings = { ...(Object.fromEntries(guesses) as Record<SheetKind, SheetReading>) };
    if (before) readings[before.kind] = before;
    return { id, headers, sample, readings, known: before?.kind ?? null };
  } catch (error) {
    letGo(uc.db, id);
    if (error instanceof OpenQuote) return { trouble: fileTroubleText({ why: 'quotes' }) };
    throw error;
  }
}

/** A sheet that lies there, and how it is to be read; or what is wrong with that. */
function readingOf(uc: UseCase, id: unknown, typed: unknown) {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  if (!isFileId(id) || !existsSync(fileIn(uc.db, id, 'csv'))) return refused('file', fileTroubleText({ why: 'gone' }));
  const parsed = sheetReadingSchema.safeParse(typed);
  if (!parsed.success) return { ok: false as const, issues: toFieldIssues(parsed.error) };
  const reading = parsed.data;
  const { kind, gymId, clientId } = reading;
  if (kind === 'sets' && !listGyms(uc.db).some((g) => g.id === gymId)) return refused('gymId', SHEET_REFUSAL.gym);
  if (clientId !== '' && !reachClients(uc).some((c) => c.id === clientId))
    return refused('client', SHEET_REFUSAL.client);
  return { ok: true as const, reading, file: fileIn(uc.db, id, 'csv'), id };
}

async function headersOf(file: string): Promise<readonly string[]> {
  for await (const row of sheetRows(file)) return namedHeaders(row);
  return [];
}

/** How often each name of a column stands in a sheet; null for more than are names. */
async function namesIn(file: string, columns: readonly (number | undefined)[]) {
  const found = columns.map(() => new Map<string, { said: string; times: number }>());
  let isFirst = true;
  for await (const row of sheetRows(file)) {
    if (!isFirst)
      columns.forEach((at, k) => {
        const said = at === undefined ? '' : (row[at] ?? '').trim();
        if (said === '' || said.length > LONGEST_NAME) return;
        const name = found[k]!.get(said.toLowerCase()) ?? { said, times: 0 };
        name.times += 1;
        found[k]!.set(said.toLowerCase(), name);
      });
    isFirst = false;
    if (found.some((names) => names.size > MOST_NAMES)) return null;
  }
  return found.map((names) => [...names.values()].toSorted((a, b) => b.times - a.times));
}

/** The names of a sheet with what they stand for: as it was said before, or the same name; else what is likest. */
export async function matchSheet(uc: UseCase, id: unknown, typed: unknown): Promise<SaveResult<SheetNamesView>> {
  const asked = readingOf(uc, id, typed);
  if (!asked.ok) return asked;
  const { client, movement } = asked.reading.columns;
  const found = await namesIn(asked.file, [movement, client]);
  if (!found) return refused('movement', SHEET_REFUSAL.manyNames(MOST_NAMES));
  const toView = (k: number, of: 'movements' | 'clients', things: readonly Named[]): SheetNameView[] => {
    const match = matcherOf(things);
    const before = new Map(listSheetNames(uc.db, of).map((n) => [n.said.toLowerCase(), n.means]));
    return found[k]!.map(({ said, times }) => {
      const { exact, likest } = match(said);
      return { said, times, means: before.get(said.toLowerCase()) ?? exact ?? '', likest };
    });
  };
  const book = BOOK.map(({ id: of, text, group, target }) => ({ id: of, name: text.name, more: `${group} ${target}` }));
  const movements = toView(0, 'movements', book);
  return { ok: true, id: asked.id, kept: { movements, clients: toView(1, 'clients', reachClients(uc)) } };
}

/** Keep how the sheet was read and what its names stand for, for the next one like it. */
function remember(uc: UseCase, headers: readonly string[], reading: SheetReading, names: SheetNames): void {
  const { db, actor, nowMs } = uc;
  inTransaction(db, () => {
    // Whose sets they were is of this sheet alone.
    keepReading(db, headersKey(headers), JSON.stringify({ ...reading, clientId: '' }), actor.id, nowMs);
    for (const what of ['movements', 'clients'] as const)
      for (const [said, means] of Object.entries(names[what]))
        keepSheetName(db, what, { said, means }, actor.id, nowMs);
  });
}

const byLowerCase = (names: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(Object.entries(names).map(([said, means]) => [said.toLowerCase(), means]));

/**
 * Look at a spreadsheet as it is to be read, without taking any of it: told line by line how far it is, then what it
 * would do. How it is read is kept for the next one.
 */
export async function lookAtSheet(
  uc: UseCase,
  id: unknown,
  typed: unknown,
  signal: AbortSignal,
): Promise<ReadableStream<Uint8Array> | Extract<SaveResult, { ok: false }>> {
  const { reading: typedReading = null, names: typedNames = null } = (typed ?? {}) as Record<string, unknown>;
  const asked = readingOf(uc, id, typedReading);
  if (!asked.ok) return asked;
  const parsed = sheetNamesSchema.safeParse(typedNames);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const known = new Set(reachClients(uc).map((c) => c.id));
  if (Object.values(parsed.data.clients).some((c) => c !== '' && !known.has(c)))
    return refused('client', SHEET_REFUSAL.client);
  const { reading, file } = asked;
  const headers = await headersOf(file);
  remember(uc, headers, reading, parsed.data);
  const names = { movements: byLowerCase(parsed.data.movements), clients: byLowerCase(parsed.data.clients) };
  const sheet = { reading, names, headers, actorId: uc.actor.id, nowMs: uc.nowMs };
  const staged = fileIn(uc.db, asked.id, 'staged');
  return tellLooked(uc.db, { does: 'look', sheet, file, staged, records: uc.db.name }, asked.id, signal);
}

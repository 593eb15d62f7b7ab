import type { KitKind } from '@/core/kit/kit-kind';
import { KIT_SPEC_VERSION, readKitSpec } from '@/contract/records/kit-record';
import { parseJson, readRows, type ReadRecord, type ReadRows } from '@/contract/records/record';
import { toAttachmentShape, toCoreColumn } from '@/contract/to-kit';
import type { KitPiece } from '@/contract/views/kit';
import type { Attachment, Station } from '@/contract/views/station';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { readOnce } from '../read-once';

interface KitRow {
  id: string;
  gym_id: string;
  kind: KitKind;
  name: string;
  out_of_order: number;
  spec: string;
  spec_version: number;
  as_usual: number;
}

function readRow(r: KitRow): ReadRecord<KitPiece> {
  const read = readKitSpec(r.kind, r.spec_version, parseJson(r.spec));
  if (!read.ok) return read;
  const { id, gym_id: gymId, kind, name } = r;
  const usual = r.as_usual === 1 ? { asUsual: true } : {};
  return { ok: true, value: { id, gymId, kind, name, outOfOrder: r.out_of_order === 1, spec: read.value, ...usual } };
}

/** Neither the piece is put away nor its gym. */
const IN_USE = `put_away_at_ms IS NULL AND gym_id NOT IN (SELECT id FROM gym WHERE put_away_at_ms IS NOT NULL)`;

/** Gyms and single pieces whose kit is at hand. */
const listedOnce = readOnce<ReadRows<KitPiece>>(40);
const foundOnce = readOnce<KitPiece | null>(400);
/** It goes up whenever kit or a gym changes. */
export const kitStamp = (db: Db): number =>
  (prepared(db, 'SELECT n FROM kit_stamp WHERE only_row = 1').get() as { n: number }).n;

/** Pieces in use of one gym, or of all, by kind and then as entered. */
export const listKit = (db: Db, gymId: string | null = null): ReadRows<KitPiece> =>
  listedOnce(db, `${kitStamp(db)} ${gymId ?? ''}`, () => readKit(db, gymId));

function readKit(db: Db, gymId: string | null): ReadRows<KitPiece> {
  const rows = prepared(
    db,
    `SELECT * FROM kit_piece WHERE ${IN_USE} ${gymId === null ? '' : 'AND gym_id = ?'} ORDER BY kind, position, name`,
  ).all(...(gymId === null ? [] : [gymId])) as KitRow[];
  return readRows(rows, readRow, (r) => ({ table: 'kit_piece', id: r.id, name: r.name }));
}

/** A piece of kit; null where there is none of that id, or none that can be read. */
export const findKit = (db: Db, id: string): KitPiece | null =>
  foundOnce(db, `${kitStamp(db)} ${id}`, () => readPiece(db, id));

function readPiece(db: Db, id: string): KitPiece | null {
  const row = prepared(db, 'SELECT * FROM kit_piece WHERE id = ?').get(id) as KitRow | undefined;
  const read = row && readRow(row);
  return read?.ok ? read.value : null;
}

/** Insert or replace a piece; `actorId`: who did. */
export function saveKit(db: Db, p: KitPiece, actorId: string): void {
  db.prepare(
    `INSERT INTO kit_piece (id, gym_id, kind, name, out_of_order, position, spec, spec_version, actor_id,
       as_usual)
     VALUES (?, ?, ?, ?, ?, (SELECT count(*) FROM kit_piece), ?, ?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, out_of_order = excluded.out_of_order, spec = excluded.spec,
       spec_version = excluded.spec_version, actor_id = excluded.actor_id,
       as_usual = excluded.as_usual`,
  ).run(
    ...[p.id, p.gymId, p.kind, p.name, p.outOfOrder ? 1 : 0, JSON.stringify(p.spec), KIT_SPEC_VERSION, actorId],
    p.asUsual ? 1 : 0,
  );
}

const isKind = <K extends KitKind>(piece: KitPiece | null, kind: K): piece is KitPiece<K> => piece?.kind === kind;

/** Pieces of one kind. */
export const ofKind = <K extends KitKind>(pieces: readonly KitPiece[], kind: K): KitPiece<K>[] =>
  pieces.flatMap((p) => (isKind(p, kind) ? [p] : []));

/** A column as it is worked with, its notches fitted to a line; once for every piece that is at hand. */
export function toStation(piece: KitPiece<'column'>): Station {
  const own = stationOf.get(piece) ?? fitStation(piece);
  stationOf.set(piece, own);
  return own;
}
const stationOf = new WeakMap<KitPiece<'column'>, Station>();

const fitStation = ({ id, gymId, name, outOfOrder, spec }: KitPiece<'column'>): Station => ({
  id,
  gymId,
  name,
  outOfOrder,
  ...toCoreColumn(spec),
});

export const listStations = (db: Db, gymId: string | null = null): Station[] =>
  ofKind(listKit(db, gymId).rows, 'column').map(toStation);

export function findStation(db: Db, id: string): Station | null {
  const piece = findKit(db, id);
  return isKind(piece, 'column') ? toStation(piece) : null;
}

const toAttachment = ({ id, gymId, name, spec }: KitPiece<'attachment'>): Attachment => ({
  id,
  gymId,
  name,
  ...toAttachmentShape(spec),
});

export const listAttachments = (db: Db): Attachment[] =>
  ofKind(listKit(db).rows, 'attachment').flatMap((p) => (p.outOfOrder ? [] : [toAttachment(p)]));

/** Working bands of one gym, or of all. */
export const listBands = (db: Db, gymId: string | null = null): KitPiece<'band'>[] =>
  ofKind(listKit(db, gymId).rows, 'band').filter((p) => !p.outOfOrder);

export function findAttachment(db: Db, id: string): Attachment | null {
  const piece = findKit(db, id);
  return isKind(piece, 'attachment') ? toAttachment(piece) : null;
}

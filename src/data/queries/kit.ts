import type { AttachmentShape } from '@/core/kit/attachment';
import type { Column, Room } from '@/core/kit/column';
import type { KitKind } from '@/core/kit/kit-kind';
import type { LoadUnit } from '@/core/units/mass';
import { KIT_SPEC, type KitSpec } from '@/contract/kit-spec';
import { toAttachmentShape, toCoreColumn } from '@/contract/to-kit';
import type { Db } from '../open-db';

/** A piece of kit with what its kind has of its own, as typed. */
export interface KitPiece<K extends KitKind = KitKind> {
  readonly id: string;
  readonly gymId: string;
  readonly kind: K;
  readonly name: string;
  readonly outOfOrder: boolean;
  readonly spec: KitSpec<K>;
}

interface KitRow {
  id: string;
  gym_id: string;
  kind: KitKind;
  name: string;
  out_of_order: number;
  spec: string;
}

const toPiece = (r: KitRow): KitPiece => ({
  id: r.id,
  gymId: r.gym_id,
  kind: r.kind,
  name: r.name,
  outOfOrder: r.out_of_order === 1,
  spec: KIT_SPEC[r.kind].parse(JSON.parse(r.spec)) as KitPiece['spec'],
});

/** Pieces of one gym, or of all, by kind and then as entered. */
export function listKit(db: Db, gymId: string | null = null): KitPiece[] {
  const rows = db
    .prepare(`SELECT * FROM kit_piece ${gymId === null ? '' : 'WHERE gym_id = ?'} ORDER BY kind, position, name`)
    .all(...(gymId === null ? [] : [gymId]));
  return (rows as KitRow[]).map(toPiece);
}

export function findKit(db: Db, id: string): KitPiece | null {
  const row = db.prepare('SELECT * FROM kit_piece WHERE id = ?').get(id) as KitRow | undefined;
  return row ? toPiece(row) : null;
}

/** Insert or replace a piece. */
export function saveKit(db: Db, p: KitPiece): void {
  db.prepare(
    `INSERT INTO kit_piece (id, gym_id, kind, name, out_of_order, position, spec)
     VALUES (?, ?, ?, ?, ?, (SELECT count(*) FROM kit_piece), ?)
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, out_of_order = excluded.out_of_order, spec = excluded.spec`,
  ).run(p.id, p.gymId, p.kind, p.name, p.outOfOrder ? 1 : 0, JSON.stringify(p.spec));
}

export const isKind = <K extends KitKind>(piece: KitPiece | null, kind: K): piece is KitPiece<K> =>
  piece?.kind === kind;

/** A cable column ready for the solver. */
export interface Station {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
  readonly outOfOrder: boolean;
  readonly column: Column;
  readonly room: Room;
  readonly stackG: readonly number[];
  /** What its stack is stamped in. */
  readonly stackUnit: LoadUnit;
}

export const toStation = ({ id, gymId, name, outOfOrder, spec }: KitPiece<'column'>): Station => ({
  id,
  gymId,
  name,
  outOfOrder,
  ...toCoreColumn(spec),
});

export const listStations = (db: Db, gymId: string | null = null): Station[] =>
  listKit(db, gymId).flatMap((p) => (isKind(p, 'column') ? [toStation(p)] : []));

export function findStation(db: Db, id: string): Station | null {
  const piece = findKit(db, id);
  return isKind(piece, 'column') ? toStation(piece) : null;
}

export interface Attachment extends AttachmentShape {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
}

const toAttachment = ({ id, gymId, name, spec }: KitPiece<'attachment'>): Attachment => ({
  id,
  gymId,
  name,
  ...toAttachmentShape(spec),
});

export const listAttachments = (db: Db): Attachment[] =>
  listKit(db).flatMap((p) => (isKind(p, 'attachment') && !p.outOfOrder ? [toAttachment(p)] : []));

export function findAttachment(db: Db, id: string): Attachment | null {
  const piece = findKit(db, id);
  return isKind(piece, 'attachment') ? toAttachment(piece) : null;
}

import 'server-only';
import { randomUUID } from 'node:crypto';
import { buildBody } from '@/core/body/body-model';
import { SPACING_OVER_SHOULDERS_M } from '@/contract/case';
import { numberBetween, text, toFieldIssues } from '@/contract/field';
import { KIT_SPEC, pieceSchema, type KitSpec } from '@/contract/kit-spec';
import type { Db } from '@/data/open-db';
import { listClients } from '@/data/queries/clients';
import { findGym, saveGym } from '@/data/queries/gyms';
import { findKit, saveKit, type KitPiece } from '@/data/queries/kit';
import type { SaveResult } from './result';
import { z } from 'zod';

/** The client whose shoulders ask for the widest station. */
function findBroadest(db: Db): { readonly name: string; readonly needM: number } | null {
  let broadest: { name: string; needM: number } | null = null;
  for (const c of listClients(db)) {
    const needM = buildBody(c).length.shoulderBreadth.m + SPACING_OVER_SHOULDERS_M;
    if (!broadest || needM > broadest.needM) broadest = { name: c.name, needM };
  }
  return broadest;
}

/** Check and keep a piece of kit; a null id makes a new one in the gym. A piece keeps the kind it was entered with. */
export function savePieceForm(db: Db, gymId: string, id: string | null, typed: unknown): SaveResult {
  const outer = pieceSchema.safeParse(typed);
  const kind = outer.success ? outer.data.kind : ((typed as { kind?: KitPiece['kind'] } | null)?.kind ?? null);
  const inner = kind && kind in KIT_SPEC ? KIT_SPEC[kind].safeParse((typed as { spec?: unknown }).spec) : null;
  const issues = [
    ...(outer.success ? [] : toFieldIssues(outer.error)),
    ...(inner && !inner.success ? toFieldIssues(inner.error).map((i) => ({ ...i, path: `spec.${i.path}` })) : []),
  ];
  if (!outer.success || !inner?.success) return { ok: false, issues };
  const known = id === null ? null : findKit(db, id);
  if (known && known.kind !== outer.data.kind)
    return { ok: false, issues: [{ path: 'kind', message: `expected ${known.kind}: a piece keeps its kind` }] };
  if (outer.data.kind === 'column') {
    const spec = inner.data as KitSpec<'column'>;
    const broadest = findBroadest(db);
    if (spec.columnKind === 'twin' && broadest && spec.twinSpacingCm! / 100 < broadest.needM) {
      const expected =
        `expected at least ${Math.ceil(broadest.needM * 100)} cm: wider than the shoulders ` +
        `of ${broadest.name}, with room for the hands`;
      return { ok: false, issues: [{ path: 'spec.twinSpacingCm', message: expected }] };
    }
  }
  const pieceId = id ?? randomUUID();
  saveKit(db, {
    id: pieceId,
    gymId: known?.gymId ?? gymId,
    kind: outer.data.kind,
    name: outer.data.name,
    outOfOrder: outer.data.outOfOrder === 'yes',
    spec: inner.data as KitPiece['spec'],
  });
  return { ok: true, id: pieceId };
}

const gymFormSchema = z.object({ name: text(1, 80), screeningDays: numberBetween(1, 3650, 'days') });

/** Check and keep a gym; a null id makes a new one. */
export function saveGymForm(db: Db, id: string | null, typed: unknown): SaveResult {
  const parsed = gymFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const gymId = id !== null && findGym(db, id) ? id : randomUUID();
  saveGym(db, { id: gymId, name: parsed.data.name, screeningDays: Math.round(parsed.data.screeningDays) });
  return { ok: true, id: gymId };
}

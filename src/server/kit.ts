import { SAID_IN } from '@/core/units/as-spoken';
import 'server-only';
import { buildBody } from '@/core/body/body-model';
import { SPACING_OVER_SHOULDERS_M } from '@/contract/case';
import { numberBetween, text, toFieldIssues } from '@/contract/field';
import { KIT_SPEC, pieceSchema, type KitSpec } from '@/contract/kit-spec';
import { inTransaction } from '@/data/in-transaction';
import { findGym, listGyms, saveGym } from '@/data/queries/gyms';
import { findKit, listKit, saveKit } from '@/data/queries/kit';
import type { Gym, KitPiece, KitSheetView, KitView } from '@/contract/views/kit';
import { mergeSheet } from '@/core/record/merge-sheet';
import { FIRST_GYM_NAME } from '@/messages/kit';
import { collisionText } from '@/messages/sheets';
import { idFromKey } from './form-key';
import { keepChanges } from './changes';
import { reachClients } from './reach';
import type { UseCase } from './use-case';
import type { SaveResult } from '@/contract/save-result';
import { z } from 'zod';
import { EXPECTED } from '@/messages/expected';

/** The client whose shoulders ask for the widest station. */
function findBroadest(uc: UseCase): { readonly name: string; readonly needM: number } | null {
  let broadest: { name: string; needM: number } | null = null;
  for (const c of reachClients(uc)) {
    const needM = buildBody(c).length.shoulderBreadth.m + SPACING_OVER_SHOULDERS_M;
    if (!broadest || needM > broadest.needM) broadest = { name: c.name, needM };
  }
  return broadest;
}

const FIRST_GYM = { id: 'gym', name: FIRST_GYM_NAME, screeningDays: 365, saidIn: 'metric' } as const;

/** The gym that new kit belongs to; the first piece of kit opens one. */
export function gymOfKit(uc: UseCase, asked: string | null): string {
  const { db, actor } = uc;
  const gym = (asked === null ? null : findGym(db, asked)) ?? listGyms(db)[0];
  if (gym) return gym.id;
  saveGym(db, FIRST_GYM, actor.id);
  keepChanges(uc, { subject: 'gym', subjectId: FIRST_GYM.id }, undefined, FIRST_GYM);
  return FIRST_GYM.id;
}

/** The kit of the gym that is asked for, else of the first. */
export function loadKit({ db }: UseCase, askedGym: string | undefined): KitView {
  const gyms = listGyms(db);
  const gym = gyms.find((g) => g.id === askedGym) ?? gyms[0] ?? null;
  const { rows, unreadable } = gym ? listKit(db, gym.id) : { rows: [], unreadable: [] };
  return { gyms, gym, pieces: rows, unreadable };
}

/** The sheet of a piece, or of a new one in a gym where the id is null; null when there is none of that id. */
export function loadKitSheet(uc: UseCase, id: string | null, gymId: string | null = null): KitSheetView | null {
  const piece = id === null ? null : findKit(uc.db, id);
  if (id !== null && !piece) return null;
  const gym = findGym(uc.db, piece?.gymId ?? gymId ?? '') ?? listGyms(uc.db)[0];
  return { piece, clients: reachClients(uc), saidIn: gym?.saidIn ?? 'metric' };
}

/** A piece for bringing two changes together: what was measured of it belongs together and is one field. */
const asSheet = ({ name, outOfOrder, spec }: KitPiece) => ({ name, outOfOrder, spec: JSON.stringify(spec) });

/**
 * Check and keep a piece of kit; a null id makes a new one in the gym. A piece keeps the kind it was entered with.
 * `opened`: the piece as the sheet was opened with it, so that what others changed since stays.
 */
export function savePieceForm(
  uc: UseCase,
  gymId: string | null,
  id: string | null,
  typed: unknown,
  opened: KitPiece | null = null,
  key: unknown = null,
): SaveResult<KitPiece> {
  const pieceId = id ?? idFromKey(key);
  const outer = pieceSchema.safeParse(typed);
  const kind = outer.success ? outer.data.kind : ((typed as { kind?: KitPiece['kind'] } | null)?.kind ?? null);
  const inner = kind && kind in KIT_SPEC ? KIT_SPEC[kind].safeParse((typed as { spec?: unknown }).spec) : null;
  const issues = [
    ...(outer.success ? [] : toFieldIssues(outer.error)),
    ...(inner && !inner.success ? toFieldIssues(inner.error).map((i) => ({ ...i, path: `spec.${i.path}` })) : []),
  ];
  if (!outer.success || !inner?.success) return { ok: false, issues };
  const known = findKit(uc.db, pieceId);
  if (known && known.kind !== outer.data.kind)
    return { ok: false, issues: [{ path: 'kind', message: EXPECTED.keptKind(known.kind) }] };
  if (outer.data.kind === 'column') {
    const spec = inner.data as KitSpec<'column'>;
    const broadest = findBroadest(uc);
    if (spec.columnKind === 'twin' && broadest && spec.twinSpacingCm! / 100 < broadest.needM) {
      const expected = EXPECTED.spacingOverShouldersCm(Math.ceil(broadest.needM * 100), broadest.name);
      return { ok: false, issues: [{ path: 'spec.twinSpacingCm', message: expected }] };
    }
  }
  const piece: KitPiece = {
    id: pieceId,
    gymId: known?.gymId ?? gymOfKit(uc, gymId),
    kind: outer.data.kind,
    name: outer.data.name,
    outOfOrder: outer.data.outOfOrder === 'yes',
    spec: inner.data as KitPiece['spec'],
  };
  const theirs = known ?? piece;
  const { merged, collisions, next } = mergeSheet(
    asSheet(typeof opened === 'object' && opened !== null ? opened : theirs),
    asSheet(piece),
    asSheet(theirs),
  );
  const whole = (s: typeof merged): KitPiece => ({ ...piece, ...s, spec: JSON.parse(s.spec) as KitPiece['spec'] });
  if (collisions.length > 0) {
    const told = collisions.map((c) => ({ path: c.keys.join('.'), message: collisionText(c) }));
    return { ok: false, issues: told, next: whole(next) };
  }
  inTransaction(uc.db, () => {
    saveKit(uc.db, whole(merged), uc.actor.id);
    const parts = ({ name, outOfOrder, spec }: KitPiece) => ({ name, outOfOrder, spec });
    const thing = { subject: 'kit', subjectId: piece.id } as const;
    keepChanges(uc, thing, known ? parts(known) : undefined, parts(whole(merged)));
  });
  return { ok: true, id: piece.id, kept: whole(merged) };
}

const gymFormSchema = z.object({
  name: text(1, 80),
  screeningDays: numberBetween(1, 3650, 'days'),
  saidIn: z.enum(SAID_IN, { error: EXPECTED.oneOf(SAID_IN.join(', ')) }).optional(),
});

/**
 * Check and keep a gym; a null id makes a new one. `opened`: the gym as the sheet was opened with it, so that what
 * others changed since stays.
 */
export function saveGymForm(
  uc: UseCase,
  id: string | null,
  typed: unknown,
  opened: Gym | null = null,
  key: unknown = null,
): SaveResult<Gym> {
  const { db, actor } = uc;
  const parsed = gymFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { name, screeningDays, saidIn } = parsed.data;
  const gymId = id ?? idFromKey(key);
  const known = findGym(db, gymId);
  const typedGym: Gym = {
    id: gymId,
    name,
    screeningDays: Math.round(screeningDays),
    saidIn: saidIn ?? known?.saidIn ?? 'metric',
  };
  const base = typeof opened === 'object' && opened !== null ? opened : (known ?? typedGym);
  const { merged: gym, collisions, next } = mergeSheet(base, typedGym, known ?? typedGym);
  if (collisions.length > 0) {
    const told = collisions.map((c) => ({ path: c.keys.join('.'), message: collisionText(c) }));
    return { ok: false, issues: told, next };
  }
  inTransaction(db, () => {
    saveGym(db, gym, actor.id);
    keepChanges(uc, { subject: 'gym', subjectId: gymId }, known ?? undefined, gym);
  });
  return { ok: true, id: gymId, kept: gym };
}

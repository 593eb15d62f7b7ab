import 'server-only';
import { v5 as uuidFrom } from 'uuid';
import { toFieldIssues } from '@/contract/field';
import { KIT_SPEC } from '@/contract/kit-spec';
import type { SaveResult } from '@/contract/save-result';
import { starterFormSchema, starterSpec, type StarterPiece } from '@/contract/starter-kit';
import type { KitPiece } from '@/contract/views/kit';
import { inTransaction } from '@/data/in-transaction';
import { findGym } from '@/data/queries/gyms';
import { listKit, saveKit } from '@/data/queries/kit';
import { STARTER_NAME } from '@/messages/kit';
import { keepChanges } from './changes';
import { idFromKey } from './form-key';
import { gymOfKit } from './kit';
import type { UseCase } from './use-case';

/**
 * Add common kit with the sizes that it usually has, marked so until it is measured. What is there by that name is left
 * as it is. Sent twice (`key`) it is added once.
 */
export function addStarterKit(uc: UseCase, gymId: string | null, typed: unknown, key: unknown = null): SaveResult {
  const { db, actor } = uc;
  const parsed = starterFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const own = idFromKey(key);
  inTransaction(db, () => {
    const gym = findGym(db, gymOfKit(uc, gymId))!;
    const names = new Set(listKit(db, gym.id).rows.map((p) => p.name.toLowerCase()));
    for (const ticked of parsed.data.pieces as readonly StarterPiece[]) {
      const name = STARTER_NAME[ticked];
      if (names.has(name.toLowerCase())) continue;
      const { kind, spec } = starterSpec(ticked, gym.saidIn);
      const sizes = KIT_SPEC[kind].parse(spec) as KitPiece['spec'];
      const id = uuidFrom(ticked, own);
      const piece: KitPiece = { id, gymId: gym.id, kind, name, outOfOrder: false, spec: sizes, asUsual: true };
      saveKit(db, piece, actor.id);
      keepChanges(uc, { subject: 'kit', subjectId: id }, undefined, { name, outOfOrder: false, spec: sizes });
    }
  });
  return { ok: true, id: own };
}

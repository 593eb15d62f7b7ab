import 'server-only';
import { readId } from '@/contract/id';
import type { SaveResult } from '@/contract/save-result';
import { EXPECTED } from '@/messages/expected';
import { storageTrouble } from './storage-trouble';
import type { UseCase } from './use-case';

/**
 * What a form saves, or why nothing could be saved: who is signed out stays on the page with what they typed, and so
 * does who meets a full disk. `ids`: what the form names, null for what is new.
 */
export async function attempt<V = never>(
  uc: UseCase | null,
  ids: readonly unknown[],
  does: (uc: UseCase) => SaveResult<V> | Promise<SaveResult<V>>,
): Promise<SaveResult<V>> {
  if (!uc) return { ok: false, issues: [], trouble: 'signedOut' };
  if (ids.some((id) => id !== null && readId(id) === null))
    return { ok: false, issues: [{ path: '', message: EXPECTED.id }] };
  try {
    return await does(uc);
  } catch (error) {
    const trouble = storageTrouble(error);
    if (trouble === null) throw error;
    return { ok: false, issues: [], trouble };
  }
}

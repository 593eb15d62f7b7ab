import type { Refused } from '@/contract/save-result';
import { SAVE_TROUBLE, type SaveTrouble } from '@/messages/saving';

/** Why a save did not come back: no network, a page from before an upgrade, or a refusal. */
export function saveTroubleOf(error: unknown): SaveTrouble {
  if (!navigator.onLine || error instanceof TypeError) return 'offline';
  const text = error instanceof Error ? `${error.name} ${error.message}` : '';
  return /Unrecognized|was not found on the server|Failed to find Server Action/.test(text) ? 'upgraded' : 'refused';
}

/** What is said of a refusal over the whole form; null where its fields say all. */
export function wholeTrouble<V>({ issues, next, trouble }: Refused<V>): string | null {
  if (trouble) return SAVE_TROUBLE[trouble];
  // Where somebody else changed the same it is told whole, since not every part has a field of its own.
  const whole = next !== undefined || issues.some((i) => i.path === '');
  return whole ? issues.map((i) => i.message).join(' ') : null;
}

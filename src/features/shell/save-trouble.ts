import type { SaveTrouble } from '@/messages/saving';

/** Why a save did not come back: no network, a page from before an upgrade, or a refusal. */
export function saveTroubleOf(error: unknown): SaveTrouble {
  if (!navigator.onLine || error instanceof TypeError) return 'offline';
  const text = error instanceof Error ? `${error.name} ${error.message}` : '';
  return /Unrecognized|was not found on the server|Failed to find Server Action/.test(text) ? 'upgraded' : 'refused';
}

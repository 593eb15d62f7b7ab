import { refresh } from 'next/cache';
import type { SaveResult } from '@/contract/save-result';

/** What is shown follows what was saved. */
export function refreshed(result: SaveResult): SaveResult {
  if (result.ok) refresh();
  return result;
}

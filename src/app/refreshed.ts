import { refresh } from 'next/cache';
import type { SaveResult } from '@/contract/save-result';

/** What is shown follows what was saved. */
export function refreshed<V = never>(result: SaveResult<V>): SaveResult<V> {
  if (result.ok) refresh();
  return result;
}

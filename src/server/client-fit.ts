import 'server-only';
import { findArmPath } from '@/core/body/arm-path-test';
import { SIDES } from '@/core/body/side';
import type { ClientFit } from '@/core/book/client-fit';
import type { Client } from '@/contract/views/client';

/**
 * What was measured of a client that bends paths: the best arm path of each side that was tried, the chest's border.
 */
export function fitOf(client: Client): ClientFit {
  const best = SIDES.flatMap((side) => {
    const found = findArmPath(client.armPath[side]);
    return found ? [[side, found.belowDeg] as const] : [];
  });
  return { armPathDeg: Object.fromEntries(best), chestLineDeg: client.chestLineDeg };
}

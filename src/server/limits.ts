import 'server-only';
import { limitsOn, loadLimits } from '@/core/body/clinician-limit';
import { workingSides } from '@/core/body/side';
import { entryOf } from '@/core/book/book';
import { heaviestKg, missingLimits } from '@/core/book/load-limit';
import type { Client } from '@/contract/views/client';
import type { LimitsView } from '@/contract/views/limits';
import type { SessionItem } from '@/contract/views/plan';
import type { Station } from '@/contract/views/station';
import { toLocalDay } from './clock';
import type { UseCase } from './use-case';

/** What a clinician and the notes let be done with a planned movement today. */
export function limitsToday(
  { nowMs }: UseCase,
  client: Client,
  item: Pick<SessionItem, 'movement' | 'side' | 'loadG'>,
  station: Station | null,
): LimitsView {
  const entry = entryOf(item.movement);
  const sides = workingSides(item.side);
  const limits = limitsOn(client.limits, toLocalDay(nowMs));
  const limitsKg = loadLimits(limits, sides);
  const most = heaviestKg(entry, station?.column.pulleyRatio ?? 1, limitsKg);
  return {
    limitsKg,
    mostLoadG: most === null ? null : Math.floor(most * 1000),
    missing: missingLimits(entry, sides, limits, client.notes),
  };
}

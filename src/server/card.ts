import 'server-only';
import { caseSchema } from '@/contract/case';
import type { CardContent } from '@/solver/card-content';
import { describeQuestion } from '@/solver/describe';
import { toQuestion } from '@/solver/to-question';
import type { Db } from '@/data/open-db';
import { loadItem } from './item-context';
import { findPlates } from './plates';

/**
 * The card of a planned movement as its plates stand; null when there is none of that id, a reason when it is blocked.
 */
export function loadCard(
  db: Db,
  itemId: string,
): { readonly ok: true; readonly card: CardContent } | { readonly ok: false; readonly says: string } | null {
  const context = loadItem(db, itemId);
  if (!context) return null;
  const plates = findPlates(context);
  if (plates.from === 'blocked') return { ok: false, says: plates.says };
  const parsed = caseSchema.safeParse(context.setupCase);
  const question = parsed.success ? toQuestion(parsed.data) : null;
  const described = question && describeQuestion(question);
  if (!question || !described)
    return { ok: false, says: 'The set-up as kept no longer fits the client or the kit: set it up again.' };
  const { client, variant, station, attachment } = context;
  return {
    ok: true,
    card: {
      client: client.name,
      variant,
      question,
      described,
      placement: plates.placement,
      station: station?.name ?? null,
      handle: attachment?.name ?? null,
      unit: context.unit,
    },
  };
}

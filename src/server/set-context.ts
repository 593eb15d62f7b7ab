import 'server-only';
import { REST_BELOW } from '@/core/mechanics/line-profile';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { buildProblem } from '@/core/setup/setup-problem';
import type { TensionShape } from '@/core/tempo/tempo';
import { caseSchema } from '@/contract/case';
import { toSetupInput } from '@/solver/to-setup-input';
import type { Db } from '@/data/open-db';
import { loadItem, type ItemContext } from './item-context';
import { findPlates, type Plates } from './plates';

export interface SetContext extends ItemContext {
  readonly plates: Plates;
  /** Where in the range the resistance counts, for time under tension; null when the set-up is blocked. */
  readonly tension: TensionShape | null;
}

/** What the live set needs: the plates as they stand and how the rep is loaded. */
export function loadSet(db: Db, itemId: string): SetContext | null {
  const context = loadItem(db, itemId);
  if (!context) return null;
  const plates = findPlates(context);
  const parsed = caseSchema.safeParse(context.setupCase);
  if (plates.from === 'blocked' || !parsed.success) return { ...context, plates, tension: null };
  const e = evaluatePlacement(buildProblem(toSetupInput(parsed.data)), plates.placement);
  const { resistanceNm } = e.bySide[e.worse]!.samples;
  const level = REST_BELOW * e.metrics.peakResistanceNm;
  return {
    ...context,
    plates,
    tension: { tensionShare: 1 - e.metrics.restShare, stretchLoaded: resistanceNm[0]! >= level, finishLoaded: resistanceNm[resistanceNm.length - 1]! >= level },
  };
}

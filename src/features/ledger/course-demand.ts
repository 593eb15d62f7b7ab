import { peakMomentNm } from '@/core/book/peak-moment';
import { poseQuestion } from '@/core/book/pose-question';
import type { Placement } from '@/core/setup/setup-problem';
import { gramsToKg } from '@/core/units/mass';
import { caseSchema, type CaseInput } from '@/contract/case';
import { toQuestion } from '@/solver/to-question';

/** A session's heaviest load and the place it was lifted from. */
export interface Lifted {
  readonly loadG: number;
  readonly placement: Placement | null;
}

/** So many are worked out before the page gets its turn. */
const AT_ONCE = 6;

function peakOf(setupCase: CaseInput, { loadG, placement }: Lifted): number | null {
  const parsed = caseSchema.safeParse({ ...setupCase, loadKg: gramsToKg(loadG) });
  const posed = parsed.success ? poseQuestion(toQuestion(parsed.data)) : null;
  return posed && peakMomentNm(posed, placement);
}

/**
 * Largest moment against the target joint of each session, newton metres, on the body and the steel as they are now;
 * the same load from the same place is worked out once. Stops where nobody waits for it any longer.
 */
export async function demandsOf(
  setupCase: CaseInput,
  lifted: readonly Lifted[],
  isWanted: () => boolean,
): Promise<readonly (number | null)[]> {
  const known = new Map<string, number | null>();
  const all: (number | null)[] = [];
  for (const one of lifted) {
    const key = JSON.stringify(one);
    if (!known.has(key)) {
      known.set(key, peakOf(setupCase, one));
      if (known.size % AT_ONCE === 0) await new Promise((r) => setTimeout(r));
      if (!isWanted()) return [];
    }
    all.push(known.get(key)!);
  }
  return all;
}

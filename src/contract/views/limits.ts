import type { LimitNote } from '@/core/body/client-note';
import type { LoadLimitsKg } from '@/core/body/loaded-part';

/** What a clinician's limits and a client's notes let be done with a movement today. */
export interface LimitsView {
  readonly limitsKg: LoadLimitsKg;
  /** Heaviest load as it is set that no limit forbids, grams; null when none applies. */
  readonly mostLoadG: number | null;
  /**
   * Notes that want a clinician's limit for this movement, which is not there: nothing starts until the trainer says
   * why.
   */
  readonly missing: readonly LimitNote[];
}

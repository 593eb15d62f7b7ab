import type { FaultCode } from '@/core/movement/fault-code';
import type { FindingKind } from '@/core/trace/findings';

/** What a finding says, and the fault that it proposes; null where there is nothing to log. */
export const FINDING: Readonly<Record<FindingKind, { readonly says: string; readonly fault: FaultCode | null }>> = {
  'lowering-rushed': { says: 'lowered in far less than the asked time', fault: 'lowering-dropped' },
  'last-lowering-dropped': { says: 'the last lowering was let go', fault: 'lowering-dropped' },
  'range-shrinks': { says: 'shorter than the first reps', fault: 'range-shrinks' },
  bounces: { says: 'turned hard at the bottom', fault: 'bounces' },
  'stack-touches': { says: 'the stack set down', fault: 'stack-touches' },
  'off-tempo': { says: 'moved at another pace than asked', fault: null },
};

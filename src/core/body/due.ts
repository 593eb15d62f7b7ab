import type { ClinicianLimit } from './clinician-limit';
import type { ScreeningState } from './screening';

/** What is due for a client about now. Days from today; below nought: so many days ago. */
export type Due =
  | { readonly kind: 'limit-ends'; readonly limit: ClinicianLimit; readonly inDays: number }
  | { readonly kind: 'screening'; readonly inDays: number }
  | { readonly kind: 'ranges'; readonly daysAgo: number };

/** A limit's end is told a week ahead, and for two weeks after it: somebody has to say what holds now. */
const LIMIT_DAYS = { ahead: 7, after: 14 } as const;
const SCREENING_DAYS = 14;
/** Active ranges are measured again after eight weeks (our judgement: a block of training). */
const RANGES_DAYS = 56;

/**
 * What is due, most pressing first. `rangesDay`: when ranges were last measured; null where none are, or nobody knows.
 * A screening that is missing or over is told elsewhere, and louder.
 */
export function dueOn(
  today: number,
  client: {
    readonly limits: readonly ClinicianLimit[];
    readonly screening: ScreeningState;
    readonly rangesDay: number | null;
  },
): Due[] {
  const ends = client.limits.flatMap((limit): Due[] => {
    const inDays = limit.untilDay === null ? Infinity : limit.untilDay - today;
    return inDays <= LIMIT_DAYS.ahead && inDays >= -LIMIT_DAYS.after ? [{ kind: 'limit-ends', limit, inDays }] : [];
  });
  const { screening, rangesDay } = client;
  const soon = screening.state === 'done' ? screening.dueDay - today : Infinity;
  return [
    ...ends,
    ...(soon <= SCREENING_DAYS ? [{ kind: 'screening', inDays: soon } as const] : []),
    ...(rangesDay !== null && today - rangesDay >= RANGES_DAYS
      ? [{ kind: 'ranges', daysAgo: today - rangesDay } as const]
      : []),
  ];
}

/** That the facility's own screening was done: by whom, when (days since 1970, UTC), by which procedure. */
export interface Screening {
  readonly doneBy: string;
  readonly day: number;
  readonly procedure: string;
}

/** How a screening stands on a day. */
export type ScreeningState =
  | { readonly state: 'done'; readonly dueDay: number }
  | { readonly state: 'missing' }
  | { readonly state: 'old'; readonly daysOver: number };

/** State of a screening on a day, for a gym that asks for it again after `validDays`. */
export function screeningState(screening: Screening | null, today: number, validDays: number): ScreeningState {
  if (!screening) return { state: 'missing' };
  const dueDay = screening.day + validDays;
  return today > dueDay ? { state: 'old', daysOver: today - dueDay } : { state: 'done', dueDay };
}

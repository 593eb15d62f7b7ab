/** Cards of several movements in one file. */
export const CARDS = {
  title: 'Station cards',
  withoutTitle: 'Without a card',
  without: (name: string, why: string): string => `${name}. ${why}`,
  ofSession: 'Cards of this session (PDF)',
  ofDay: 'Cards (PDF)',
  ofDayName: (day: string): string => `Cards (PDF) of ${day}`,
} as const;

/** Why a station card cannot be printed. */
export const CARD_REFUSAL = {
  'not-planned': 'expected a movement that is planned',
  outdated: 'The set-up as kept no longer fits the client or the kit: set it up again.',
} as const;

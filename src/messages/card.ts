/** Why a station card cannot be printed. */
export const CARD_REFUSAL = {
  'not-planned': 'expected a movement that is planned',
  outdated: 'The set-up as kept no longer fits the client or the kit: set it up again.',
} as const;

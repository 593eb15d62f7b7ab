/** Names on charts. */
export const WORDS = {
  // resistance-series
  halfWay: 'half way',
  strength: 'strength',
} as const;

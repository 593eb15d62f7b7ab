/** Names on charts. */
export const WORDS = {
  // resistance-series
  halfWay: 'half way',
  strength: 'strength',
  // course-series
  courseRow: {
    load: (unit: string): string => `heaviest load, ${unit}`,
    demand: (): string => 'most against the joint, Nm',
    reps: (): string => 'reps of each set',
    faulty: (): string => 'sets with a fault, %',
    hole: (): string => 'hole',
  },
} as const;

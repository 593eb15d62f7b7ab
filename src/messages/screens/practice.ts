/** What the page says on which sides are taken where practitioners differ. */
export const PRACTICE = {
  place: 'Practice',
  link: 'Where practice differs',
  titled: (client: string): string => `${client}: where practice differs`,
  own: 'Where practice differs',
  introOf: {
    client:
      'What is chosen here stands for every movement of this client from now on, above their trainer’s choice. What ' +
      'is set up otherwise later stands for that movement.',
    trainer:
      'What is chosen here stands for all clients of yours from now on. A choice on a client’s own sheet, a note of ' +
      'theirs, or what a movement was set up with on purpose stands above it.',
  },
  ofPlans: 'In plans',
  ofMovements: 'In movements',
  oursByCurve: 'ours: as the movement’s curve decides',
  oursIs: (side: string): string => `ours: ${side}`,
  trainers: (side: string): string => `as their trainer: ${side}`,
  changes: 'What each changes',
  changesFor: (client: string): string => `What each changes for ${client}`,
  numbersFor: 'Numbers for',
  nobody: 'Nobody is in your care yet: numbers are shown for a client.',
  working: 'Working it out …',
  failed: 'It could not be worked out on this device.',
  noneRaises: (client: string): string => `None of ${client}’s newest movements raises it.`,
  noTurns: (client: string): string => `No newest session of ${client}’s has opposite muscles that could save time.`,
  turns: (when: string, oneFirst: number, inTurns: number): string =>
    `${when}: ${oneFirst} min one muscle after the other, ${inTurns} min in turns.`,
  sideSets: (side: string, wanted: string, others: string, has: string): string =>
    `${side}: ${wanted} sets of the side deltoid beside ${others} of the other two heads; this week has ${has}.`,
  noGym: 'Plan a session first: what is worth what depends on the gym’s kit.',
  noMove: 'Nothing changes in its numbers here.',
} as const;

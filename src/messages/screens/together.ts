/** What two who train together are told. */
export const TOGETHER = {
  title: 'Train together with somebody',
  with: (partner: string): string => `Together with ${partner}`,
  intro:
    'Two share the session and take turns, each at their own loads and set-ups. Their own session at this time is ' +
    'taken; where there is none, one is made with the same movements.',
  who: 'With whom',
  share: 'Train together',
  list: 'What is changed between them',
  end: 'Train alone again',
  place: 'together',
  titled: (names: readonly string[], when: string): string => `${names.join(' and ')}, ${when}`,
  minutes: (together: number, of: number): string => `${together} min of ${of}`,
  alone: (names: readonly string[], minutes: readonly number[]): string =>
    `Estimated, in turns. Alone it would be ${names.map((n, k) => `${minutes[k]!} min for ${n}`).join(' and ')}.`,
  toPlan: (name: string): string => `${name}: plan`,
  change: 'Between them',
  seconds: (s: number): string => `${s} s`,
  nothing: 'nothing but the place',
  onlyOne: (name: string): string => `${name} alone`,
  empty: 'Nothing is planned for either of them yet.',
  print: 'Print',
} as const;

/** What a new gym needs before its first set, in order. */
export const FIRST_STEPS = ['owner', 'gym', 'column', 'client', 'setup'] as const;
/** One of them. */
export type FirstStep = (typeof FIRST_STEPS)[number];

/** How a step stands. */
export interface FirstStepView {
  readonly step: FirstStep;
  readonly state: 'done' | 'skipped' | 'open';
}

/** A set-up of the past in words; rendered on the server so that dates and names are the gym's. */
export interface SetupEntryView {
  readonly id: string;
  readonly when: string;
  readonly where: string;
  /** Hole and mark, in words. */
  readonly place: string;
  readonly changed: string;
  /** Outside the tolerance of the solved one. */
  readonly off: boolean;
}

/** One movement on one side. */
export interface SetupPageView {
  readonly key: string;
  readonly name: string;
  readonly entries: readonly SetupEntryView[];
}

/** Where in the range the trainer wants the resistance to peak; `even` asks for the flattest curve instead. */
export const PEAK_TARGETS = ['even', 'contracted', 'mid', 'lengthened'] as const;
/** Where in the range the resistance should be highest. */
export type PeakTarget = (typeof PEAK_TARGETS)[number];

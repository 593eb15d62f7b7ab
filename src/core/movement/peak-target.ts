/**
 * Where in the range the trainer wants the resistance to peak; `even` asks for the flattest curve instead, `matched`
 * for one that follows the client's strength over the range.
 */
export const PEAK_TARGETS = ['even', 'matched', 'contracted', 'mid', 'lengthened'] as const;
/** Where in the range the resistance should be highest. */
export type PeakTarget = (typeof PEAK_TARGETS)[number];

/** Where in the range the trainer wants the resistance to peak; `even` asks for the flattest curve instead. */
export const PEAK_WISHES = ['even', 'contracted', 'mid', 'lengthened'] as const;
export type PeakWish = (typeof PEAK_WISHES)[number];

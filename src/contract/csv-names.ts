/** Tables that records leave as for a spreadsheet. */
export const CSV_NAMES = ['clients', 'kit', 'setups', 'sets', 'faults', 'traces'] as const;
/** One of them. */
export type CsvName = (typeof CSV_NAMES)[number];

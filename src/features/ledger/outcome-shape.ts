/** How a correction fared, as a shape: full when it held, half, crossed out, open while nobody looked. */
export const OUTCOME_SHAPE = { held: '■', partly: '◧', not: '☒', 'not-checked': '□' } as const;

/** What a limit on a load holds for: what is in one hand, on one leg, or what the spine has to carry. */
export const LOADED_PARTS = ['hand', 'leg', 'spine'] as const;
/** A part of the body that a load comes on. */
export type LoadedPart = (typeof LOADED_PARTS)[number];

/** The most that is allowed on each part, kilograms; null where nothing is limited. */
export type LoadLimitsKg = Readonly<Record<LoadedPart, number | null>>;
/** No limit on any load. */
export const NO_LOAD_LIMITS: LoadLimitsKg = { hand: null, leg: null, spine: null };

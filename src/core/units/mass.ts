/** Standard acceleration of gravity, m/s^2 (3rd CGPM, 1901). */
export const GRAVITY_MS2 = 9.80665;

/** The international avoirdupois pound in kilograms, exact by definition (1959 agreement). */
const KG_PER_LB = 0.45359237;

/** Load arithmetic is done in whole grams, so that steps add up exactly. */
export const kgToGrams = (kg: number): number => Math.round(kg * 1000);

/** Whole grams to kilograms. */
export const gramsToKg = (grams: number): number => grams / 1000;

/** Pounds to whole grams. */
export const lbToGrams = (lb: number): number => Math.round(lb * KG_PER_LB * 1000);

/** What kit is stamped in. */
export const LOAD_UNITS = ['kg', 'lb'] as const;
/** What loads are stamped in. */
export type LoadUnit = (typeof LOAD_UNITS)[number];

/** Grams to pounds. */
export const gramsToLb = (grams: number): number => grams / 1000 / KG_PER_LB;

/** Centimetres of an inch and inches of a foot (by definition, 1959). */
const CM_PER_INCH = 2.54;
const INCHES_PER_FOOT = 12;
/** Kilograms of a pound (by definition, 1959). */
const KG_PER_LB = 0.45359237;

/** How lengths and body masses are said: centimetres and kilograms, or feet, inches and pounds. */
export const SAID_IN = ['metric', 'feet-pounds'] as const;
/** The units that a gym or a client speaks in. */
export type SaidIn = (typeof SAID_IN)[number];

const NUMBER = String.raw`(-?\d+(?:[.,]\d+)?)`;
const FEET = String.raw`(?:'|ft|feet|foot)`;
const INCHES = String.raw`(?:"|''|in|inch|inches)`;
const whole = (pattern: string): RegExp => new RegExp(`^${pattern}$`);

const number = (s: string | undefined): number => (s === undefined ? 0 : Number(s.replace(',', '.')));
/** One writing of quotes, spaces and case. */
const plain = (s: string): string => s.toLowerCase().replace(/[’‘′]/g, "'").replace(/[”“″]/g, '"').replace(/\s+/g, '');

const LENGTHS: readonly (readonly [RegExp, (a: string | undefined, b: string | undefined) => number])[] = [
  [whole(`${NUMBER}(?:cm|centimet(?:er|re)s?)?`), (a) => number(a)],
  [whole(`${NUMBER}mm`), (a) => number(a) / 10],
  [whole(`${NUMBER}m`), (a) => number(a) * 100],
  [whole(`${NUMBER}${INCHES}`), (a) => number(a) * CM_PER_INCH],
  // 5'10", 5 ft 10 in, 5'10, 6'
  [
    whole(`${NUMBER}${FEET}(?:${NUMBER}${INCHES}?)?`),
    (a, b) => (number(a) * INCHES_PER_FOOT + number(b)) * CM_PER_INCH,
  ],
];

/** A number without its unit. */
const BARE = whole(NUMBER);

const toTenth = (x: number): number => Math.round(x * 10) / 10;

/**
 * A length as people say it, centimetres to a tenth: "178", "1.78 m", "82 in", "5'10\"", "5 ft 10". A bare number is
 * centimetres, or inches where feet are spoken. Null for what is no length.
 */
export function readLengthCm(spoken: string, saidIn: SaidIn = 'metric'): number | null {
  const text = plain(spoken);
  if (saidIn === 'feet-pounds' && BARE.test(text)) return toTenth(number(text) * CM_PER_INCH);
  for (const [pattern, toCm] of LENGTHS) {
    const found = pattern.exec(text);
    if (found) return toTenth(toCm(found[1], found[2]));
  }
  return null;
}

/** A mass as people say it, kilograms to a tenth: "80", "80 kg", "180 lb"; a bare number in the unit that is spoken. */
export function readMassKg(spoken: string, saidIn: SaidIn = 'metric'): number | null {
  const found = whole(`${NUMBER}(kg|kilos?|lbs?|pounds?)?`).exec(plain(spoken));
  if (!found) return null;
  const inPounds = found[2] === undefined ? saidIn === 'feet-pounds' : /^(lb|pound)/.test(found[2]);
  return toTenth(number(found[1]) * (inPounds ? KG_PER_LB : 1));
}

/** Feet and inches of a length, to a tenth of an inch; inches alone under three feet. */
export function toFeetInches(cm: number): { readonly feet: number; readonly inches: number } {
  const inches = toTenth(cm / CM_PER_INCH);
  if (inches < 3 * INCHES_PER_FOOT) return { feet: 0, inches };
  const feet = Math.floor(inches / INCHES_PER_FOOT);
  return { feet, inches: toTenth(inches - feet * INCHES_PER_FOOT) };
}

/** Pounds of a mass that is kept to a tenth of a kilogram: to half a pound. */
export const toPounds = (kg: number): number => Math.round((kg / KG_PER_LB) * 2) / 2;

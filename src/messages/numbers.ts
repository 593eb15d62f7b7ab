import { toFeetInches, toPounds } from '@/core/units/as-spoken';

/** A share in whole per cent: "34 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Metres as whole centimetres. */
export const toCm = (m: number): number => Math.round(m * 100);

/** Metres in words: "48 cm". */
export const cmText = (m: number): string => `${toCm(m)} cm`;

/** "5 to 8 kg", or "about 5 kg" where both ends read alike. */
export const spanText = (least: string, most: string, unit: string): string =>
  least === most ? `about ${most} ${unit}` : `${least} to ${most} ${unit}`;

/** A length or a mass in the unit that it was not kept in: "5 ft 10 in", "20 in", "180 lb". */
export function otherUnit(value: number, unit: 'cm' | 'kg'): string {
  if (unit === 'kg') return `${toPounds(value)} lb`;
  const { feet, inches } = toFeetInches(value);
  return feet === 0 ? `${inches} in` : `${feet} ft ${inches} in`;
}

import { toFeetInches, toPounds, type SaidIn } from '@/core/units/as-spoken';

/** A share in whole per cent: "34 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Metres as whole centimetres. */
export const toCm = (m: number): number => Math.round(m * 100);

/** Metres in words: "48 cm". */
export const cmText = (m: number): string => `${toCm(m)} cm`;

/** "5 to 8 kg", or "about 5 kg" where both ends read alike. */
export const spanText = (least: string, most: string, unit: string): string =>
  least === most ? `about ${most} ${unit}` : `${least} to ${most} ${unit}`;

/** The units that are spoken, by name. */
export const SAID_IN_NAME: Readonly<Record<SaidIn, string>> = {
  metric: 'cm and kg',
  'feet-pounds': 'feet and pounds',
};

/** A length or a mass kept in centimetres or kilograms, as it is said: "178 cm", "5 ft 10 in", "20 in", "180 lb". */
export function saidText(value: number, unit: 'cm' | 'kg', saidIn: SaidIn): string {
  if (saidIn === 'metric') return `${value} ${unit}`;
  if (unit === 'kg') return `${toPounds(value)} lb`;
  const { feet, inches } = toFeetInches(value);
  return feet === 0 ? `${inches} in` : `${feet} ft ${inches} in`;
}

/** A length beside a figure: "178.4", or 5'10.2" where feet are spoken. */
export function figureText(cm: number, saidIn: SaidIn): string {
  if (saidIn === 'metric') return cm.toFixed(1);
  const { feet, inches } = toFeetInches(cm);
  return feet === 0 ? `${inches}"` : `${feet}'${inches}"`;
}

/** The same in the other unit, to go beside it. */
export const otherText = (value: number, unit: 'cm' | 'kg', saidIn: SaidIn): string =>
  saidText(value, unit, saidIn === 'metric' ? 'feet-pounds' : 'metric');

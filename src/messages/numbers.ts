/** A share in whole per cent: "34 %". */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** Metres as whole centimetres. */
export const toCm = (m: number): number => Math.round(m * 100);

/** Metres in words: "48 cm". */
export const cmText = (m: number): string => `${toCm(m)} cm`;

/** "5 to 8 kg", or "about 5 kg" where both ends read alike. */
export const spanText = (least: string, most: string, unit: string): string =>
  least === most ? `about ${most} ${unit}` : `${least} to ${most} ${unit}`;

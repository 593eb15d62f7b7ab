/** Radius of the biggest common plate, metres (common practice: 45 cm across). */
export const BIGGEST_PLATE_RADIUS_M = 0.225;
/** Plates by their mass: from so many kilograms on, of this radius, metres (common practice). */
const PLATES: readonly (readonly [number, number])[] = [
  [20, BIGGEST_PLATE_RADIUS_M],
  [10, 0.16],
  [5, 0.114],
  [0, 0.08],
];
/** A common bar, kilograms, and half the height of its sleeves, metres (common practice). */
const BAR_KG = 20;
const SLEEVE_RADIUS_M = 0.025;

/** Radius of the biggest plate that weighs no more than this, metres. */
export const plateRadiusM = (kg: number): number => PLATES.find(([from]) => kg >= from)![1];

/** Half the height of a bar with its plates, kilograms in all, as it lies on the floor; metres. */
export function barHalfHeightM(loadKg: number): number {
  const eachEndKg = (loadKg - BAR_KG) / 2;
  return eachEndKg > 0 ? plateRadiusM(eachEndKg) : SLEEVE_RADIUS_M;
}

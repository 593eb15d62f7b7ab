/** Names on drawings. */
export const WORDS = {
  // kit-scene
  cableEndToTheGrip: (cm: string): string => `cable end; ${cm} to the grip`,
  padEdgeDown: (cm: string, padDeg: number): string => `pad edge ${cm}, ${padDeg}° down`,
  handsApart: (from: string, to: string): string => `hands ${from} to ${to} apart`,
  seatHoleCm: 'seat hole, cm',
} as const;

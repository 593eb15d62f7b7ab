/** Kinds of kit a gym has. */
export const KIT_KINDS = [
  'column',
  'attachment',
  'bench',
  'preacher',
  'machine',
  'dumbbells',
  'plates',
  'bar',
  'landmine',
  'band',
  'strap-anchor',
] as const;
/** A kind of kit. */
export type KitKind = (typeof KIT_KINDS)[number];

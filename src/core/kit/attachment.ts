/** What hangs on the cable. `own` is anything a gym made itself. */
export const ATTACHMENT_KINDS = [
  'd-handle',
  'rope',
  'half-rope',
  'straight-bar',
  'v-bar',
  'cambered-bar',
  'long-bar',
  'ankle-cuff',
  'bare-end',
  'own',
] as const;
/** A kind of handle. */
export type AttachmentKind = (typeof ATTACHMENT_KINDS)[number];

/** A handle’s kind and sizes, metres. */
export interface AttachmentShape {
  readonly kind: AttachmentKind;
  /** Cable end to grip centre, metres: cable that the column need not pay out. */
  readonly lengthM: number;
  /** Narrowest and widest hand to hand, metres; null for one hand. */
  readonly handsM: readonly [number, number] | null;
  /** Turns freely in the hand. */
  readonly swivels: boolean;
}

/** What each kind usually measures, metres (common practice; measure your own). */
export const USUAL_ATTACHMENT: Readonly<Record<AttachmentKind, Omit<AttachmentShape, 'kind'>>> = {
  'd-handle': { lengthM: 0.14, handsM: null, swivels: true },
  rope: { lengthM: 0.3, handsM: [0.05, 0.6], swivels: true },
  'half-rope': { lengthM: 0.3, handsM: null, swivels: true },
  'straight-bar': { lengthM: 0.08, handsM: [0.1, 0.4], swivels: true },
  'v-bar': { lengthM: 0.12, handsM: [0.15, 0.2], swivels: false },
  'cambered-bar': { lengthM: 0.1, handsM: [0.15, 0.6], swivels: true },
  'long-bar': { lengthM: 0.1, handsM: [0.2, 1.1], swivels: true },
  'ankle-cuff': { lengthM: 0.06, handsM: null, swivels: false },
  'bare-end': { lengthM: 0.02, handsM: null, swivels: true },
  own: { lengthM: 0.15, handsM: null, swivels: false },
};

import { ATTACHMENT_KINDS, USUAL_ATTACHMENT, type AttachmentKind } from '@/core/kit/attachment';
import type { KitKind } from '@/core/kit/kit-kind';
import type { SaidIn } from '@/core/units/as-spoken';
import { z } from 'zod';
import { oneOf } from './field';

/** What a kind of handle usually measures, as its sheet is typed. */
export function usualAttachment(kind: AttachmentKind): Record<string, unknown> {
  const u = USUAL_ATTACHMENT[kind];
  const cm = (m: number): number => Math.round(m * 1000) / 10;
  return {
    attachmentKind: kind,
    lengthCm: cm(u.lengthM),
    handsFromCm: u.handsM ? cm(u.handsM[0]) : '',
    handsToCm: u.handsM ? cm(u.handsM[1]) : '',
    swivels: u.swivels ? 'yes' : 'no',
  };
}

/** Handles that most gyms have; what is home-made is measured. */
const HANDLES = ATTACHMENT_KINDS.filter((k) => k !== 'own' && k !== 'bare-end');

/** Common kit that can be added before it is measured. Columns, machines and bands are none: their numbers decide. */
export const STARTER_KIT = [
  ...HANDLES,
  ...(['flat-bench', 'stepped-bench', 'dumbbells', 'bar', 'plates', 'landmine'] as const),
] as const;
/** One of them. */
export type StarterPiece = (typeof STARTER_KIT)[number];

/** What is ticked in the list. */
export const starterFormSchema = z.strictObject({ pieces: z.array(oneOf(STARTER_KIT as never)).min(1) });

const range = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, k) => from + k * step);
const bench = { seatHeightCm: 44, seatDeg: [], feetApartCm: 110, blocksCm: [] };

/** Kind and sizes of a piece as they usually are (common practice), loads in the unit that the gym speaks. */
export function starterSpec(piece: StarterPiece, saidIn: SaidIn): { readonly kind: KitKind; readonly spec: unknown } {
  const inPounds = saidIn === 'feet-pounds';
  const unit = inPounds ? 'lb' : 'kg';
  switch (piece) {
    case 'flat-bench':
      return { kind: 'bench', spec: { ...bench, notches: 1, notchReadings: [{ notch: 1, deg: 0 }] } };
    case 'stepped-bench': {
      const notchReadings = [
        { notch: 1, deg: 0 },
        { notch: 7, deg: 85 },
      ];
      return { kind: 'bench', spec: { ...bench, notches: 7, notchReadings } };
    }
    case 'dumbbells':
      return { kind: 'dumbbells', spec: { loads: inPounds ? range(5, 60, 5) : range(2, 30, 2), unit } };
    case 'bar':
      return { kind: 'bar', spec: { massKg: 20, lengthCm: 220 } };
    case 'plates':
      return {
        kind: 'plates',
        spec: { loads: inPounds ? [2.5, 5, 10, 25, 35, 45] : [1.25, 2.5, 5, 10, 15, 20], pairs: 2, unit },
      };
    case 'landmine':
      return { kind: 'landmine', spec: { pivotHeightCm: 10, barKg: 20, barCm: 220, platesAtCm: 200 } };
    default:
      return { kind: 'attachment', spec: usualAttachment(piece) };
  }
}

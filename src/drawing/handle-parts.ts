import type { AttachmentKind } from '@/core/kit/attachment';

/** A point of a handle's own plane, metres: along the handle from its middle, and from there towards the cable. */
type P = readonly [number, number];

/** A part of a handle: steel that is held, or what leads from it to the cable. */
export interface HandlePart {
  readonly from: P;
  readonly to: P;
  readonly radiusM: number;
  readonly look: 'steel' | 'strap';
}

/** Half the length of a handle for one hand, and how thick a bar is in the hand (drawing only). */
const HALF_HAND_M = 0.06;
const BAR_M = 0.014;
const STRAP_M = 0.007;
/** A long bar is bent this far from its middle, and falls by this much a metre beyond. */
const BEND_M = 0.4;
const FALL = 0.45;

const steel = (from: P, to: P, radiusM = BAR_M): HandlePart => ({ from, to, radiusM, look: 'steel' });
const strap = (from: P, to: P, radiusM = STRAP_M): HandlePart => ({ from, to, radiusM, look: 'strap' });
const mirrored = (parts: readonly HandlePart[]): HandlePart[] =>
  [1, -1].flatMap((s) => parts.map((p) => ({ ...p, from: [s * p.from[0], p.from[1]], to: [s * p.to[0], p.to[1]] })));

/**
 * The parts of a handle in its own plane, as it is gripped: `lengthM` from the grip to the cable's end, the hands
 * `apartM` from each other, 0 for one hand. Seen the same on the cable and in its drawing under Kit.
 */
export function handleParts(kind: AttachmentKind, lengthM: number, apartM: number): readonly HandlePart[] {
  const half = apartM / 2;
  const end: P = [0, lengthM];
  switch (kind) {
    case 'd-handle':
    case 'own':
      return [...mirrored([strap([HALF_HAND_M, 0], end)]), steel([-HALF_HAND_M, 0], [HALF_HAND_M, 0])];
    case 'half-rope':
      return [strap(end, [0, 0], BAR_M), strap([0, 0], [0, -0.06], BAR_M), steel([0, -0.07], [0, -0.07], 0.026)];
    case 'rope': {
      if (apartM === 0) return handleParts('half-rope', lengthM, 0);
      const knot = Math.sqrt(Math.max(0.02 ** 2, lengthM ** 2 - half ** 2));
      const on: P = [half + (0.07 * half) / lengthM, (-0.07 * knot) / lengthM];
      return mirrored([strap([0, knot], on, BAR_M), steel(on, on, 0.026)]);
    }
    case 'straight-bar':
      return [strap([0, 0], end), steel([-half - 0.1, 0], [half + 0.1, 0])];
    case 'long-bar': {
      // Held past its bends the hands are on the falling ends, and its middle stands above them.
      const up = Math.max(0, half - BEND_M) * FALL;
      const tip = Math.max(BEND_M + 0.15, half + 0.06);
      return [
        strap([0, up], end),
        steel([-BEND_M, up], [BEND_M, up]),
        ...mirrored([steel([BEND_M, up], [tip, up - (tip - BEND_M) * FALL])]),
      ];
    }
    case 'cambered-bar': {
      const tip = half + 0.08;
      return [
        strap([0, 0], end),
        ...mirrored([steel([0, 0], [half * 0.6, 0.03]), steel([half * 0.6, 0.03], [tip, -0.01])]),
      ];
    }
    case 'v-bar':
      return mirrored([steel([0.012, lengthM], [half * 1.3, -0.3 * lengthM])]);
    case 'ankle-cuff':
      return [steel([-0.03, 0], [0.03, 0], 0.05), strap([0, 0], end)];
    case 'bare-end':
      return [strap([0, 0], [0, Math.max(lengthM, 0.05)]), steel([0, 0], [0, 0], 0.022)];
  }
}

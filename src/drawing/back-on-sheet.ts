import type { BookEntry } from '@/core/book/book-entry';
import type { Dot } from './capsule';
import { restOn } from './rest-on';

type Surface = { readonly from: Dot; readonly to: Dot };

/** A bench's back among the surfaces of a scene, from its hinge to its top; null where the movement shows none. */
export function backOnSheet(e: BookEntry, surfaces: readonly Surface[], armPad: Surface | null): Surface | null {
  // The pad under an arm is drawn from the armpit down.
  if (e.armOn === 'bench') return armPad && { from: armPad.to, to: armPad.from };
  const rests = restOn(e);
  return (rests === 'back' || rests === 'front') && e.posture.kind !== 'leg-machine' ? (surfaces[1] ?? null) : null;
}

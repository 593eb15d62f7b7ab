import type { BookEntry } from '@/core/book/book-entry';

/** The body rests on a seat or bench under the hips, its back along the trunk when it lies. */
type Rest = 'seat' | 'back' | 'front' | null;

/** What a movement's posture lies or sits on, for the drawing. */
export function restOn(e: BookEntry): Rest {
  const { posture } = e;
  if (posture.kind === 'lying') return posture.on === 'front' ? 'front' : posture.on === 'back' ? 'back' : 'seat';
  if (posture.kind === 'leg-machine') return 'back';
  return posture.kind === 'seated'
    ? posture.on === 'bench' && posture.backDeg < 95 && e.load.kind !== 'cable'
      ? 'back'
      : 'seat'
    : null;
}

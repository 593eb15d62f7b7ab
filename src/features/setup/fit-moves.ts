import type { BookEntry } from '@/core/book/book-entry';
import type { StationKit } from '@/core/book/station-kit';
import { holePositionM } from '@/core/kit/calibrate-ruler';
import type { FitMoves } from './fit-plates';
import type { SetupEvent } from './setup-machine';

/** Moving notch and seat to what is found, as choices of the set-up. */
export const fitMoves = (kit: StationKit, dispatch: (event: SetupEvent) => void): FitMoves => ({
  notchesDeg: kit.bench?.backDeg ?? [],
  choose: (options) => dispatch({ type: 'options-chosen', options }),
});

/** How far one hole lifts the seat of a movement, metres; 0 without a seat that moves. */
export function seatPitchOf(e: BookEntry, kit: StationKit): number {
  const seat =
    e.armOn === 'preacher'
      ? kit.preacher?.seat
      : e.load.kind === 'machine'
        ? kit.machines[e.load.machine]?.seat
        : undefined;
  return seat && seat.holes > 1 ? holePositionM(seat, 2) - holePositionM(seat, 1) : 0;
}

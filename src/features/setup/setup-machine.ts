import type { MovementOptions } from '@/core/movement/movement';
import type { Placement, WorkingSide } from '@/core/setup/setup-problem';

/** What the trainer has chosen and moved; everything else follows from it. */
export interface SetupState {
  readonly options: MovementOptions;
  readonly side: WorkingSide;
  /** Where things were put by hand; null while they stand as solved. */
  readonly moved: Placement | null;
  /** The placement last saved as used in this session. */
  readonly saved: Placement | null;
}

export type SetupEvent =
  | { readonly type: 'placed'; readonly placement: Placement }
  | { readonly type: 'put-right' }
  | { readonly type: 'options-chosen'; readonly options: Partial<MovementOptions> }
  | { readonly type: 'foot-chosen'; readonly foot: MovementOptions['frontFoot'] }
  | { readonly type: 'side-chosen'; readonly side: WorkingSide }
  | { readonly type: 'saved'; readonly placement: Placement };

/** Choosing an option asks a new question, so what was moved by hand gives way to the new answer. */
export function reduceSetup(state: SetupState, event: SetupEvent): SetupState {
  switch (event.type) {
    case 'placed':
      return { ...state, moved: event.placement };
    case 'put-right':
      return { ...state, moved: null };
    case 'options-chosen':
      return { ...state, options: { ...state.options, ...event.options }, moved: null };
    // Either foot will do: nothing is solved anew, so nothing moved by hand is lost.
    case 'foot-chosen':
      return { ...state, options: { ...state.options, frontFoot: event.foot } };
    case 'side-chosen':
      return { ...state, side: event.side, moved: null };
    case 'saved':
      return { ...state, saved: event.placement };
  }
}

export const samePlacement = (a: Placement | null, b: Placement | null): boolean =>
  a !== null && b !== null && a.hole === b.hole && a.standX === b.standX && a.standZ === b.standZ && a.yawDeg === b.yawDeg;

import type { WorkingSide } from '@/core/body/side';
import type { EntryOptions } from '@/core/book/entry-options';
import type { Placement } from '@/core/setup/setup-problem';

/** What the trainer has chosen and moved; everything else follows from it. */
export interface SetupState {
  readonly options: EntryOptions;
  readonly side: WorkingSide;
  /** Where things were put by hand; null while they stand as solved. */
  readonly moved: Placement | null;
  /** Settings that cannot be changed here: a stuck pin, somebody else's bench. */
  readonly held: Partial<Placement>;
  /** The placement last saved as used in this session. */
  readonly saved: Placement | null;
}

export type SetupEvent =
  | { readonly type: 'placed'; readonly placement: Placement }
  | { readonly type: 'put-right' }
  | { readonly type: 'options-chosen'; readonly options: Partial<EntryOptions> }
  | { readonly type: 'foot-chosen'; readonly foot: EntryOptions['frontFoot'] }
  | { readonly type: 'side-chosen'; readonly side: WorkingSide }
  /** Settings held together, where they stand: both carriages are one. */
  | { readonly type: 'hold-toggled'; readonly at: Partial<Placement> }
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
    // A held setting keeps its value wherever the rest is solved to; what was moved by hand stays moved.
    case 'hold-toggled': {
      const keys = Object.keys(event.at);
      const rest = Object.fromEntries(Object.entries(state.held).filter(([k]) => !keys.includes(k)));
      return { ...state, held: keys.some((k) => k in state.held) ? rest : { ...rest, ...event.at } };
    }
    case 'saved':
      return { ...state, saved: event.placement };
  }
}

export const samePlacement = (a: Placement | null, b: Placement | null): boolean =>
  a !== null &&
  b !== null &&
  a.hole === b.hole &&
  (a.leftBy ?? 0) === (b.leftBy ?? 0) &&
  a.standX === b.standX &&
  a.standZ === b.standZ &&
  a.yawDeg === b.yawDeg;

import { useState } from 'react';
import type { WorkingSide } from '@/core/body/side';

/** The side that the next fault is of. */
export interface FaultSide {
  readonly side: WorkingSide;
  /** The side that is kept for more than one fault; null while it goes back by itself. */
  readonly kept: WorkingSide | null;
  /** Chosen once it is for one fault, chosen again it is kept. */
  readonly choose: (side: WorkingSide) => void;
  /** A fault was tapped. */
  readonly used: () => void;
}

/** The side of the next fault: the movement's own, for one fault another one, or another until it is chosen anew. */
export function useFaultSide(own: WorkingSide): FaultSide {
  const [at, setAt] = useState<{ readonly side: WorkingSide; readonly kept: boolean }>({ side: own, kept: false });
  return {
    side: at.side,
    kept: at.kept && at.side !== own ? at.side : null,
    choose: (side) => setAt((was) => ({ side, kept: was.side === side && side !== own && !was.kept })),
    used: () => setAt((was) => (was.kept ? was : { side: own, kept: false })),
  };
}

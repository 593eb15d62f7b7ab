import type { AttachmentShape } from '@/core/kit/attachment';
import type { Column, Room } from '@/core/kit/column';
import type { LoadUnit } from '@/core/units/mass';

/** A cable column ready for the solver. */
export interface Station {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
  readonly outOfOrder: boolean;
  readonly column: Column;
  readonly room: Room;
  readonly stackG: readonly number[];
  /** What its stack is stamped in. */
  readonly stackUnit: LoadUnit;
}

/** What hangs on a cable. */
export interface Attachment extends AttachmentShape {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
}

/** A column that a set-up can be taken to, under its gym's name. */
export interface StationChoice {
  readonly id: string;
  readonly name: string;
  readonly gym: string;
  readonly outOfOrder: boolean;
}

/** Planned kit that is out of order, or in another gym, and what stands in for it here. */
export interface ReplacedKit {
  readonly kind: 'column' | 'attachment';
  readonly why: 'out-of-order' | 'elsewhere';
  readonly planned: string;
  readonly by: string | null;
}

/** A stack as planned, when it was converted for another column. */
export interface ConvertedLoad {
  readonly plannedG: number;
  readonly plannedUnit: LoadUnit;
  readonly plannedOn: string;
}

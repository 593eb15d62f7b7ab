import type { Body } from '@/core/body/body-model';
import { NO_LOAD_LIMITS, type LoadLimitsKg } from '@/core/body/loaded-part';
import type { WorkingSide } from '@/core/body/side';
import type { AttachmentKind } from '@/core/kit/attachment';
import type { Column, Room } from '@/core/kit/column';
import type { Placement } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import { sidesOf } from './book-entry';
import { usualOptions, withOptions, type EntryOptions } from './entry-options';
import { WHOLE_RANGE, type EntryRange } from './pose-entry';
import { USUAL_KIT, type StationKit } from './station-kit';

/**
 * A column with the floor before it and what hangs on its cable: its length, and the narrowest and widest that two
 * hands hold it, metres; absent where that is as usual for its kind.
 */
export interface ColumnPlace {
  readonly column: Column;
  readonly room: Room;
  readonly attachmentM: number;
  readonly handsM?: readonly [number, number] | null;
  /** What hangs on the cable, where it is known. */
  readonly attachment?: AttachmentKind;
}

/**
 * A movement asked of a client on a gym's kit: everything that its answer follows from, plain data. The same for a
 * movement on a cable and for one without; only a place at a column asks for the column.
 */
export interface Question {
  /** As the book has it, before any choice. */
  readonly own: BookEntry;
  readonly options: EntryOptions;
  /** As chosen. */
  readonly entry: BookEntry;
  readonly body: Body;
  readonly range: EntryRange;
  readonly side: WorkingSide;
  readonly kit: StationKit;
  /** Stack per working side, dumbbell, bar with its plates, or the plates of a landmine, kilograms. */
  readonly loadKg: number;
  readonly loadLimits: LoadLimitsKg;
  /** Null where there is none; a movement on a cable cannot be placed then. */
  readonly column: ColumnPlace | null;
  /** Settings of a place that may not move. */
  readonly fixed: Partial<Placement>;
  /** A set-up that worked before is not moved for nothing. */
  readonly lastUsed: Placement | null;
}

/** What is asked beside the movement; what is left out is as usual. */
export type Asked = Pick<Question, 'body'> & Partial<Omit<Question, 'own' | 'entry' | 'body'>>;

/** Load that is asked about where none is planned, kilograms. */
const USUAL_KG = 15;

/** Ask a movement of the book of a client. */
export function askQuestion(own: BookEntry, asked: Asked): Question {
  const range = asked.range ?? WHOLE_RANGE;
  const options = asked.options ?? usualOptions(own, range.fit);
  return {
    side: sidesOf(own).at(-1)!,
    kit: USUAL_KIT,
    loadKg: USUAL_KG,
    loadLimits: NO_LOAD_LIMITS,
    column: null,
    fixed: {},
    lastUsed: null,
    ...asked,
    own,
    range,
    options,
    entry: withOptions(own, options),
  };
}

/** Ask the same with other choices or another side. */
export const withChoices = (q: Question, options: EntryOptions, side: WorkingSide): Question => ({
  ...q,
  options,
  side,
  entry: withOptions(q.own, options),
});

/** Two arms on handles of their own need two cables. */
export const lacksPulley = ({ entry, side, column }: Question): boolean =>
  entry.load.kind === 'cable' && column?.column.kind === 'single' && side === 'both' && !entry.load.shared;

import { FAULT_BOOK, FAULT_PHASES, type FaultPhase } from '@/core/fault/fault-book';
import type { WatchEntry } from '@/core/fault/watch-list';
import type { FaultCode } from '@/core/movement/fault-code';

/** Faults of one phase in a column of the pad; `goesOn`: the column before began it. */
export interface PadGroup {
  readonly phase: FaultPhase;
  readonly goesOn: boolean;
  readonly faults: readonly FaultCode[];
}
/** A column of the pad from top to bottom. */
export type PadColumn = readonly PadGroup[];

/** Columns of the pad, and the most buttons under each other that a tablet shows without scrolling. */
export const PAD_COLUMNS = 4;
export const PAD_ROWS = 5;

/** What stands under one heading: a start fault is seen as the lift begins. */
const TOGETHER: readonly (readonly FaultPhase[])[] = [['start', 'lifting'], ['finish'], ['lowering'], ['stretch']];

type Weights = ReadonlyMap<FaultCode, number>;
const weightsOf = (ranked: readonly WatchEntry[]): Weights => new Map(ranked.map((r) => [r.fault, r.weight]));

/** Faults of some phases: this client's likeliest first. */
const groupOf = (faults: readonly FaultCode[], weights: Weights, phases: readonly FaultPhase[]): FaultCode[] =>
  faults
    .filter((f) => phases.includes(FAULT_BOOK[f].phase))
    .toSorted(
      (a, b) =>
        (weights.get(b) ?? 0) - (weights.get(a) ?? 0) ||
        FAULT_PHASES.indexOf(FAULT_BOOK[b].phase) - FAULT_PHASES.indexOf(FAULT_BOOK[a].phase),
    );

const groupsOf = (faults: readonly FaultCode[], weights: Weights): PadGroup[] =>
  TOGETHER.flatMap((phases): PadGroup[] => {
    const own = groupOf(faults, weights, phases);
    return own.length > 0 ? [{ phase: phases.at(-1)!, goesOn: false, faults: own }] : [];
  });

/** Height of a column in buttons; a further heading in it takes half of one. */
const rowsOf = (column: PadColumn): number =>
  column.reduce((sum, g) => sum + g.faults.length, 0) + (column.length - 1) / 2;
const tallest = (columns: readonly PadColumn[]): number => Math.max(0, ...columns.map(rowsOf));

/** A column cut in two halves of one phase each; null where it holds more than one phase, or a single fault. */
function halves(column: PadColumn): readonly [PadColumn, PadColumn] | null {
  const [group] = column;
  if (column.length !== 1 || !group || group.faults.length < 2) return null;
  const half = Math.ceil(group.faults.length / 2);
  return [
    [{ ...group, faults: group.faults.slice(0, half) }],
    [{ ...group, goesOn: true, faults: group.faults.slice(half) }],
  ];
}

/** The tallest column that can be cut goes on in the next one, as long as there are free columns. */
function spread(columns: readonly PadColumn[]): readonly PadColumn[] {
  if (columns.length >= PAD_COLUMNS) return columns;
  const most = columns.reduce((best, c, i) => (rowsOf(c) > rowsOf(columns[best]!) ? i : best), 0);
  const cut = columns[most] && halves(columns[most]);
  return cut ? spread([...columns.slice(0, most), ...cut, ...columns.slice(most + 1)]) : columns;
}

/** Two neighbouring columns in one, those that are shortest together. */
function stacked(columns: readonly PadColumn[]): readonly PadColumn[] {
  const pair = (i: number): number => rowsOf(columns[i]!) + rowsOf(columns[i + 1]!);
  let at = 0;
  for (let i = 1; i + 1 < columns.length; i++) if (pair(i) < pair(at)) at = i;
  return [...columns.slice(0, at), [...columns[at]!, ...columns[at + 1]!], ...columns.slice(at + 2)];
}

/**
 * The pad's columns: a phase each where that fits a tablet. A phase with many faults goes on in a free column; where
 * none is free, short phases share one.
 */
export function padColumns(faults: readonly FaultCode[], ranked: readonly WatchEntry[]): readonly PadColumn[] {
  const own = groupsOf(faults, weightsOf(ranked)).map((g): PadColumn => [g]);
  let best = spread(own);
  for (let packed = own; tallest(best) > PAD_ROWS && packed.length > 1;) {
    packed = [...stacked(packed)];
    const next = spread(packed);
    if (tallest(next) < tallest(best)) best = next;
  }
  return best;
}

/** The two or three faults of a drill or a stretch under each other, in the order that the pad's keys go by. */
export const oneColumn = (faults: readonly FaultCode[], ranked: readonly WatchEntry[]): readonly PadColumn[] => [
  [{ phase: 'start', goesOn: false, faults: padOrder(faults, ranked) }],
];

/** Every fault of the pad in the order it stands there, column by column. */
export const padOrder = (faults: readonly FaultCode[], ranked: readonly WatchEntry[]): FaultCode[] =>
  padColumns(faults, ranked).flatMap((column) => column.flatMap((g) => [...g.faults]));

/**
 * Every fault, the likeliest first: what this client showed by weight, then the first of each phase, the second of
 * each, and so on.
 */
export function likeliest(faults: readonly FaultCode[], ranked: readonly WatchEntry[]): FaultCode[] {
  const weights = weightsOf(ranked);
  const groups = groupsOf(faults, weights);
  const turn = new Map(groups.flatMap((g, k) => g.faults.map((f, i) => [f, i * TOGETHER.length + k] as const)));
  return faults.toSorted((a, b) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0) || turn.get(a)! - turn.get(b)!);
}

import { betweenS, OUR_TIMES, type ChangeTimes } from './session-time';
import { unitSeconds, unitsOf, type InTurns } from './turns';

/** When a session uses a station, milliseconds. */
export interface StationUse {
  readonly stationId: string;
  readonly fromMs: number;
  readonly toMs: number;
}

/** Reckoned times are not exact to minutes: a station is held to be used so much longer on both ends (ours). */
const SLACK_MS = 3 * 60_000;

const stationsOf = (unit: readonly InTurns[]): string[] => [
  ...new Set(unit.flatMap((b) => b.items.flatMap((i) => i.stationId ?? []))),
];

const unitGap = (from: readonly InTurns[], to: readonly InTurns[], times: ChangeTimes): number =>
  betweenS(from.at(-1)!.items.at(-1)!, to[0]!.items[0]!, times);

/** When a session goes on, milliseconds from its start, or from now, to its end. */
export interface Span {
  readonly startsAtMs: number;
  readonly endsAtMs: number;
}

/**
 * Stations of what is done together from `atMs` on: a little longer than reckoned on both ends, but neither before the
 * session begins nor, where the plan holds its time, after it ends.
 */
export function usesOfUnit(
  unit: readonly InTurns[],
  atMs: number,
  { startsAtMs, endsAtMs }: Span,
  times: ChangeTimes,
): StationUse[] {
  const doneMs = atMs + unitSeconds(unit, times) * 1000;
  const fromMs = Math.max(startsAtMs, atMs - SLACK_MS);
  const toMs = Math.max(doneMs, Math.min(endsAtMs, doneMs + SLACK_MS));
  return stationsOf(unit).map((stationId) => ({ stationId, fromMs, toMs }));
}

/** When a session uses which stations, in its order. */
export function stationUses(blocks: readonly InTurns[], span: Span, times: ChangeTimes = OUR_TIMES): StationUse[] {
  let now = span.startsAtMs;
  let before: readonly InTurns[] | null = null;
  return unitsOf(blocks).flatMap((unit) => {
    if (before) now += unitGap(before, unit, times) * 1000;
    const uses = usesOfUnit(unit, now, span, times);
    now += unitSeconds(unit, times) * 1000;
    before = unit;
    return uses;
  });
}

/** Whether two uses are of one station at one time. */
export const collide = (a: StationUse, b: StationUse): boolean =>
  a.stationId === b.stationId && a.fromMs < b.toMs && b.fromMs < a.toMs;

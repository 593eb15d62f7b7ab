import type { FloorEvent } from './floor-event';

/** Taps of one device, in the order it made them, with the time that each is sorted by. */
interface Row {
  readonly events: readonly FloorEvent[];
  /** A device's time never runs back: a clock set back mid-set moves nothing before what was tapped earlier. */
  readonly timesMs: readonly number[];
}

function rowsOf(events: readonly FloorEvent[]): Row[] {
  const byDevice = new Map<string, FloorEvent[]>();
  for (const e of new Map(events.map((one) => [one.id, one])).values()) {
    const row = byDevice.get(e.deviceId);
    if (row) row.push(e);
    else byDevice.set(e.deviceId, [e]);
  }
  return [...byDevice.keys()].sort().map((deviceId) => {
    const own = byDevice.get(deviceId)!;
    // A device that counts a number twice had its store brought back from a copy: its clock knows better.
    const counts = new Set(own.map((e) => e.seq)).size === own.length;
    own.sort((a, b) => (counts ? 0 : a.atMs - b.atMs) || a.seq - b.seq || (a.id < b.id ? -1 : 1));
    let last = -Infinity;
    return { events: own, timesMs: own.map((e) => (last = Math.max(last, e.atMs))) };
  });
}

/** What must be on record before an event means anything: the start of its set, what it undoes, notes or judges. */
function needs(e: FloorEvent): readonly string[] {
  switch (e.kind) {
    case 'set-started':
    case 'setup-saved':
    case 'scheme-chosen':
    case 'go-ahead':
      return [];
    case 'undo':
      return [e.eventId];
    case 'pain-note':
      return [e.painId];
    case 'outcome':
      return [e.correctionId, `set ${e.setId}`];
    case 'pain':
      return e.setId === null ? [] : [`set ${e.setId}`];
    default:
      return [`set ${e.setId}`];
  }
}

/** What others may need: its own id, and the set that it begins. */
const gives = (e: FloorEvent): readonly string[] => (e.kind === 'set-started' ? [e.id, `set ${e.setId}`] : [e.id]);

/**
 * Events in the order they happened; repeats of an id fall away. Order is causal first: on one device as it counted
 * them, and nothing before what it belongs to; clocks only decide between devices, so that one that is slow, fast or
 * set back loses nothing. The same events give the same order however they came.
 */
export function orderEvents(events: readonly FloorEvent[]): FloorEvent[] {
  const rows = rowsOf(events);
  const at = rows.map(() => 0);
  const coming = new Set(rows.flatMap((r) => r.events.flatMap(gives)));
  const ordered: FloorEvent[] = [];
  const total = rows.reduce((sum, r) => sum + r.events.length, 0);
  while (ordered.length < total) {
    let next = -1;
    // Where every device waits for another's, which no true record does, the earliest goes first.
    for (const mayWait of [true, false]) {
      rows.forEach((r, k) => {
        const e = r.events[at[k]!];
        if (!e || (mayWait && needs(e).some((n) => coming.has(n)))) return;
        if (next < 0 || r.timesMs[at[k]!]! < rows[next]!.timesMs[at[next]!]!) next = k;
      });
      if (next >= 0) break;
    }
    const e = rows[next]!.events[at[next]!]!;
    at[next]! += 1;
    for (const given of gives(e)) coming.delete(given);
    ordered.push(e);
  }
  return ordered;
}

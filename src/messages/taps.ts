import type { FloorEvent, FloorEventKind } from '@/core/record/floor-event';
/** Why a tap could not be kept on this device, and what to do. */
export const TAP_TROUBLE = {
  'no-storage':
    'This browser gives no storage: taps go nowhere until it does. Leave private browsing or free some space.',
  'tap-lost': 'That tap could not be kept on this device. Free some space, then tap again.',
} as const;

/** Why the server could not keep a delivery, and what to do there. */
export const STORAGE_TROUBLE = {
  full: 'the server’s disk is full: free some space there',
  readOnly: 'the server’s database is read-only: give it leave to write',
  unwritable: 'the server’s database cannot be written now',
} as const;

/**
 * That this tablet's clock is off, and which way, so that taps go by the server's; `offMs`: how far the server's is
 * ahead.
 */
export function clockOffText(offMs: number): string {
  const minutes = Math.abs(offMs) / 60_000;
  const far =
    minutes < 90
      ? `${Math.max(1, Math.round(minutes))} min`
      : minutes < 2880
        ? `${Math.round(minutes / 60)} h`
        : `${Math.round(minutes / 1440)} days`;
  return `clock ${far} ${offMs > 0 ? 'slow' : 'fast'}`;
}

/** A kind of tap in a word. */
const TAP_NAME: Readonly<Record<FloorEventKind, string>> = {
  'setup-saved': 'set-up saved as used',
  'scheme-chosen': 'how the sets are done',
  'set-started': 'start of a set',
  part: 'next part',
  rep: 'rep',
  fault: 'fault',
  clean: 'clean so far',
  'set-note': 'note on a set',
  undo: 'undo',
  trace: 'trace of a set',
  'set-ended': 'end of a set',
  'set-confirmed': 'load and reps',
  pain: 'stop for pain',
  'pain-note': 'what the client said',
  'go-ahead': 'why it goes ahead',
  correction: 'correction',
  outcome: 'outcome of a correction',
};

/** A tap in a word; one of a kind that this program does not know by its own name. */
export const tapText = (e: Pick<FloorEvent, 'kind'>): string => TAP_NAME[e.kind] ?? e.kind;

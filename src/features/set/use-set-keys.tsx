'use client';
import type { WorkingSide } from '@/core/body/side';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import { useShortcuts } from '@/features/shell/use-shortcuts';
import { FAULT_TEXT } from '@/messages/faults';
import { padOrder } from './pad-columns';
import { FAULT_SIDES } from './set-bar';
import type { LiveSetControl } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import { v4 as newId } from 'uuid';

/** Keys of the pad's buttons in their order: those that stand for nothing else here. */
export const FAULT_KEYS = [...'123456789asdfghjkqwztyvm'] as const;
const SIDE_KEYS = ['l', 'b', 'o'] as const;

interface Asked {
  readonly control: LiveSetControl;
  /** Both sides work, so that a fault may be of either. */
  readonly twoSides: boolean;
  readonly onSide: (side: WorkingSide) => void;
  readonly onFault: (fault: FaultCode, severity: Severity) => void;
}

/** The set by keys: what each does, and which one stands for a fault of the pad. */
export function useSetKeys({ control, twoSides, onSide, onFault }: Asked) {
  const { live, give } = control;
  const order = padOrder(live.faults, live.ranked);
  const pace = live.mode === 'running' ? 'pause' : live.mode === 'paused' ? 'resume' : 'go-on';
  const keys = useShortcuts([
    {
      key: 'e',
      does: live.open ? WORDS.endTheSet : WORDS.startTheSet,
      run: () => void give(live.open ? { do: 'end' } : { do: 'start', setId: newId() }),
    },
    { key: 'p', does: WORDS.pauseGoOn, run: () => void give({ do: pace }) },
    { key: 'n', does: WORDS.nextPart, run: () => void give({ do: 'next-part', from: live.index }) },
    { key: 'r', does: WORDS.aRepIsDoneThe, run: () => void give({ do: 'count-rep' }) },
    { key: 'c', does: WORDS.keyCleanSoFar, run: () => void give({ do: 'clean' }) },
    { key: 'u', does: WORDS.undo, run: () => void give({ do: 'undo' }) },
    { key: 'x', does: WORDS.keyPainStop, run: () => void give({ do: 'pain' }) },
    ...(twoSides
      ? FAULT_SIDES.map((s, i) => ({
          key: SIDE_KEYS[i]!,
          does: WORDS.faultsOn(s === 'both' ? WORDS.bothSides : WORDS.onTheSide(s)),
          run: () => onSide(s),
        }))
      : []),
    ...order.flatMap((f, i) => {
      const key = FAULT_KEYS[i];
      return key ? [{ key, does: FAULT_TEXT[f].pad, run: () => onFault(f, FAULT_BOOK[f].severity) }] : [];
    }),
  ]);
  return { keys, keyOf: (fault: FaultCode): string | undefined => FAULT_KEYS[order.indexOf(fault)] };
}

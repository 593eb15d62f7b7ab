'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { saveTroubleOf, wholeTrouble } from '@/features/shell/save-trouble';
import { WORDS } from '@/messages/screens/plan';
import { SAVE_TROUBLE } from '@/messages/saving';

export interface Kept {
  readonly plan: SessionPlanView;
  readonly keep: (sessionId: string, itemIds: unknown) => Promise<SaveResult>;
}

/** Blocks by id, in an order. */
export type Ids = readonly string[];

/** Orders on their way to the server, one after the other; of several that wait only the newest is sent. */
function useSentOrders(plan: SessionPlanView, keep: Kept['keep'], onRefused: (kept: Ids) => void) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const state = useRef<{ wanted: Ids | null; kept: Ids; isSending: boolean }>({
    wanted: null,
    kept: plan.blocks.filter((b) => !isSkipped(b)).map((b) => b.id),
    isSending: false,
  });
  const send = async (wanted: Ids, itemsOf: (ids: Ids) => string[]): Promise<void> => {
    const now = state.current;
    now.wanted = wanted;
    if (now.isSending) return;
    now.isSending = true;
    for (let next: Ids | null = wanted; next; next = now.wanted) {
      now.wanted = null;
      const told = await keep(plan.sessionId, itemsOf(next)).then(
        (done) => (done.ok ? null : (wholeTrouble(done) ?? done.issues.map((issue) => issue.message).join(' '))),
        (error: unknown) => SAVE_TROUBLE[saveTroubleOf(error)],
      );
      setTrouble(told);
      if (told === null) now.kept = next;
      else {
        // What is not kept does not stand here as if it were.
        now.wanted = null;
        onRefused(now.kept);
      }
    }
    now.isSending = false;
  };
  return { trouble, send };
}

/** An order with one put where another one stands. */
export const dropped = (ids: Ids, id: string, onto: string): Ids =>
  ids.filter((i) => i !== id).toSpliced(ids.indexOf(onto), 0, id);

const isSkipped = (b: PlanBlockView): boolean => b.skipped !== null;

/**
 * An order as it is tried: put at once, kept with every change, and what it was before. What is skipped stands behind
 * what is done.
 */
export function useOrder({ plan, keep }: Kept) {
  const byId = useMemo(() => new Map(plan.blocks.map((b) => [b.id, b])), [plan]);
  const skipped = plan.blocks.filter(isSkipped);
  const [ids, setIds] = useState<Ids>(() => plan.blocks.filter((b) => !isSkipped(b)).map((b) => b.id));
  const [before, setBefore] = useState<readonly Ids[]>([]);
  const [said, setSaid] = useState('');
  const pressed = useRef<string | null>(null);
  const { trouble, send } = useSentOrders(plan, keep, (kept) => {
    setIds(kept);
    setBefore([]);
  });
  const blocks = ids.flatMap((id) => byId.get(id) ?? []);
  const put = (next: Ids, says: string, undoes: readonly Ids[]): void => {
    setIds(next);
    setBefore(undoes);
    setSaid(says);
    void send(next, (of) => [...of, ...skipped.map((b) => b.id)].flatMap((id) => byId.get(id)?.itemIds ?? []));
  };
  const move = (k: number, by: 1 | -1): void => {
    const next = [...ids];
    [next[k], next[k + by]] = [next[k + by]!, next[k]!];
    pressed.current = `[data-block="${ids[k]!}"] button[data-by="${by}"]`;
    put(next, WORDS.moved(blocks[k]!.name, k + by + 1, ids.length), [...before, ids]);
  };
  /** Put one where another one stands. */
  const drop = (id: string, onto: string): void => {
    const [from, to] = [ids.indexOf(id), ids.indexOf(onto)];
    if (from === to || from < 0 || to < 0) return;
    put(dropped(ids, id, onto), WORDS.moved(blocks[from]!.name, to + 1, ids.length), [...before, ids]);
  };
  useEffect(() => {
    // What is moved in the page loses the focus: keys go on from where they were.
    if (pressed.current) document.querySelector<HTMLElement>(pressed.current)?.focus({ preventScroll: true });
    pressed.current = null;
  }, [ids]);
  const undo = (): void => put(before.at(-1)!, WORDS.undo, before.slice(0, -1));
  const take = (best: readonly PlanBlockView[]): void =>
    put(
      best.map((b) => b.id),
      WORDS.isComputed,
      [...before, ids],
    );
  return { blocks, skipped, move, drop, take, undo, canUndo: before.length > 0, said, trouble };
}

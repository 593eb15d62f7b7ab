'use client';
import { useMounted } from '@mantine/hooks';
import { useState } from 'react';
import type { ProposeView } from '@/contract/views/propose';
import type { Region } from '@/core/body/region-line';
import type { ProposeInput } from '@/core/propose/propose';
import { PROPOSE as WORDS } from '@/messages/screens/propose';
import { usePropose } from '@/workers/use-propose';
import { firstGoals, GoalPicker } from './goal-picker';
import { Proposed, type PutProposed } from './proposed';
import { usedMovements } from './used-movements';
import weekStyles from './client-week.module.css';
import planStyles from './plan.module.css';
import styles from './propose.module.css';

/** What a session is proposed from for some goals. */
function inputOf(view: ProposeView, goals: readonly Region[]): ProposeInput {
  const { choosing, weeks, known, unfelt, isFirstMonth, practice, plan, used, handleKinds } = view;
  const byKind = <T extends { readonly attachmentId: string | null }>(i: T): T => ({
    ...i,
    attachmentId: i.attachmentId && (handleKinds[i.attachmentId] ?? i.attachmentId),
  });
  const { blocks, minutes, times } = plan;
  return {
    ...{ goals, choosing, weeks, known, unfelt, isFirstMonth, practice, minutes, times },
    used: usedMovements(used),
    planned: blocks.filter((b) => b.skipped === null).map((b) => ({ ...b, items: b.items.map(byKind) })),
  };
}

/** A session proposed for what a client trains for: goals, then movements that can be changed before they are put. */
export function ProposeSession({ view, put }: { readonly view: ProposeView; readonly put: PutProposed }) {
  const listening = useMounted();
  const [goals, setGoals] = useState(() => firstGoals(view));
  // As it was asked: what is changed of the proposal stands, whatever else is drawn anew.
  const [input, setInput] = useState<ProposeInput | null>(null);
  const { proposal, progress, failed } = usePropose(input);
  return (
    <div className={weekStyles.columns}>
      <div>
        <GoalPicker goals={goals} weeks={view.weeks} disabled={!listening} onChange={setGoals} />
        <button
          type="button"
          className={`${planStyles.take} ${styles.put}`}
          disabled={!listening || goals.length === 0 || progress !== null}
          onClick={() => setInput(inputOf(view, goals))}
        >
          {input ? WORDS.again : WORDS.propose}
        </button>
      </div>
      <div aria-live="polite">
        {failed && <p role="alert">{WORDS.failed}</p>}
        {!failed && progress !== null && <p role="status">{WORDS.working(progress)}</p>}
        {input && proposal && (
          <Proposed key={input.goals.join()} input={input} proposal={proposal} view={view} put={put} />
        )}
      </div>
    </div>
  );
}

'use client';
import { Alert } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import { memo } from 'react';
import { limitText, verdictLine } from '@/messages/reasons';
import type { LeastChangeData } from '@/workers/least-change-protocol';
import type { SetupBenchView } from '@/contract/views/setup';
import { samePlacement } from './setup-machine';
import { ToTheSet } from './to-the-set';
import type { BenchSetup } from './use-setup';
import { CHOICE_TOO_SHORT, NOT_WORKED_OUT } from '@/messages/choosing';
import { TAP_TROUBLE } from '@/messages/taps';
import type { TapTrouble } from '@/offline/use-floor-log';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

function changeText(change: LeastChangeData): string {
  if (change.changes.length === 0) return WORDS.nothingNeedsChangingThisStands;
  const words = change.changes.map((c) => {
    switch (c.setting) {
      case 'hole':
        return `hole ${c.from} to ${c.to}`;
      case 'leftBy':
        return c.to === 0 ? WORDS.bothCarriagesAlike : WORDS.leftCarriageFromTheRight(c.to);
      case 'standX':
        return `${Math.round(Math.abs(c.to - c.from) * 100)} cm ${c.to > c.from ? WORDS.furtherOut : WORDS.furtherIn}`;
      case 'standZ':
        return WORDS.cmToThe(Math.round(Math.abs(c.to - c.from) * 100), c.to > c.from ? WORDS.right : WORDS.left);
      case 'yawDeg':
        return `turn ${Math.round(Math.abs(c.to - c.from))}° ${c.to > c.from ? 'left' : 'right'}`;
    }
  });
  return WORDS.leastChange(words.join(', '));
}

interface PanelProps {
  readonly context: SetupBenchView;
  readonly setup: BenchSetup;
}

/** What is off as it stands, and the least that puts it right. */
function AsItStands({ setup }: Pick<PanelProps, 'setup'>) {
  const { solution, shown, leastChange, leastChangeFailed, off, dispatch, placement, posed } = setup;
  const { lastUsed } = posed.question;
  return (
    <>
      {lastUsed && !samePlacement(lastUsed, placement) && (
        <button
          type="button"
          className={styles.least}
          data-testid="as-last-time"
          onClick={() => dispatch({ type: 'placed', placement: lastUsed })}
        >
          {WORDS.asLastTime(lastUsed.hole, Math.round(lastUsed.standX * 100))}
        </button>
      )}
      {solution.feasible && shown.violations.length > 0 && (
        <Alert className={styles.blocked}>{shown.violations.map((v) => limitText(v, 'found')).join(' ')}</Alert>
      )}
      {leastChangeFailed && off && <p className={styles.atPlates}>{NOT_WORKED_OUT}</p>}
      {leastChange && off && (
        <button
          type="button"
          className={styles.least}
          data-testid="least-change"
          disabled={leastChange.changes.length === 0}
          onClick={() => dispatch({ type: 'placed', placement: leastChange.placement })}
        >
          {changeText(leastChange)}
        </button>
      )}
    </>
  );
}

/** What to do next: why it is blocked, the least change, put it right, save as used, go to the set. */
export const SidePanel = memo(function SidePanel({
  context,
  setup,
  onSave,
  onGo,
  trouble,
}: PanelProps & { readonly onSave: () => void; readonly onGo: () => void; readonly trouble: TapTrouble | null }) {
  const { state, dispatch, placement, tooShort, solution, shown, problem } = setup;
  const saved = samePlacement(state.saved, placement);
  return (
    <div className={styles.actions}>
      {tooShort && <Alert className={styles.blocked}>{CHOICE_TOO_SHORT}</Alert>}
      {solution.feasible && (
        <p className={styles.verdictLine} data-testid="verdict-line">
          {verdictLine(shown.metrics, problem.input.column.clearanceM)}
        </p>
      )}
      <AsItStands setup={setup} />
      <div className={styles.buttons}>
        <button
          type="button"
          className={styles.plain}
          onClick={() => dispatch({ type: 'put-right' })}
          disabled={state.moved === null}
        >
          {WORDS.putItRight}
        </button>
        <button type="button" className={styles.strong} onClick={onSave} disabled={saved}>
          {saved ? (
            <>
              <IconCheck stroke={2} size={20} aria-hidden /> {WORDS.saved}
            </>
          ) : (
            WORDS.saveAsUsed
          )}
        </button>
        <ToTheSet itemId={context.item.id} strong={saved} onGo={onGo} />
      </div>
      {trouble && <Alert className={styles.blocked}>{TAP_TROUBLE[trouble]}</Alert>}
    </div>
  );
});

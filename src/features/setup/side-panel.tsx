'use client';
import { Alert } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import Link from 'next/link';
import { memo } from 'react';
import { limitText } from '@/messages/reasons';
import { retargetByLever } from '@/core/load/retarget-load';
import { jointOf } from '@/core/movement/joint-action';
import { movementName } from '@/messages/book';
import { loadText } from '@/messages/loads';
import type { LeastChangeData } from '@/workers/least-change-protocol';
import type { SetupBenchView } from '@/contract/views/setup';
import { samePlacement } from './setup-machine';
import type { BenchSetup } from './use-setup';
import { CHOICE_TOO_SHORT, NOT_WORKED_OUT } from '@/messages/choosing';
import { TAP_TROUBLE } from '@/messages/taps';
import type { TapTrouble } from '@/offline/use-floor-log';
import styles from './setup.module.css';

function changeText(change: LeastChangeData): string {
  if (change.changes.length === 0) return 'Nothing needs changing: this stands as well as the solved one.';
  const words = change.changes.map((c) => {
    switch (c.setting) {
      case 'hole':
        return `hole ${c.from} to ${c.to}`;
      case 'leftBy':
        return c.to === 0 ? 'both carriages alike' : `left carriage ${c.to} from the right`;
      case 'standX':
        return `${Math.round(Math.abs(c.to - c.from) * 100)} cm ${c.to > c.from ? 'further out' : 'further in'}`;
      case 'standZ':
        return `${Math.round(Math.abs(c.to - c.from) * 100)} cm to the ${c.to > c.from ? 'right' : 'left'}`;
      case 'yawDeg':
        return `turn ${Math.round(Math.abs(c.to - c.from))}° ${c.to > c.from ? 'left' : 'right'}`;
    }
  });
  return `Least change: ${words.join(', ')}.`;
}

/** What works here instead, with the stack for the peak of what is drawn, where it turns about the same joint. */
function standInText({ standIn, solution, entry }: BenchSetup, context: SetupBenchView): string {
  if (!standIn) return 'Nothing in the book works on this column.';
  const name = movementName(standIn.entry.id).toLowerCase();
  if (!standIn.solution) return `What works instead, without a column: ${name}.`;
  const { placement, metrics } = standIn.solution.best;
  const sameJoint = jointOf(entry.action) === jointOf(standIn.entry.action);
  const load =
    solution.feasible || !sameJoint
      ? null
      : retargetByLever(
          context.item.loadG,
          solution.nearest.metrics.peakResistanceNm,
          metrics.peakResistanceNm,
          context.stackG,
        );
  return (
    `Nearest that works here: ${name}, ` +
    (standIn.tiltDeg === null ? '' : `sweep at ${standIn.tiltDeg}°, `) +
    `hole ${placement.hole}, mark ${Math.round(placement.standX * 100)} cm` +
    (load ? `, ${loadText(load.loadG, context.unit)} for the same peak as drawn.` : '.')
  );
}

interface PanelProps {
  readonly context: SetupBenchView;
  readonly setup: BenchSetup;
}

/** Why nothing works here, and what does. */
function Blocked({ context, setup }: PanelProps) {
  const { solution, standIn, dispatch } = setup;
  if (solution.feasible) return null;
  const gym = context.stations.find((s) => s.id === context.station?.id)?.gym;
  const others = context.stations.filter((s) => s.gym === gym && !s.outOfOrder && s.id !== context.station?.id);
  return (
    <Alert className={styles.blocked}>
      <p>
        <b>{context.station?.name ?? 'This'} cannot serve this.</b>{' '}
        {solution.nearest.violations.map((v) => limitText(v)).join(' ')}
      </p>
      <p>
        {standInText(setup, context)}
        {others.length > 0 && ` Or choose ${others.map((o) => o.name).join(' or ')} below.`}
      </p>
      {standIn && standIn.tiltDeg !== null && standIn.entry.id === context.item.movement && (
        <button
          type="button"
          className={styles.plain}
          onClick={() => dispatch({ type: 'options-chosen', options: { tiltDeg: standIn.tiltDeg ?? 0 } })}
        >
          Use the {standIn.tiltDeg}° sweep
        </button>
      )}
      {standIn && standIn.entry.id !== context.item.movement && (
        <Link className={styles.plain} href={`/?plan=${standIn.entry.id}&client=${context.client.id}`}>
          Plan it for today
        </Link>
      )}
    </Alert>
  );
}

/** What is off as it stands, and the least that puts it right. */
function AsItStands({ setup }: Pick<PanelProps, 'setup'>) {
  const { solution, shown, leastChange, leastChangeFailed, off, dispatch } = setup;
  return (
    <>
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
  trouble,
}: PanelProps & { readonly onSave: () => void; readonly trouble: TapTrouble | null }) {
  const { state, dispatch, placement, tooShort } = setup;
  const saved = samePlacement(state.saved, placement);
  return (
    <div className={styles.actions}>
      {tooShort && <Alert className={styles.blocked}>{CHOICE_TOO_SHORT}</Alert>}
      <Blocked context={context} setup={setup} />
      <AsItStands setup={setup} />
      <div className={styles.buttons}>
        <button
          type="button"
          className={styles.plain}
          onClick={() => dispatch({ type: 'put-right' })}
          disabled={state.moved === null}
        >
          Put it right
        </button>
        <button type="button" className={styles.strong} onClick={onSave} disabled={saved}>
          {saved ? (
            <>
              <IconCheck stroke={2} size={20} aria-hidden /> Saved
            </>
          ) : (
            'Save as used'
          )}
        </button>
        <Link className={saved ? styles.strong : styles.plain} href={`/set/${context.item.id}`}>
          To the set
        </Link>
      </div>
      {trouble && <Alert className={styles.blocked}>{TAP_TROUBLE[trouble]}</Alert>}
    </div>
  );
});

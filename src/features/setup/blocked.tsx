import { Alert } from '@mantine/core';
import { memo, useMemo } from 'react';
import { Link } from '@/features/shell/link';
import { limitText } from '@/messages/reasons';
import { findEnoughLoad } from '@/core/book/enough-load';
import { retargetByLever } from '@/core/load/retarget-load';
import { jointOf } from '@/core/movement/joint-action';
import { movementName } from '@/messages/book';
import { loadText } from '@/messages/loads';
import type { SetupBenchView } from '@/contract/views/setup';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  readonly context: SetupBenchView;
  readonly setup: BenchSetup;
}

/** What works here instead, with the stack for the peak of what is drawn, where it turns about the same joint. */
function standInText({ standIn, solution, entry, state }: BenchSetup, context: SetupBenchView): string {
  if (!standIn) return WORDS.nothingInTheBookWorks;
  const name = movementName(standIn.entry.id).toLowerCase();
  if (!standIn.solution) return WORDS.whatWorksInsteadWithoutA(name);
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
  return WORDS.nearestThatWorksHereHole(
    name,
    (standIn.posed.question.side !== state.side && standIn.entry.path.kind === 'sweep' ? WORDS.oneArmAtATime : '') +
      (standIn.tiltDeg === null || standIn.tiltDeg === state.options.tiltDeg ? '' : WORDS.sweepAt(standIn.tiltDeg)),
    placement.hole,
    Math.round(placement.standX * 100),
    load ? WORDS.forTheSamePeakAs(loadText(load.loadG, context.unit)) : '.',
  );
}

/** The step of the stack with which it works here after all, where the load is too light for it. */
function EnoughLoad({ context, setup }: Props) {
  const { solution, posed } = setup;
  const enough = useMemo(
    () => (solution.feasible ? null : findEnoughLoad(posed.question, solution.nearest.violations, context.stackG)),
    [solution, posed, context.stackG],
  );
  if (!enough) return null;
  const { loadG, placement } = enough;
  return (
    <div data-testid="enough-load">
      <p>{WORDS.worksWith(loadText(loadG, context.unit), placement.hole)}</p>
      <Link className={styles.plain} href={`/plan/${context.item.sessionId}`}>
        {WORDS.changeInThePlan}
      </Link>
    </div>
  );
}

/** Why nothing works here, and what does. */
export const Blocked = memo(function Blocked({ context, setup }: Props) {
  const { solution, standIn, state, dispatch } = setup;
  if (solution.feasible) return null;
  const oneArm = standIn !== null && standIn.posed.question.side !== state.side;
  const gym = context.stations.find((s) => s.id === context.station?.id)?.gym;
  const others = context.stations.filter((s) => s.gym === gym && !s.outOfOrder && s.id !== context.station?.id);
  return (
    <div className={styles.actions}>
      <Alert className={styles.blocked}>
        <p>
          <b>{WORDS.cannotServeThis(context.station?.name ?? WORDS.this)}</b>{' '}
          {solution.nearest.violations.map((v) => limitText(v)).join(' ')}
        </p>
        <EnoughLoad context={context} setup={setup} />
        <p>
          {standInText(setup, context)}
          {others.length > 0 && WORDS.orChooseBelow(others.map((o) => o.name).join(' or '))}
        </p>
        {standIn && standIn.tiltDeg !== null && standIn.entry.id === context.item.movement && (
          <button
            type="button"
            className={styles.plain}
            onClick={() => {
              dispatch({ type: 'options-chosen', options: { tiltDeg: standIn.tiltDeg ?? 0 } });
              if (oneArm) dispatch({ type: 'side-chosen', side: standIn.posed.question.side });
            }}
          >
            {oneArm ? WORDS.workOneArm : WORDS.takeTheSweep(standIn.tiltDeg)}
          </button>
        )}
        {standIn && standIn.entry.id !== context.item.movement && (
          <Link className={styles.plain} href={`/?plan=${standIn.entry.id}&client=${context.client.id}`}>
            {WORDS.planItForToday}
          </Link>
        )}
      </Alert>
    </div>
  );
});

'use client';
import { useMemo } from 'react';
import { explain } from '@/core/setup/reasons';
import type { Client } from '@/contract/views/client';
import { Link } from '@/features/shell/link';
import { VerdictList } from './verdict-list';
import { RegionLines } from './region-lines';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Pull of the cable when lifted at the planned tempo, beside that of holding it still; newtons, seconds. */
export interface FastLift {
  readonly timeS: number;
  readonly peakN: number;
  readonly restN: number;
}

const markText = (standX: number): string => `${Math.abs(Math.round(standX * 100))} cm${standX < 0 ? ' behind' : ''}`;

/** What two centimetres in the estimated shoulder height could change. */
function Sensitivity({ setup, clientId }: { readonly setup: BenchSetup; readonly clientId: string }) {
  const { sensitivity, base } = setup;
  if (!sensitivity) return null;
  const { lower, higher } = sensitivity;
  const { hole } = base.placement;
  const says =
    lower && higher
      ? lower.hole === hole && higher.hole === hole
        ? WORDS.sameHole
        : `hole ${lower.hole} to ${higher.hole}.`
      : WORDS.couldLeaveTheColumnsReach;
  return (
    <div className={styles.verdict}>
      <dt className={styles.estimated}>{WORDS.twoCentimetres}</dt>
      <dd>
        {WORDS.inTheEstimatedShoulderHeight(says)} <Link href={`/clients/${clientId}`}>{WORDS.measureIt}</Link>
      </dd>
    </div>
  );
}

/** The next best set-ups at other holes, each to be taken with a tap. */
function Alternatives({ setup }: { readonly setup: BenchSetup }) {
  const { solution, placement, dispatch } = setup;
  if (!solution.feasible || solution.alternatives.length === 0) return null;
  return (
    <div className={styles.alternatives} aria-label={WORDS.nextBestSetUps}>
      {solution.alternatives.map((a) => (
        <button
          type="button"
          key={a.placement.hole}
          className={styles.alternative}
          aria-pressed={a.placement.hole === placement.hole && a.placement.standX === placement.standX}
          onClick={() => dispatch({ type: 'placed', placement: a.placement })}
        >
          <b>{WORDS.hole(a.placement.hole)}</b>, {markText(a.placement.standX)}
          <span>{WORDS.offPeak(a.metrics.offPlaneRmsDeg.toFixed(1), Math.round(a.metrics.peakAt * 100))}</span>
        </button>
      ))}
    </div>
  );
}

/** Numbers with their reasons, the two next best set-ups, and what an estimate could change. */
export function VerdictLines({
  setup,
  client,
  fast,
}: {
  readonly setup: BenchSetup;
  readonly client: Pick<Client, 'id' | 'massEstimated'>;
  readonly fast: FastLift | null;
}) {
  const { entry, region, problem, shown } = setup;
  const reasons = useMemo(() => explain(problem, shown), [problem, shown]);
  return (
    <>
      <VerdictList entry={entry} reasons={reasons} massEstimated={client.massEstimated}>
        {fast && (
          <div className={styles.verdict}>
            <dt>{Math.round(fast.peakN)} N</dt>
            <dd>{WORDS.atMostWhenLiftedIn(fast.timeS, Math.round((fast.peakN / fast.restN - 1) * 100))}</dd>
          </div>
        )}
        <Sensitivity setup={setup} clientId={client.id} />
      </VerdictList>
      <RegionLines region={region} />
      <Alternatives setup={setup} />
    </>
  );
}

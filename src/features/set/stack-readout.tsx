'use client';
import { useEffect, useState } from 'react';
import type { SetRecord } from '@/core/record/set-log';
import { segmentReps } from '@/core/trace/segment-reps';
import { askedOfRep } from './trace-panel';
import type { LiveSet } from './live-set-view';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** What the sensor has seen of this set, brought up to date with every rep. */
export function StackReadout({
  set,
  live,
  tracker,
}: {
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly tracker: Tracker;
}) {
  const [says, setSays] = useState('');
  const { readings } = tracker;
  const { paceOfRep } = live;
  const { startedAtMs, reps } = set;
  useEffect(() => {
    if (reps === 0) return;
    const timer = setTimeout(() => {
      const seen = segmentReps(readings(startedAtMs, Date.now()) ?? [], paceOfRep(set, 1).startsWith);
      const last = seen?.at(-1);
      if (seen && last)
        setSays(
          WORDS.stackTheLastLiftedIn(
            seen.length,
            seen.length === 1 ? WORDS.repWord : WORDS.reps,
            last.liftingS.toFixed(1),
            last.loweringS.toFixed(1),
            askedOfRep(live, set, seen.length).loweringS.toFixed(1),
          ),
        );
    }, 200);
    return () => clearTimeout(timer);
    // With every rep, not with every tap.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [reps, startedAtMs, readings, paceOfRep]);
  return (
    <p className={styles.breath} data-testid="stack-readout" role="status">
      {says || WORDS.stackDrawnOverThePacer}
    </p>
  );
}

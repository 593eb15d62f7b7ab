'use client';
import { Alert } from '@mantine/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { noteDefaults } from '@/core/body/client-note';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { CORRECTION_KIND } from '@/core/movement/correction-code';
import type { Phase } from '@/core/tempo/tempo';
import type { SetView } from '@/contract/views/set';
import { cueOfCorrection, FAULT_TEXT } from '@/messages/faults';
import {
  BREATH_TEXT,
  countedIn,
  HOLD_BREATH,
  LAST_REPS_TEXT,
  LOWERING_CUE,
  overLimitText,
  shortPausesText,
  targetText,
} from '@/messages/live-set';
import { partChange, partText } from '@/messages/schemes';
import type { LiveSet } from './live-set-view';
import { HoldClock } from './hold-clock';
import { Pacer } from './pacer';
import { SensorBar } from './sensor-bar';
import { StackReadout } from './stack-readout';
import type { Give, LiveSetControl } from './use-live-set';
import type { useSound } from './use-sound';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** How many reps at the end of a set are its last. */
const LAST_REPS = 2;

/**
 * The cue for this phase: the watch list's where it belongs there, else its first, else the movement's own. Two at
 * most.
 */
function cueFor(live: LiveSet, ownCue: string, phase: Phase | 'ready'): string {
  const watched = live.watch.map((w) => ({ phase: FAULT_BOOK[w.fault].phase, cue: FAULT_TEXT[w.fault].cue }));
  const lowers = live.movement.work !== 'hold';
  const here = watched.find((w) => w.phase === phase || (w.phase === 'start' && phase === 'ready'));
  return (
    here?.cue ?? watched[0]?.cue ?? (lowers && (phase === 'lowering' || phase === 'stretch') ? LOWERING_CUE : ownCue)
  );
}

/** What was chosen to be put right after the set before: the first cue of this one; a setting until it is begun. */
function correctedCue({ open, here }: LiveSet, phase: Phase | 'ready'): string | null {
  const given = (open ? here.at(-2) : here.at(-1))?.corrections.at(-1);
  if (!given) return null;
  const isCue = CORRECTION_KIND[given.correction] === 'cue';
  return isCue || phase === 'ready' ? cueOfCorrection(given.correction) : null;
}

/** Cautions that concern the pace and the load of this client. */
function cautionsOf(plan: SetView, live: LiveSet): string[] {
  const hold = noteDefaults(plan.notes).longestHoldS;
  const { stretch, finish } = live.pace.tempo;
  return [
    ...(hold !== null && Math.max(stretch, finish) > hold ? [shortPausesText(hold)] : []),
    ...(live.overLimit && live.mode !== 'running' && live.mode !== 'paused' ? [overLimitText] : []),
  ];
}

interface Props {
  readonly plan: SetView;
  readonly control: LiveSetControl;
  readonly sound: ReturnType<typeof useSound>;
  readonly tracker: Tracker;
}

/** Which part of a set of several runs, and what comes after it. */
function PartLine({ plan, live }: { readonly plan: SetView; readonly live: LiveSet }) {
  const { parts, index, part, next } = live;
  if (parts.length < 2) return null;
  return (
    <p className={styles.part} data-testid="part">
      {WORDS.partOf(index + 1, parts.length, partText(part))}
      {next && (
        <span>
          {WORDS.next} <b>{partChange(next, part, plan.unit)}</b> {partText(next)}
        </span>
      )}
    </p>
  );
}

/** Under the pacer: breath, sensor, part, cautions, and what can be counted by tap. */
function UnderPacer({ plan, control, tracker, phase }: Omit<Props, 'sound'> & { readonly phase: Phase | 'ready' }) {
  const { live, give } = control;
  const { open, mode } = live;
  const onStack = live.movement.load.kind === 'cable' || live.movement.load.kind === 'machine';
  const lifting = phase === 'lifting' || phase === 'finish';
  const kind = live.movement.work;
  const of = countedIn(kind);
  return (
    <>
      <p className={styles.breath} data-testid="breath">
        {kind === 'hold' ? HOLD_BREATH : BREATH_TEXT[plan.breathing][lifting ? 'lifting' : 'lowering']}
        {kind === 'lift' && open && open.reps >= live.parts.reduce((sum, p) => sum + p.reps, 0) - LAST_REPS
          ? `. ${LAST_REPS_TEXT[plan.lastReps]}`
          : ''}
      </p>
      {!open && onStack && <SensorBar tracker={tracker} />}
      {open && tracker.link === 'connected' && <StackReadout set={open} live={live} tracker={tracker} />}
      <PartLine plan={plan} live={live} />
      {cautionsOf(plan, live).map((c) => (
        <p key={c} className={styles.caution}>
          {c}
        </p>
      ))}
      {open && mode === 'left' && <p className={styles.done}>{WORDS.thisSetWasLeftAfter(of, open.reps)}</p>}
      {open && mode !== 'running' && (
        <button
          type="button"
          className={styles.tapRep}
          data-testid="tap-rep"
          onClick={() => void give({ do: 'count-rep' })}
        >
          {WORDS.doneByTap(of, open.reps + 1)} <span>{WORDS.countByTapWhileThe}</span>
        </button>
      )}
      {!open && live.lastNote && (
        <p className={styles.done}>
          <b>{WORDS.notedLastTime}</b> {live.lastNote}
        </p>
      )}
    </>
  );
}

/** How far the part is from its target: reps left, negative once they are over; null before the set. */
function repsLeft({ open, part, base }: LiveSet): number | null {
  return open ? part.reps - (open.reps - base) : null;
}

const targetState = (left: number | null): 'near' | 'reached' | 'over' | undefined => {
  if (left === null || left > LAST_REPS) return undefined;
  return left > 0 ? 'near' : left === 0 ? 'reached' : 'over';
};

/** Told once, as the last rep of a part is done. */
function useTargetTold(left: number | null, tell: () => void): void {
  const before = useRef(left);
  useEffect(() => {
    if (left !== null && left <= 0 && before.current !== null && before.current > 0) tell();
    before.current = left;
  }, [left, tell]);
}

/** A fault that stops the set, with the end at once. */
function StopSign({ live, give }: { readonly live: LiveSet; readonly give: Give }) {
  const { open, movement } = live;
  const sign = open?.faults.find((f) => f.severity === 3);
  if (!sign) return null;
  return (
    <Alert className={styles.stopSign}>
      <p>{WORDS.stopTheSet(FAULT_TEXT[sign.fault].seen, countedIn(movement.work), sign.rep)}</p>
      <button type="button" className={styles.strong} data-testid="end-now" onClick={() => void give({ do: 'end' })}>
        {WORDS.endNow}
      </button>
    </Alert>
  );
}

/** What is called out: how far the target is, and one or two cues. */
function Called({
  plan,
  live,
  phase,
}: {
  readonly plan: SetView;
  readonly live: LiveSet;
  readonly phase: Phase | 'ready';
}) {
  const left = repsLeft(live);
  const corrected = correctedCue(live, phase);
  const watched = cueFor(live, plan.variantCue || live.movement.text.cue, phase);
  return (
    <>
      {left !== null && left <= LAST_REPS && (
        <p className={styles.target} data-testid="target" role="status">
          {targetText(left, live.part.reps)}
        </p>
      )}
      <p className={styles.cue} data-testid="cue">
        {corrected ?? watched}
        {corrected && <span data-testid="second-cue">{watched}</span>}
      </p>
    </>
  );
}

/** The set being done, or about to be: pacer, cue, and what belongs to the phase. */
export function Pacing({ plan, control, sound, tracker }: Props) {
  const { live, pacer, give, paceNow } = control;
  const { nowMs, tick, buzz } = sound;
  const [phase, setPhase] = useState<Phase | 'ready'>('ready');
  const { open } = live;
  const onPhase = useCallback(
    (p: Phase | 'ready') => {
      setPhase(p);
      buzz(p);
    },
    [buzz],
  );
  const onRep = useCallback((rep: number) => void give({ do: 'paced-rep', rep }), [give]);
  const onTap = useCallback(() => void give({ do: 'count-rep' }), [give]);
  const left = repsLeft(live);
  useTargetTold(left, sound.target);
  const kind = live.movement.work;
  const paced = {
    pace: live.pace,
    paceNow,
    nowMs,
    running: pacer.mode === 'running',
    counted: open?.reps ?? null,
    recent: tracker.recent,
    onRep,
    onPhase,
    onSoon: tick,
    onTap,
  };
  return (
    <>
      <StopSign live={live} give={give} />
      <div className={styles.pacing} data-idle={!open || undefined} data-target={targetState(left)}>
        {kind === 'hold' ? (
          <HoldClock {...paced} asked={live.part.reps} side={plan.item.side} />
        ) : (
          <Pacer {...paced} kind={kind} />
        )}
      </div>
      <Called plan={plan} live={live} phase={phase} />
      <UnderPacer plan={plan} control={control} tracker={tracker} phase={phase} />
    </>
  );
}

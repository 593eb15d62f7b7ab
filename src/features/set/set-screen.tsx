'use client';
import { IconVolume, IconVolumeOff } from '@tabler/icons-react';
import { useCallback, useState } from 'react';
import type { Side } from '@/core/body/active-range';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { noteDefaults } from '@/core/body/client-note';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Phase } from '@/core/tempo/tempo';
import { FAULT_TEXT, repText } from '@/messages/faults';
import { MOVEMENT_CUE, MOVEMENT_NAME } from '@/messages/movements';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import { BetweenSets } from './between-sets';
import { FaultPad } from './fault-pad';
import { PainPanel } from './pain-panel';
import { Pacer } from './pacer';
import { RestClock } from './rest-clock';
import { elapsedMs } from './set-machine';
import type { SetScreenContext } from './set-screen-context';
import { SetPlates } from './set-plates';
import { useLiveSet, type LiveSet } from './use-live-set';
import { useSound } from './use-sound';
import styles from './set.module.css';

const SIDES: readonly (Side | 'both')[] = ['left', 'both', 'right'];

function undoWords(e: FloorEvent): string {
  switch (e.kind) {
    case 'fault':
      return `Undo: ${FAULT_TEXT[e.fault].pad}, ${repText([e.rep])}`;
    case 'set-confirmed':
      return 'Undo: load and reps';
    case 'correction':
      return 'Undo: correction';
    case 'outcome':
      return 'Undo: outcome';
    case 'pain':
      return 'Undo: pain stop';
    case 'set-ended':
      return 'Undo: end of set';
    default:
      return 'Undo';
  }
}

/** The cue for this phase: the watch list's where it belongs there, else its first, else the movement's own. Two at most. */
function cueFor(live: LiveSet, phase: Phase | 'ready'): string {
  const own = MOVEMENT_CUE[live.movement.id];
  const watched = live.watch.map((w) => ({ phase: FAULT_BOOK[w.fault].phase, cue: FAULT_TEXT[w.fault].cue }));
  const here = watched.find((w) => w.phase === phase || (w.phase === 'start' && phase === 'ready'));
  return here?.cue ?? watched[0]?.cue ?? (phase === 'lowering' || phase === 'stretch' ? own[1] : own[0]);
}

/** The live set: plates on the left, pacer in the middle, faults on the right, the way out below. */
export function SetScreen({ context }: { readonly context: SetScreenContext }) {
  const { client, item } = context;
  const live = useLiveSet(context);
  const sound = useSound();
  const [side, setSide] = useState<Side | 'both'>(item.side === 'both' ? 'both' : item.side);
  const [phase, setPhase] = useState<Phase | 'ready'>('ready');
  const { open, last, pain, live: state, append, paceNow, recordRep } = live;
  const { tick } = sound;
  const onPhase = useCallback(
    (p: Phase | 'ready') => {
      setPhase(p);
      tick(p);
    },
    [tick],
  );
  const elapsedS = useCallback(() => {
    const ms = elapsedMs(state, performance.now());
    return ms === null ? null : ms / 1000;
  }, [state]);
  const onTap = (fault: FaultCode): void => {
    const set = open ?? last;
    if (!set) return;
    // After the set a tap speaks of the whole set, and is kept as rep 0.
    const rep = open ? Math.max(1, paceNow()?.rep ?? open.reps) : 0;
    void append({ kind: 'fault', setId: set.setId, rep, fault, side, severity: FAULT_BOOK[fault].severity });
  };
  const stopSign = open?.faults.find((f) => f.severity === 3);
  const hold = noteDefaults(context.notes).longestHoldS;
  const cautions = [
    ...(hold !== null && Math.max(live.tempo.stretch, live.tempo.finish) > hold ? [`Blood pressure noted: keep the pauses to ${hold} s and breathe through.`] : []),
    ...(context.mostLoadG !== null && state.mode === 'idle' && live.loadG > context.mostLoadG ? ['The load stands above the clinician’s limit: step it down.'] : []),
  ];
  const overLimit = context.mostLoadG !== null && live.loadG > context.mostLoadG;
  const interrupted = open !== null && state.mode === 'idle';
  const resting = !open && last !== null;
  const finished = live.here.filter((s) => s.endedAtMs !== null).length >= item.sets;
  return (
    <div className={styles.screen}>
      <header className={styles.head}>
        <h1>
          {client.name} <span>{MOVEMENT_NAME[item.movement]}</span>
        </h1>
        <p>
          {pain ? 'stopped for today' : `set ${open ? open.setNo : Math.min(live.here.length + 1, Math.max(item.sets, live.here.length + (finished ? 0 : 1)))} of ${item.sets}`}, {item.side === 'both' ? 'both arms' : `${item.side} arm`}, {context.stationName}
        </p>
      </header>
      <SetPlates context={context} loadG={open?.loadG ?? live.loadG} canChange={!open && !pain} onLoad={live.setChosenLoadG} />
      <section className={styles.middle} aria-label={pain ? 'Stopped' : resting ? 'Rest' : 'Pacer'}>
        {!open && <ScreeningWarning screening={context.screening} clientId={client.id} />}
        {pain ? (
          <PainPanel key={pain.id} pain={pain} live={live} />
        ) : resting ? (
          <>
            <RestClock sinceMs={last.endedAtMs ?? 0} restS={live.movement.restS} />
            <BetweenSets set={last} live={live} context={context} />
          </>
        ) : (
          <>
            <Pacer tempo={live.tempo} startsWith={live.movement.tempo.startsWith} paceNow={paceNow} elapsedS={elapsedS} running={state.mode === 'running'} onRep={recordRep} onPhase={onPhase} />
            <p className={styles.cue} data-testid="cue">
              {cueFor(live, phase)}
            </p>
            {cautions.map((c) => (
              <p key={c} className={styles.caution}>
                {c}
              </p>
            ))}
            {interrupted && <p className={styles.done}>This set was left after rep {open.reps}. Go on from there, or end it.</p>}
            {stopSign && (
              <p className={styles.blocked} role="alert">
                {FAULT_TEXT[stopSign.fault].seen}, rep {stopSign.rep}: stop the set.
              </p>
            )}
          </>
        )}
        {live.trouble && (
          <p className={styles.blocked} role="alert">
            {live.trouble}
          </p>
        )}
      </section>
      {!pain && (
        <section className={styles.padArea} aria-label="Faults seen">
          {resting && <p className={styles.padNote}>Missed one? A tap now counts for the whole set.</p>}
          <FaultPad faults={live.movement.faults} ranked={live.ranked} marks={(open ?? last)?.faults ?? []} disabled={!open && !last} onTap={onTap} />
        </section>
      )}
      <footer className={styles.bar}>
        {!pain && (
          <button type="button" className={styles.painButton} onClick={() => void live.stopForPain()}>
            Pain: stop
          </button>
        )}
        <button type="button" className={styles.plain} disabled={!live.undoable} onClick={() => void live.undo()} data-testid="undo" data-row="2">
          {live.undoable ? undoWords(live.undoable) : 'Nothing to undo'}
        </button>
        {item.side === 'both' && !pain && (open || last) && (
          <div className={styles.sides} data-row="2" role="radiogroup" aria-label="Side of the fault">
            {SIDES.map((s) => (
              <button key={s} type="button" role="radio" aria-checked={side === s} className={styles.plain} onClick={() => setSide(s)}>
                {s}
              </button>
            ))}
          </div>
        )}
        <span className={styles.gap} />
        <button type="button" className={styles.plain} data-narrow onClick={sound.toggle} aria-pressed={sound.on} aria-label="Sound at each change of phase">
          {sound.on ? <IconVolume stroke={1.5} aria-hidden /> : <IconVolumeOff stroke={1.5} aria-hidden />}
        </button>
        {state.mode === 'running' && (
          <button type="button" className={`${styles.plain} ${styles.timing}`} onClick={() => live.dispatch({ type: 'paused', nowMs: performance.now() })}>
            Pause
          </button>
        )}
        {state.mode === 'paused' && (
          <button type="button" className={`${styles.plain} ${styles.timing}`} onClick={() => live.dispatch({ type: 'resumed', nowMs: performance.now() })}>
            Go on
          </button>
        )}
        {interrupted && !pain && (
          <button type="button" className={`${styles.plain} ${styles.timing}`} onClick={live.goOn}>
            Go on
          </button>
        )}
        {open ? (
          <button type="button" className={styles.strong} onClick={() => void live.end()}>
            End set
          </button>
        ) : (
          !pain && (
            <button type="button" className={styles.strong} onClick={() => void live.start()} disabled={context.placement === null || overLimit}>
              {resting ? (finished ? 'One more set' : `Start set ${live.here.length + 1}`) : 'Start set'}
            </button>
          )
        )}
      </footer>
    </div>
  );
}

'use client';
import Link from 'next/link';
import { useCallback, useState } from 'react';
import type { Side } from '@/core/body/active-range';
import { FAULT_BOOK, type Severity } from '@/core/fault/fault-book';
import { noteDefaults } from '@/core/body/client-note';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Phase } from '@/core/tempo/tempo';
import { FAULT_TEXT } from '@/messages/faults';
import { BOOK_TEXT, movementName } from '@/messages/book';
import { partChange, partText } from '@/messages/schemes';
import { useShortcuts } from '@/features/shell/use-shortcuts';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import { BetweenSets } from './between-sets';
import { FaultPad, padOrder } from './fault-pad';
import { PadTools } from './pad-tools';
import { PainPanel } from './pain-panel';
import { Pacer } from './pacer';
import { RestClock } from './rest-clock';
import { elapsedMs } from './set-machine';
import type { SetScreenContext } from './set-screen-context';
import { SetBar, SIDES } from './set-bar';
import { SetPlates } from './set-plates';
import { useLiveSet, type LiveSet } from './use-live-set';
import { SensorBar } from './sensor-bar';
import { StackReadout } from './stack-readout';
import { useSound } from './use-sound';
import { useTracker } from './use-tracker';
import styles from './set.module.css';

/** Keys of the pad's buttons in their order: those that stand for nothing else here. */
const FAULT_KEYS = [...'123456789asdfghjkqwztyvm'] as const;
const SIDE_KEYS = ['l', 'b', 'o'] as const;

const BREATH = {
  'out-on-effort': { lifting: 'Breathe out', lowering: 'Breathe in' },
  'in-on-pull': { lifting: 'Breathe in', lowering: 'Breathe out' },
} as const;
/** How many reps at the end of a set are its last. */
const LAST_REPS = 2;
const LAST_REPS_TEXT = {
  strict: 'Last reps: strict, the set ends with the form',
  'little-help': 'Last reps: a little help if it is needed',
} as const;

/** For every way back. */
const LOWERING_CUE = 'Slow all the way back';

/**
 * The cue for this phase: the watch list's where it belongs there, else its first, else the movement's own. Two at
 * most.
 */
function cueFor(live: LiveSet, ownCue: string, phase: Phase | 'ready'): string {
  const watched = live.watch.map((w) => ({ phase: FAULT_BOOK[w.fault].phase, cue: FAULT_TEXT[w.fault].cue }));
  const here = watched.find((w) => w.phase === phase || (w.phase === 'start' && phase === 'ready'));
  return here?.cue ?? watched[0]?.cue ?? (phase === 'lowering' || phase === 'stretch' ? LOWERING_CUE : ownCue);
}

/** The live set: plates on the left, pacer in the middle, faults on the right, the way out below. */
export function SetScreen({ context }: { readonly context: SetScreenContext }) {
  const { client, item } = context;
  const sound = useSound();
  const { nowMs } = sound;
  const live = useLiveSet(context, nowMs);
  const tracker = useTracker(
    live.live,
    live.pace,
    live.part.reps - Math.max(0, (live.open?.reps ?? 0) - live.base),
    context.stackTravelM,
    nowMs,
  );
  const [side, setSide] = useState<Side | 'both'>(item.side === 'both' ? 'both' : item.side);
  const [phase, setPhase] = useState<Phase | 'ready'>('ready');
  const { open, last, pain, live: state, paceNow, recordRep } = live;
  const { tick, buzz } = sound;
  const onPhase = useCallback(
    (p: Phase | 'ready') => {
      setPhase(p);
      buzz(p);
    },
    [buzz],
  );
  const elapsedS = useCallback(() => {
    const ms = elapsedMs(state, nowMs());
    return ms === null ? null : ms / 1000;
  }, [state, nowMs]);
  const onTap = (fault: FaultCode, severity: Severity): void => void live.markFault(fault, side, severity);
  // The limit holds for what will be lifted, whatever the scheme.
  const overLimit = context.mostLoadG !== null && live.parts.some((p) => p.loadG > context.mostLoadG!);
  const order = padOrder(live.faults, live.ranked);
  const keyOf = (fault: FaultCode): string | undefined => FAULT_KEYS[order.indexOf(fault)];
  const startOrEnd = (): void =>
    void (open ? live.end() : pain || context.blocked !== null || overLimit ? undefined : live.start());
  const keys = useShortcuts([
    { key: 'e', does: open ? 'end the set' : 'start the set', run: startOrEnd },
    {
      key: 'p',
      does: 'pause, go on',
      run: () =>
        state.mode === 'running'
          ? live.dispatch({ type: 'paused', nowMs: nowMs() })
          : state.mode === 'paused'
            ? live.resume()
            : live.goOn(),
    },
    { key: 'n', does: 'next part', run: () => void live.goNext() },
    { key: 'r', does: 'a rep is done: the pacer follows', run: () => void live.tapRep() },
    { key: 'c', does: 'clean so far', run: () => void live.markClean() },
    { key: 'u', does: 'undo', run: () => void live.undo() },
    { key: 'x', does: 'pain: stop', run: () => void live.stopForPain() },
    ...(item.side === 'both'
      ? SIDES.map((s, i) => ({
          key: SIDE_KEYS[i]!,
          does: `faults on ${s === 'both' ? 'both sides' : `the ${s}`}`,
          run: () => setSide(s),
        }))
      : []),
    ...order.flatMap((f, i) =>
      FAULT_KEYS[i]
        ? [{ key: FAULT_KEYS[i], does: FAULT_TEXT[f].pad, run: () => onTap(f, FAULT_BOOK[f].severity) }]
        : [],
    ),
  ]);
  const stopSign = open?.faults.find((f) => f.severity === 3);
  const hold = noteDefaults(context.notes).longestHoldS;
  const cautions = [
    ...(hold !== null && Math.max(live.pace.tempo.stretch, live.pace.tempo.finish) > hold
      ? [`Blood pressure noted: keep the pauses to ${hold} s and breathe through.`]
      : []),
    ...(context.mostLoadG !== null && state.mode === 'idle' && overLimit
      ? ['The load stands above the clinician’s limit: step it down.']
      : []),
  ];
  const lastNote = live.log.sets.findLast((s) => s.note !== '')?.note ?? '';
  const onStack = ['cable', 'machine'].includes(live.movement.load.kind);
  const interrupted = open !== null && state.mode === 'idle';
  const resting = !open && last !== null;
  const finished = live.here.filter((s) => s.endedAtMs !== null).length >= item.sets;
  const nextNo = Math.min(live.here.length + 1, Math.max(item.sets, live.here.length + (finished ? 0 : 1)));
  return (
    <div className={styles.screen}>
      <header className={styles.head}>
        <h1>
          {client.name} <span>{movementName(item.movement)}</span>
        </h1>
        <p>
          {pain ? 'stopped for today' : `set ${open ? open.setNo : nextNo} of ${item.sets}`},{' '}
          {item.side === 'both' ? 'both sides' : `${item.side} side`}
          {context.stationName && `, ${context.stationName}`}
        </p>
      </header>
      <SetPlates
        context={context}
        loadG={open ? live.part.loadG : live.loadG}
        canChange={!open && !pain}
        onLoad={live.setChosenLoadG}
        advice={live.here.length === 0 ? live.advice : null}
        schemes={live.schemes}
        scheme={live.scheme}
        onScheme={live.setScheme}
        part={live.part}
      />
      <section className={styles.middle} tabIndex={0} aria-label={pain ? 'Stopped' : resting ? 'Rest' : 'Pacer'}>
        {!open && <ScreeningWarning screening={context.screening} clientId={client.id} />}
        {pain ? (
          <PainPanel key={pain.id} pain={pain} live={live} />
        ) : resting ? (
          <>
            <RestClock sinceMs={last.endedAtMs ?? 0} restS={context.otherSide ? 0 : live.movement.restS} />
            {context.otherSide && (
              <Link className={styles.otherSide} href={`/set/${context.otherSide.itemId}`}>
                Now the {context.otherSide.side} side
              </Link>
            )}
            {context.opposites.length > 0 && (
              <nav className={styles.opposites} aria-label="Opposite muscle meanwhile">
                <span>Opposite muscle meanwhile</span>
                {context.opposites.map((o) => (
                  <Link key={o.itemId} className={styles.otherSide} href={`/set/${o.itemId}`}>
                    {movementName(o.movement)}
                  </Link>
                ))}
              </nav>
            )}
            <BetweenSets set={last} live={live} tracker={tracker} context={context} />
          </>
        ) : tracker.sensors.length > 0 ? (
          <SensorBar tracker={tracker} />
        ) : (
          <>
            {stopSign && (
              <p className={styles.blocked} role="alert">
                {FAULT_TEXT[stopSign.fault].seen}, rep {stopSign.rep}: stop the set.
              </p>
            )}
            <div className={styles.pacing} data-idle={!open || undefined}>
              <Pacer
                pace={live.pace}
                paceNow={paceNow}
                elapsedS={elapsedS}
                nowMs={nowMs}
                running={state.mode === 'running'}
                counted={open?.reps ?? null}
                recent={tracker.recent}
                onRep={recordRep}
                onPhase={onPhase}
                onSoon={tick}
                onTap={live.tapRep}
              />
            </div>
            <p className={styles.cue} data-testid="cue">
              {cueFor(live, context.variantCue || BOOK_TEXT[item.movement]!.cue, phase)}
            </p>
            <p className={styles.breath} data-testid="breath">
              {BREATH[context.breathing][phase === 'lifting' || phase === 'finish' ? 'lifting' : 'lowering']}
              {open && open.reps >= item.reps - LAST_REPS ? `. ${LAST_REPS_TEXT[context.lastReps]}` : ''}
            </p>
            {!open && onStack && <SensorBar tracker={tracker} />}
            {open && tracker.link === 'connected' && <StackReadout set={open} live={live} tracker={tracker} />}
            {live.parts.length > 1 && (
              <p className={styles.part} data-testid="part">
                Part {live.index + 1} of {live.parts.length}: {partText(live.part)}
                {live.next && (
                  <span>
                    next <b>{partChange(live.next, live.part, context.unit)}</b> {partText(live.next)}
                  </span>
                )}
              </p>
            )}
            {cautions.map((c) => (
              <p key={c} className={styles.caution}>
                {c}
              </p>
            ))}
            {interrupted && (
              <p className={styles.done}>This set was left after rep {open.reps}. Go on from there, or end it.</p>
            )}
            {open && state.mode !== 'running' && (
              <button type="button" className={styles.tapRep} data-testid="tap-rep" onClick={() => void live.tapRep()}>
                Rep {open.reps + 1} done <span>count by tap while the pacer rests</span>
              </button>
            )}
            {!open && lastNote && (
              <p className={styles.done}>
                <b>Noted last time:</b> {lastNote}
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
          <FaultPad
            faults={live.faults}
            ranked={live.ranked}
            marks={(open ?? last)?.faults ?? []}
            disabled={!open && !last}
            keyOf={keyOf}
            onTap={onTap}
          />
          <PadTools live={live} />
        </section>
      )}
      <SetBar
        context={context}
        live={live}
        side={side}
        onSide={setSide}
        sound={sound}
        keys={keys}
        overLimit={overLimit}
      />
    </div>
  );
}

'use client';
import { Alert } from '@mantine/core';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import type { SetView } from '@/contract/views/set';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { movementName } from '@/messages/book';
import { countedIn } from '@/messages/live-set';
import { TAP_TROUBLE } from '@/messages/taps';
import { FaultPad } from './fault-pad';
import { LimitPanel } from './limit-panel';
import { Pacing } from './pacing';
import { likeliest, oneColumn, padColumns } from './pad-columns';
import { PadTools } from './pad-tools';
import { PainPanel } from './pain-panel';
import { Resting } from './resting';
import { SensorBar } from './sensor-bar';
import { SetBar } from './set-bar';
import { SetSettings } from './set-settings';
import { useFaultSide } from './use-fault-side';
import { useNewestSetup } from './use-newest-setup';
import { useLiveSet, type LiveSetControl } from './use-live-set';
import { useSetKeys } from './use-set-keys';
import { useSound } from './use-sound';
import { useTracker, type Tracker } from './use-tracker';
import { useWakeLock } from './use-wake-lock';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface MiddleProps {
  readonly plan: SetView;
  readonly control: LiveSetControl;
  readonly sound: ReturnType<typeof useSound>;
  readonly tracker: Tracker;
}

/** What the middle of the screen is about now. */
function Middle({ plan, control, sound, tracker }: MiddleProps) {
  const { live, give } = control;
  if (live.pain)
    return <PainPanel key={live.pain.id} pain={live.pain} of={countedIn(live.movement.work)} give={give} />;
  if (live.mode === 'wants-limit')
    return <LimitPanel missing={plan.limits.missing} clientId={plan.client.id} give={give} />;
  if (live.mode === 'resting' && live.last)
    return <Resting last={live.last} plan={plan} control={control} tracker={tracker} />;
  if (tracker.sensors.length > 0) return <SensorBar tracker={tracker} />;
  return <Pacing plan={plan} control={control} sound={sound} tracker={tracker} />;
}

const MIDDLE_NAME: Partial<Readonly<Record<LiveSetControl['live']['mode'], string>>> = {
  stopped: WORDS.stopped,
  resting: WORDS.rest,
  'wants-limit': WORDS.limits,
};

function SetHead({ plan, control }: { readonly plan: SetView; readonly control: LiveSetControl }) {
  const { client, item, stationName } = plan;
  const { live } = control;
  return (
    <header className={styles.head}>
      <h1>
        {client.name} <span>{movementName(item.movement)}</span>
      </h1>
      <p>
        {live.pain ? WORDS.stoppedForToday : WORDS.setOf(live.setNo, item.sets)},{' '}
        {item.side === 'both' ? WORDS.bothSides : WORDS.onSide(item.side)}
        {stationName && <span>, {stationName}</span>}
      </p>
    </header>
  );
}

/** The live set: settings on the left, pacer in the middle, faults on the right, the way out below. */
export function SetScreen({ plan }: { readonly plan: SetView }) {
  const { client, item } = plan;
  const sound = useSound();
  const control = useLiveSet(plan, sound.nowMs);
  const { live, give, pacer, trouble } = control;
  useWakeLock(live.open !== null);
  useNewestSetup(live.setup?.id ?? null, plan.setupId);
  const lifts = live.movement.work === 'lift';
  const repsLeft = live.part.reps - Math.max(0, (live.open?.reps ?? 0) - live.base);
  const tracker = useTracker(pacer, live.pace, repsLeft, plan.rep.stackTravelM, sound.nowMs);
  const faultSide = useFaultSide(item.side);
  const onFault = (fault: FaultCode, severity: Severity): void => {
    void give({ do: 'fault', fault, side: faultSide.side, severity });
    faultSide.used();
  };
  const { keys, keyOf } = useSetKeys({ control, twoSides: item.side === 'both', onSide: faultSide.choose, onFault });
  return (
    <div className={styles.screen} data-open={live.open !== null || undefined} data-mode={live.mode}>
      <SetHead plan={plan} control={control} />
      <SetSettings plan={plan} control={control} />
      <section className={styles.middle} tabIndex={0} aria-label={MIDDLE_NAME[live.mode] ?? WORDS.pacer}>
        {!live.open && <ScreeningWarning screening={plan.screening} clientId={client.id} />}
        {!live.open && <UnreadableNote rows={plan.unreadable} />}
        <Middle plan={plan} control={control} sound={sound} tracker={tracker} />
        {trouble && <Alert className={styles.blocked}>{TAP_TROUBLE[trouble]}</Alert>}
      </section>
      {!live.pain && (
        <section className={styles.padArea} aria-label={WORDS.faultsSeen}>
          {live.mode === 'resting' && <p className={styles.padNote}>{WORDS.missedOneATapNow}</p>}
          <FaultPad
            of={countedIn(live.movement.work)}
            columns={lifts ? padColumns(live.faults, live.ranked) : oneColumn(live.faults, live.ranked)}
            heading={lifts ? null : WORDS.watchFor}
            likeliest={likeliest(live.faults, live.ranked)}
            marks={live.last?.faults ?? []}
            disabled={!live.last}
            keyOf={keyOf}
            onTap={onFault}
          />
          <PadTools live={live} give={give} />
        </section>
      )}
      <SetBar plan={plan} control={control} faultSide={faultSide} sound={sound} keys={keys} />
    </div>
  );
}

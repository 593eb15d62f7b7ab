'use client';
import { useMemo, useState } from 'react';
import { correctionFits } from '@/core/fault/correction-fits';
import { judgeSet } from '@/core/fault/judge-set';
import { estimateMax, loadForReps } from '@/core/load/one-rep-max';
import { CORRECTION_KIND } from '@/core/movement/correction-code';
import { OUTCOMES } from '@/core/record/floor-event';
import type { CorrectionMark, SetRecord } from '@/core/record/set-log';
import { timeUnderTensionS } from '@/core/tempo/pace';
import type { SetView } from '@/contract/views/set';
import { Link } from '@/features/shell/link';
import { CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT } from '@/messages/faults';
import { countedIn, countOf } from '@/messages/live-set';
import { loadText, spreadText } from '@/messages/loads';
import { ConfirmSet } from './confirm-set';
import { FaultToCorrect } from './fault-to-correct';
import type { LiveSet } from './live-set-view';
import { TracePanel } from './trace-panel';
import type { Give, LiveSetControl } from './use-live-set';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface AskProps {
  readonly asked: CorrectionMark;
  readonly setId: string;
  readonly give: Give;
}

/** Whether the last correction held, in one tap. */
function AskOutcome({ asked, setId, give }: AskProps) {
  return (
    <section className={styles.ask} aria-label={WORDS.outcomeOfTheLastCorrection}>
      <p>
        <b>{CORRECTION_TEXT[asked.correction]}</b>
        {WORDS.forDidItHold(FAULT_TEXT[asked.fault].seen)}
      </p>
      <div className={styles.row}>
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className={styles.plain}
            onClick={() => void give({ do: 'outcome', correctionId: asked.id, setId, outcome })}
          >
            {OUTCOME_TEXT[outcome]}
          </button>
        ))}
      </div>
    </section>
  );
}

/** A free note, kept when the field is left. */
function SetNote({ set, give }: { readonly set: SetRecord; readonly give: Give }) {
  const [note, setNote] = useState(set.note);
  return (
    <label className={styles.note}>
      {WORDS.noteOnThisSetFor}
      <textarea
        value={note}
        maxLength={1000}
        rows={2}
        onChange={(e) => setNote(e.currentTarget.value)}
        onBlur={() => note !== set.note && void give({ do: 'note', setId: set.setId, note })}
      />
    </label>
  );
}

/** What a set was done with: the load, or the band that took part of the body's weight. */
function liftedText({ loadG, bandId }: SetRecord, { unit, loadLabel, bands }: SetView): string {
  if (loadLabel !== null) return loadText(loadG, unit);
  return bands.find((b) => b.id === bandId)?.name.toLowerCase() ?? WORDS.bodyWeight;
}

const hasLoad = ({ movement }: LiveSet): boolean => movement.load.kind !== 'none';

/** Reps, or holds with their seconds. */
function countedText(set: SetRecord, { movement, paceOfRep }: LiveSet): string {
  if (movement.work !== 'hold') return countOf(set.reps, 'rep');
  return WORDS.holdsCounted(set.reps, paceOfRep(set, 1).tempo.stretch);
}

/** A confirmed set in one line, and what it would mean if it was the limit. */
function DoneSet({ set, live, plan }: { readonly set: SetRecord; readonly live: LiveSet; readonly plan: SetView }) {
  const { unit, rep } = plan;
  // A set to its limit speaks for other reps too; one without a load does not.
  const most = set.loadG > 0 ? estimateMax(set.loadG, set.reps) : null;
  const twenty = set.loadG > 0 ? loadForReps(set.loadG, set.reps, 20) : null;
  const each = Array.from({ length: set.reps }, (_, i) => timeUnderTensionS(live.paceOfRep(set, i + 1), 1, rep.loaded));
  const clean = set.cleanTo > 0 ? WORDS.watchedCleanTo(countedIn(live.movement.work), set.cleanTo) : '';
  const tension = Math.round(each.reduce((a, b) => a + b, 0));
  return (
    <p className={styles.done}>
      {WORDS.setNumber(set.setNo)} <b>{countedText(set, live)}</b>
      {hasLoad(live) && (
        <>
          {' '}
          {WORDS.with} <b>{liftedText(set, plan)}</b>
        </>
      )}
      {hasLoad(live) ? WORDS.sUnderTensionAsPaced(tension, clean) : `.${clean}`}
      {most && twenty && (
        <span className={styles.estimate} data-testid="estimate">
          {WORDS.ifThatWasTheLimit(spreadText(most, unit), spreadText(twenty, unit))}
        </span>
      )}
    </p>
  );
}

interface Props {
  readonly set: SetRecord;
  readonly control: LiveSetControl;
  readonly tracker: Tracker;
  readonly plan: SetView;
}

/** Resting: confirm what was done, ask about the last correction, then give one for the next set. */
export function BetweenSets({ set, control, tracker, plan }: Props) {
  const { live, give } = control;
  const judged = useMemo(
    () => judgeSet(set, live.log.sets, (c) => correctionFits(live.movement, c)),
    [set, live.log.sets, live.movement],
  );
  const given = set.corrections.at(-1) ?? null;
  return (
    <div className={styles.between} data-testid="between">
      {set.confirmed ? (
        <DoneSet set={set} live={live} plan={plan} />
      ) : (
        <ConfirmSet key={set.setId} set={set} give={give} plan={plan} />
      )}
      {live.openCorrection && <AskOutcome asked={live.openCorrection} setId={set.setId} give={give} />}
      {given && (
        <p className={styles.given} data-testid="given">
          {WORDS.forTheNextSet} <b>{CORRECTION_TEXT[given.correction]}</b>
          {CORRECTION_KIND[given.correction] === 'set-up' && (
            <Link className={styles.strong} href={`/setup/${plan.item.id}`}>
              {WORDS.backToThePlates}
            </Link>
          )}
        </p>
      )}
      {judged.length > 0 ? (
        <ul className={styles.judgedList} aria-label={WORDS.faultsSeen}>
          {judged.map((j) => (
            <FaultToCorrect key={j.fault} judged={j} set={set} control={control} stackG={plan.stackG} />
          ))}
        </ul>
      ) : (
        <p className={styles.done}>{WORDS.noFaultsTappedInThis}</p>
      )}
      <SetNote key={`note-${set.setId}-${set.note}`} set={set} give={give} />
      <TracePanel key={`trace-${set.setId}`} set={set} live={live} give={give} tracker={tracker} />
    </div>
  );
}

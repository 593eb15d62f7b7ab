'use client';
import { Modal, NativeSelect, SegmentedControl } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { useCallback, useEffect, useRef } from 'react';
import {
  AS_IT_COMES,
  HALVES,
  MOST_SET_REPS,
  SCHEME_LIMITS,
  type ChosenScheme,
  type Half,
  type Scheme,
  type SchemeChoices,
} from '@/core/tempo/scheme';
import { parseWrittenTempo, SECTION_LIMITS } from '@/core/tempo/tempo';
import type { SetView } from '@/contract/views/set';
import { RESERVE_TEXT, SCHEME_TEXT, dropSizeText, partShort } from '@/messages/schemes';
import { WORDS } from '@/messages/screens/set';
import styles from './scheme-editor.module.css';
import type { LiveSet } from './live-set-view';
import { SlowZone } from './slow-zone';
import { Steppers } from './steppers';
import type { LiveSetControl } from './use-live-set';

interface Props {
  readonly plan: SetView;
  readonly control: LiveSetControl;
  readonly onClose: () => void;
}

/** Changes what was chosen, from what it is by every tap so far. */
type Change = (change: (now: SchemeChoices) => Partial<SchemeChoices>) => void;

interface PartProps {
  readonly live: LiveSet;
  readonly onChange: Change;
}

/** Another scheme: how near to failure and where it is slow stay, what was changed of the parts does not. */
const newScheme = (scheme: Scheme, { slow, reserve }: SchemeChoices): ChosenScheme => ({
  scheme,
  choices: { ...AS_IT_COMES, slow, reserve },
});

const within = ([least, most]: readonly [number, number], value: number): number | null =>
  value >= least && value <= most ? value : null;

const held = ([least, most]: readonly [number, number], value: number): number =>
  Math.min(most, Math.max(least, value));

/** A number with its steppers: what it is, as it stands. */
function Stepped(props: {
  readonly label: string;
  readonly says: string;
  readonly less: number | null;
  readonly more: number | null;
  readonly onStep: (by: 1 | -1) => void;
}) {
  const { label, says, less, more, onStep } = props;
  const by = (value: number | null, step: 1 | -1) => (value === null ? null : () => onStep(step));
  return (
    <div className={styles.row} role="group" aria-label={label}>
      <span>{label}</span>
      <b>{says}</b>
      <Steppers less={WORDS.fewer(label)} more={WORDS.moreOf(label)} onLess={by(less, -1)} onMore={by(more, 1)} />
    </div>
  );
}

/** Reps of every part, each by its steppers. */
function PartReps({ live, onChange }: PartProps) {
  const { parts } = live;
  const total = parts.reduce((sum, p) => sum + p.reps, 0);
  const step = (index: number, by: 1 | -1): void =>
    onChange((now) => ({
      reps: parts.map((p, i) =>
        i === index ? held(SCHEME_LIMITS.reps, (now.reps[i] ?? p.reps) + by) : (now.reps[i] ?? null),
      ),
    }));
  return parts.map((p, i) => (
    <Stepped
      key={i}
      label={parts.length > 1 ? WORDS.repsOfPart(i + 1) : WORDS.repsOfTheSet}
      says={partShort(p)}
      less={within(SCHEME_LIMITS.reps, p.reps - 1)}
      more={total < MOST_SET_REPS ? within(SCHEME_LIMITS.reps, p.reps + 1) : null}
      onStep={(by) => step(i, by)}
    />
  ));
}

/** Per cent that one drop more or less takes off: whole fives. */
const PERCENT_STEP = 5;
const USUAL_PERCENT = 27.5;

/** How many drops there are, and how big. */
function Drops({ live, onChange }: PartProps) {
  const { parts, choices } = live;
  const drops = parts.length - 1;
  const size = (by: 1 | -1, { dropPercent }: SchemeChoices): number => {
    const steps = (dropPercent ?? USUAL_PERCENT) / PERCENT_STEP;
    return (by > 0 ? Math.floor(steps) + 1 : Math.ceil(steps) - 1) * PERCENT_STEP;
  };
  // Where nothing lighter is left on the stack, one drop more changes nothing.
  const all = drops >= (choices.drops ?? drops);
  return (
    <>
      <Stepped
        label={WORDS.drops}
        says={String(drops)}
        less={within(SCHEME_LIMITS.drops, drops - 1)}
        more={all ? within(SCHEME_LIMITS.drops, drops + 1) : null}
        onStep={(by) => onChange((now) => ({ drops: held(SCHEME_LIMITS.drops, (now.drops ?? drops) + by) }))}
      />
      <Stepped
        label={WORDS.eachDropTakesOff}
        says={dropSizeText(choices.dropPercent)}
        less={within(SCHEME_LIMITS.dropPercent, size(-1, choices))}
        more={within(SCHEME_LIMITS.dropPercent, size(1, choices))}
        onStep={(by) => onChange((now) => ({ dropPercent: held(SCHEME_LIMITS.dropPercent, size(by, now)) }))}
      />
    </>
  );
}

/** One of a few, side by side. */
function OneOf(props: {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly data: readonly { readonly value: string; readonly label: string }[];
  readonly onChoose: (value: string) => void;
}) {
  const { id, label, value, data, onChoose } = props;
  return (
    <div className={styles.row} data-wide>
      <span id={id}>{label}</span>
      <SegmentedControl aria-labelledby={id} value={value} data={[...data]} onChange={onChoose} />
    </div>
  );
}

/** Which half is gone on with when full reps fail. */
function HalfChoice({ plan, live, onChange }: PartProps & { readonly plan: SetView }) {
  const { strongerHalf } = plan.rep;
  return (
    <OneOf
      id="which-half"
      label={WORDS.halfReps}
      value={live.choices.half ?? strongerHalf}
      data={HALVES.map((h) => ({ value: h, label: WORDS.halfOf(h, h === strongerHalf) }))}
      onChoose={(h) => onChange(() => ({ half: h as Half }))}
    />
  );
}

/** How near to failure the set goes. */
function Reserve({ live, onChange }: PartProps) {
  const { reserve } = live.choices;
  return (
    <OneOf
      id="how-near"
      label={WORDS.howNearToFailure}
      value={reserve === null ? '' : String(reserve)}
      data={['', '0', '1', '2', '3'].map((value) => ({ value, label: RESERVE_TEXT[value]! }))}
      onChoose={(value) => onChange(() => ({ reserve: value === '' ? null : Number(value) }))}
    />
  );
}

/** A zone with a second more or less each way through it. */
function slower(slow: SchemeChoices['slow'], tempo: string, by: 1 | -1): SchemeChoices['slow'] {
  const now = slow ?? parseWrittenTempo(tempo)?.section ?? null;
  return now === null || now === 'none' ? now : { ...now, seconds: held(SECTION_LIMITS.seconds, now.seconds + by) };
}

/** Taps may come faster than they are on record: each goes on from the one before it. */
function useChoices({ live, give }: LiveSetControl) {
  const { scheme, choices } = live;
  const latest = useRef<ChosenScheme>({ scheme, choices });
  const waiting = useRef(0);
  useEffect(() => {
    if (waiting.current === 0) latest.current = { scheme, choices };
  }, [scheme, choices]);
  const take = useCallback(
    (next: (now: ChosenScheme) => ChosenScheme): void => {
      latest.current = next(latest.current);
      waiting.current++;
      void give({ do: 'choose-scheme', ...latest.current }).finally(() => waiting.current--);
    },
    [give],
  );
  const keep: Change = (change) => take((now) => ({ ...now, choices: { ...now.choices, ...change(now.choices) } }));
  return { keep, take };
}

/** How the sets of this movement are done from now on: kept with every tap, for this plan and the next. */
export function SchemeEditor({ plan, control, onClose }: Props) {
  const { live } = control;
  const { scheme, schemes } = live;
  const narrow = useMediaQuery('(max-width: 700px)');
  const { keep, take } = useChoices(control);
  const own = { live, onChange: keep };
  const lifts = live.movement.work === 'lift';
  return (
    <Modal
      opened
      size={920}
      fullScreen={narrow ?? false}
      onClose={onClose}
      title={WORDS.howTheSetIsDone}
      closeButtonProps={{ 'aria-label': WORDS.close, size: 56 }}
    >
      <div className={styles.editor}>
        <div className={styles.side}>
          {lifts && (
            <NativeSelect
              size="lg"
              label={WORDS.scheme}
              value={scheme}
              data={schemes.map((s) => ({ value: s, label: SCHEME_TEXT[s] }))}
              onChange={(e) => {
                const next = e.currentTarget.value as Scheme;
                take((now) => newScheme(next, now.choices));
              }}
            />
          )}
          <PartReps {...own} />
        </div>
        <div className={styles.side}>
          {(scheme === 'weight-drops' || scheme === 'middle-drops') && <Drops {...own} />}
          {(scheme === 'partials' || scheme === 'double-failure') && <HalfChoice plan={plan} {...own} />}
          {lifts && <Reserve {...own} />}
          {lifts && plan.rep.shares && plan.rep.jointDegs && (
            <SlowZone
              jointDegs={plan.rep.jointDegs}
              shares={plan.rep.shares}
              tempo={live.tempo}
              onChange={(slow) => keep(() => ({ slow }))}
              onSeconds={(by) => keep((now) => ({ slow: slower(now.slow, live.tempo, by) }))}
            />
          )}
        </div>
        <div className={styles.foot}>
          <button type="button" onClick={() => take((now) => ({ ...now, choices: AS_IT_COMES }))}>
            {WORDS.asItComes}
          </button>
          <button type="button" data-main onClick={onClose}>
            {WORDS.closeEditor}
          </button>
        </div>
      </div>
    </Modal>
  );
}

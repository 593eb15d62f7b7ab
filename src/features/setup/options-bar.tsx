'use client';
import type { WorkingSide } from '@/core/body/side';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { memo, useMemo } from 'react';
import { followsArmPath, ownArmPathDeg } from '@/core/book/arm-path';
import type { Grip } from '@/core/book/book-entry';
import { hasFeet } from '@/core/book/entry-options';
import { FOOT_PLACES, type FootPlace } from '@/core/book/foot-place';
import { FOOT_PLACE } from '@/messages/settings';
import type { Practice, PracticeQuestion } from '@/core/book/practice';
import type { ChosenBy } from '@/core/book/standing-practice';
import { PEAK_TARGETS, type PeakTarget } from '@/core/movement/peak-target';
import { FRONT_FEET, type FrontFoot } from '@/core/movement/sweep-path';
import { GRIP_NAME, PEAK_NAME } from '@/messages/movements';
import { withChoices, type Question } from '@/core/book/question';
import { PracticeFields } from '@/features/movements/practice-fields';
import type { SetupBenchView } from '@/contract/views/setup';
import type { SetupEvent, SetupState } from './setup-machine';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

const SIDE_NAME: Readonly<Record<WorkingSide, string>> = {
  both: WORDS.bothArms,
  left: 'left arm',
  right: WORDS.rightArm,
};
const tiltText = (t: number): string => (t === 0 ? 'level' : t > 0 ? `${t}° down` : `${-t}° up`);
const ARM_PATHS = [0, 5, 10, 15, 20, 25, 30, 35, 40] as const;

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
  readonly options: SetupState['options'];
  readonly side: WorkingSide;
  readonly dispatch: (event: SetupEvent) => void;
  /** What practitioners differ on here, with our side of each. */
  readonly practices: readonly Practice[];
}

type Choose = (change: Partial<SetupState['options']>) => void;
type Asked = Pick<Props, 'question' | 'options' | 'side'> & { readonly choose: Choose };

/** Which of the columns; another one is another page, with its own question. */
function ColumnChoice({ context }: Pick<Props, 'context'>) {
  const router = useRouter();
  const { station, stations, item } = context;
  if (!station) return null;
  return (
    <NativeSelect
      className={styles.wideOption}
      label={WORDS.columns}
      value={station.id}
      data={[...new Set(stations.map((s) => s.gym))].map((group) => ({
        group,
        items: stations
          .filter((s) => s.gym === group)
          .map((s) => ({ value: s.id, label: s.outOfOrder ? WORDS.outOfOrder(s.name) : s.name })),
      }))}
      onChange={(e) => router.push(`/setup/${item.id}?station=${e.currentTarget.value}`)}
    />
  );
}

/** How steep a fly sweeps and which foot is in front. */
function SweepChoice({ question, options, choose, dispatch }: Asked & Pick<Props, 'dispatch'>) {
  const { path } = question.own;
  if (path.kind !== 'sweep') return null;
  const { min, max } = path.tiltDeg;
  const steps = Array.from({ length: Math.floor((max - min) / 5) + 1 }, (_, i) => min + i * 5);
  const tilts = steps.includes(options.tiltDeg) ? steps : [...steps, options.tiltDeg];
  return (
    <>
      <NativeSelect
        label={WORDS.sweepAlongTheChestsBorder}
        value={String(options.tiltDeg)}
        data={tilts.toSorted((a, b) => a - b).map((t) => ({ value: String(t), label: tiltText(t) }))}
        onChange={(e) => choose({ tiltDeg: Number(e.currentTarget.value) })}
      />
      <NativeSelect
        label={WORDS.footInFrontEitherWill}
        value={options.frontFoot}
        data={FRONT_FEET.map((f) => ({ value: f, label: f }))}
        onChange={(e) => dispatch({ type: 'foot-chosen', foot: e.currentTarget.value as FrontFoot })}
      />
    </>
  );
}

/** Where the feet stand on a plate. */
function FeetChoice({ question, options, choose }: Asked) {
  if (!hasFeet(question.own)) return null;
  return (
    <NativeSelect
      label={WORDS.feetOnThePlate}
      value={options.feet ?? 'middle'}
      data={FOOT_PLACES.map((p) => ({ value: p, label: FOOT_PLACE[p].name }))}
      onChange={(e) => choose({ feet: e.currentTarget.value as FootPlace })}
    />
  );
}

/** How the handle is held and along which path the arm goes. */
function ArmChoice({ question, options, side, choose }: Asked) {
  const { own } = question;
  const measured = question.range.fit.armPathDeg[side === 'left' ? 'left' : 'right'];
  const paths =
    options.armPathDeg === null || ARM_PATHS.some((a) => a === options.armPathDeg)
      ? ARM_PATHS
      : [...ARM_PATHS, options.armPathDeg];
  return (
    <>
      {own.grips.length > 1 && (
        <NativeSelect
          label={WORDS.grip}
          value={options.grip ?? own.grips[0]}
          data={own.grips.map((g) => ({ value: g, label: GRIP_NAME[g] }))}
          onChange={(e) => choose({ grip: e.currentTarget.value as Grip })}
        />
      )}
      {followsArmPath(own) && (
        <NativeSelect
          label={WORDS.armPathBelowShoulderLevel}
          value={options.armPathDeg === null ? '' : String(options.armPathDeg)}
          data={[
            {
              value: '',
              label:
                measured === undefined
                  ? WORDS.theMovements(Math.round(ownArmPathDeg(own)!))
                  : WORDS.theClients(Math.round(measured)),
            },
            ...paths.map((a) => ({ value: String(a), label: `${a}°` })),
          ]}
          onChange={(e) => choose({ armPathDeg: e.currentTarget.value === '' ? null : Number(e.currentTarget.value) })}
        />
      )}
    </>
  );
}

/**
 * The questions a set-up answers: which column, which arms, where it should be hardest, and what practitioners differ
 * on.
 */
export const OptionsBar = memo(function OptionsBar({ context, question, options, side, dispatch, practices }: Props) {
  // A choice made before the page listens would fall back unseen: until then nothing can be chosen.
  const listening = useMounted();
  const { own } = question;
  const choose: Choose = (change) => dispatch({ type: 'options-chosen', options: change });
  const asked = { question, options, side, choose };
  // A side that was changed by hand is nobody's standing choice.
  const chosenBy = (q: PracticeQuestion): ChosenBy =>
    question.options.practices[q] === options.practices[q] ? (context.chosenBy[q] ?? null) : null;
  const stands = useMemo(() => withChoices(question, options, side), [question, options, side]);
  return (
    <fieldset className={styles.options} disabled={!listening}>
      <ColumnChoice context={context} />
      {own.path.kind === 'sweep' && (
        <NativeSelect
          label={WORDS.working}
          value={side}
          data={(['both', 'left', 'right'] as const).map((s) => ({ value: s, label: SIDE_NAME[s] }))}
          onChange={(e) => dispatch({ type: 'side-chosen', side: e.currentTarget.value as WorkingSide })}
        />
      )}
      {own.load.kind === 'cable' && (
        <NativeSelect
          label={WORDS.hardest}
          value={options.peak}
          data={PEAK_TARGETS.map((p) => ({ value: p, label: PEAK_NAME[p] }))}
          onChange={(e) => choose({ peak: e.currentTarget.value as PeakTarget })}
        />
      )}
      <SweepChoice {...asked} dispatch={dispatch} />
      <ArmChoice {...asked} />
      <FeetChoice {...asked} />
      <div className={styles.practices}>
        <PracticeFields
          practices={practices}
          chosen={options.practices}
          chosenBy={chosenBy}
          question={stands}
          onChoose={(c) => choose({ practices: { ...options.practices, ...c } })}
        />
      </div>
    </fieldset>
  );
});

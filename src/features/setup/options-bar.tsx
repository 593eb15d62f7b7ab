'use client';
import type { WorkingSide } from '@/core/body/side';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { memo } from 'react';
import { followsArmPath, ownArmPathDeg } from '@/core/book/arm-path';
import type { Grip } from '@/core/book/book-entry';
import { practicesOf } from '@/core/book/practice';
import { PEAK_TARGETS, type PeakTarget } from '@/core/movement/peak-target';
import { FRONT_FEET, type FrontFoot } from '@/core/movement/sweep-path';
import { GRIP_NAME, PEAK_NAME } from '@/messages/movements';
import { PRACTICE_TEXT } from '@/messages/practices';
import type { Question } from '@/core/book/question';
import type { SetupBenchView } from '@/contract/views/setup';
import type { SetupEvent, SetupState } from './setup-machine';
import styles from './setup.module.css';

const SIDE_NAME: Readonly<Record<WorkingSide, string>> = { both: 'both arms', left: 'left arm', right: 'right arm' };
const ARM_PATHS = [0, 5, 10, 15, 20, 25, 30, 35, 40] as const;

interface Props {
  readonly context: SetupBenchView;
  readonly question: Question;
  readonly options: SetupState['options'];
  readonly side: WorkingSide;
  readonly dispatch: (event: SetupEvent) => void;
  /** Resistance at the finish over the peak, for the side of a question that the curve decides. */
  readonly finishShare: number;
}

/**
 * The questions a set-up answers: which column, which arms, where it should be hardest, and what practitioners differ
 * on.
 */
export const OptionsBar = memo(function OptionsBar({ context, question, options, side, dispatch, finishShare }: Props) {
  const router = useRouter();
  // A choice made before the page listens would fall back unseen: until then nothing can be chosen.
  const listening = useMounted();
  const { own } = question;
  const choose = (change: Partial<SetupState['options']>): void =>
    dispatch({ type: 'options-chosen', options: change });
  const sweep = own.path.kind === 'sweep' ? own.path.tiltDeg : null;
  const tilts = sweep
    ? Array.from({ length: Math.floor((sweep.max - sweep.min) / 5) + 1 }, (_, i) => sweep.min + i * 5)
    : [];
  if (sweep && !tilts.includes(options.tiltDeg)) tilts.push(options.tiltDeg);
  const tiltName = (t: number): string => (t === 0 ? 'level' : t > 0 ? `${t}° down` : `${-t}° up`);
  const measured = question.range.fit.armPathDeg[side === 'left' ? 'left' : 'right'];
  const paths =
    options.armPathDeg === null || ARM_PATHS.some((a) => a === options.armPathDeg)
      ? ARM_PATHS
      : [...ARM_PATHS, options.armPathDeg];
  return (
    <fieldset className={styles.options} disabled={!listening}>
      {context.station && (
        <NativeSelect
          className={styles.wideOption}
          label="Columns"
          value={context.station.id}
          data={[...new Set(context.stations.map((s) => s.gym))].map((group) => ({
            group,
            items: context.stations
              .filter((s) => s.gym === group)
              .map((s) => ({ value: s.id, label: s.outOfOrder ? `${s.name} (out of order)` : s.name })),
          }))}
          onChange={(e) => router.push(`/setup/${context.item.id}?station=${e.currentTarget.value}`)}
        />
      )}
      {sweep && (
        <NativeSelect
          label="Working"
          value={side}
          data={(['both', 'left', 'right'] as const).map((s) => ({ value: s, label: SIDE_NAME[s] }))}
          onChange={(e) => dispatch({ type: 'side-chosen', side: e.currentTarget.value as WorkingSide })}
        />
      )}
      {own.load.kind === 'cable' && (
        <NativeSelect
          label="Hardest"
          value={options.peak}
          data={PEAK_TARGETS.map((p) => ({ value: p, label: PEAK_NAME[p] }))}
          onChange={(e) => choose({ peak: e.currentTarget.value as PeakTarget })}
        />
      )}
      {sweep && (
        <NativeSelect
          label="Sweep, along the chest’s border"
          value={String(options.tiltDeg)}
          data={tilts.toSorted((a, b) => a - b).map((t) => ({ value: String(t), label: tiltName(t) }))}
          onChange={(e) => choose({ tiltDeg: Number(e.currentTarget.value) })}
        />
      )}
      {sweep && (
        <NativeSelect
          label="Foot in front, either will do"
          value={options.frontFoot}
          data={FRONT_FEET.map((f) => ({ value: f, label: f }))}
          onChange={(e) => dispatch({ type: 'foot-chosen', foot: e.currentTarget.value as FrontFoot })}
        />
      )}
      {own.grips.length > 1 && (
        <NativeSelect
          label="Grip"
          value={options.grip ?? own.grips[0]}
          data={own.grips.map((g) => ({ value: g, label: GRIP_NAME[g] }))}
          onChange={(e) => choose({ grip: e.currentTarget.value as Grip })}
        />
      )}
      {followsArmPath(own) && (
        <NativeSelect
          label="Arm path, below shoulder level"
          value={options.armPathDeg === null ? '' : String(options.armPathDeg)}
          data={[
            {
              value: '',
              label:
                measured === undefined
                  ? `the movement’s, ${Math.round(ownArmPathDeg(own)!)}°`
                  : `the client’s, ${Math.round(measured)}°`,
            },
            ...paths.map((a) => ({ value: String(a), label: `${a}°` })),
          ]}
          onChange={(e) => choose({ armPathDeg: e.currentTarget.value === '' ? null : Number(e.currentTarget.value) })}
        />
      )}
      {practicesOf(own, context.client.notes, finishShare).map((s) => (
        <NativeSelect
          key={s.question}
          className={styles.wideOption}
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          label={PRACTICE_TEXT[s.question].asks}
          description={PRACTICE_TEXT[s.question].why}
          value={options.practices[s.question] ?? s.preset}
          data={s.options.map((o) => ({
            value: o,
            label: `${PRACTICE_TEXT[s.question].options[o]}${o === s.preset ? ' (ours)' : ''}`,
          }))}
          onChange={(e) => choose({ practices: { ...options.practices, [s.question]: e.currentTarget.value } })}
        />
      ))}
    </fieldset>
  );
});

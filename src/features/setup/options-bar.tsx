'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { FRONT_FEET, PEAK_WISHES, type PeakWish } from '@/core/movement/movement';
import type { WorkingSide } from '@/core/setup/setup-problem';
import { PEAK_NAME } from '@/messages/movements';
import type { BenchContext } from './bench-context';
import type { SetupView } from './use-setup';
import styles from './setup.module.css';

const SIDE_NAME: Readonly<Record<WorkingSide, string>> = { both: 'both arms', left: 'left arm', right: 'right arm' };

/** The questions a set-up answers: which station, which arms, where it should be hardest, how the sweep is tilted. */
export function OptionsBar({ context, setup }: { readonly context: BenchContext; readonly setup: SetupView }) {
  const router = useRouter();
  // A choice made before the page listens would fall back unseen: until then nothing can be chosen.
  const listening = useMounted();
  const { state, dispatch, problem } = setup;
  const { min, max } = problem.input.movement.path.tiltDeg;
  const tilts = Array.from({ length: Math.floor((max - min) / 5) + 1 }, (_, i) => min + i * 5);
  if (!tilts.includes(state.options.tiltDeg)) tilts.push(state.options.tiltDeg);
  const tiltName = (t: number): string => (t === 0 ? 'level' : t > 0 ? `${t}° down` : `${-t}° up`);
  return (
    <fieldset className={styles.options} disabled={!listening}>
      <NativeSelect
        label="Columns"
        value={context.station.id}
        data={context.stations.map((s) => ({ value: s.id, label: s.name }))}
        onChange={(e) => router.push(`/setup/${context.item.id}?station=${e.currentTarget.value}`)}
      />
      <NativeSelect
        label="Working"
        value={state.side}
        data={(['both', 'left', 'right'] as const).map((s) => ({ value: s, label: SIDE_NAME[s] }))}
        onChange={(e) => dispatch({ type: 'side-chosen', side: e.currentTarget.value as WorkingSide })}
      />
      <NativeSelect
        label="Hardest"
        value={state.options.peak}
        data={PEAK_WISHES.map((p) => ({ value: p, label: PEAK_NAME[p] }))}
        onChange={(e) => dispatch({ type: 'options-chosen', options: { peak: e.currentTarget.value as PeakWish } })}
      />
      <NativeSelect
        label="Foot in front, either will do"
        value={state.options.frontFoot}
        data={[...FRONT_FEET]}
        onChange={(e) => dispatch({ type: 'foot-chosen', foot: e.currentTarget.value === 'right' ? 'right' : 'left' })}
      />
      <NativeSelect
        label="Sweep, along the chest’s border"
        value={String(state.options.tiltDeg)}
        data={tilts.toSorted((a, b) => a - b).map((t) => ({ value: String(t), label: tiltName(t) }))}
        onChange={(e) => dispatch({ type: 'options-chosen', options: { tiltDeg: Number(e.currentTarget.value) } })}
      />
    </fieldset>
  );
}

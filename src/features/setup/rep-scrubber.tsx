'use client';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import { CURVE_GRID } from '@/charts/resistance-series';

import { ArmStrip } from './arm-strip';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  readonly setup: BenchSetup;
  readonly width: number;
  readonly now: number;
  /** Height of the curve above, pixels: the marker runs up through it. */
  readonly curvePx: number;
  readonly onNow: (i: number) => void;
}

/** The rep under the finger: the strip of arms is the track, and one line runs through it and the curve above. */
export function RepScrubber({ setup, width, now, curvePx, onNow }: Props) {
  const { shown, problem } = setup;
  const { samples } = shown.bySide[shown.worse]!;
  const nm = Math.round(samples.resistanceNm[now]!);
  const leverCm = problem.tensionN > 0 ? Math.abs(Math.round((samples.lineNm[now]! / problem.tensionN) * 100)) : 0;
  const left = CURVE_GRID.left + (now / LAST_SAMPLE) * (width - CURVE_GRID.left - CURVE_GRID.right);
  return (
    <div className={styles.scrubber}>
      <ArmStrip setup={setup} width={width} />
      <div className={styles.marker} style={{ left, top: -curvePx }} aria-hidden>
        <span data-left={now > LAST_SAMPLE * 0.75 || undefined}>{WORDS.nmLeverCm(nm, leverCm)}</span>
      </div>
      <input
        type="range"
        min={0}
        max={LAST_SAMPLE}
        step={1}
        value={now}
        style={{ left: CURVE_GRID.left - 14, width: width - CURVE_GRID.left - CURVE_GRID.right + 28 }}
        aria-label={WORDS.placeInTheRep}
        aria-valuetext={WORDS.percentOfTheWayNewton(Math.round((now / LAST_SAMPLE) * 100), nm, leverCm)}
        onChange={(e) => onNow(Number(e.currentTarget.value))}
      />
    </div>
  );
}

/** Start and stop playing the rep at its tempo. */
export function PlayButton({
  playing,
  tempo,
  onToggle,
}: {
  readonly playing: boolean;
  readonly tempo: string;
  readonly onToggle: () => void;
}) {
  return (
    <button
      type="button"
      className={styles.play}
      onClick={onToggle}
      aria-label={playing ? WORDS.pauseTheRep : WORDS.playTheRepAt(tempo)}
    >
      {playing ? <IconPlayerPause stroke={1.5} aria-hidden /> : <IconPlayerPlay stroke={1.5} aria-hidden />}
      {tempo}
    </button>
  );
}

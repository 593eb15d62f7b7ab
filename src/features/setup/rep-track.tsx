'use client';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { CURVE_GRID } from '@/charts/resistance-series';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  readonly width: number;
  readonly now: number;
  /** Height of the curve above, pixels: the marker runs up through it. */
  readonly curvePx: number;
  readonly onNow: (i: number) => void;
  /** What acts at this moment, beside the marker and as it is read out. */
  readonly says: string;
  readonly readOut: string;
  /** The movement at points of the rep: it is the track. */
  readonly children: ReactNode;
}

/** Samples that a page key moves through. */
const PAGE = 8;

/** Pixel column of a sample, on the track as on the curve. */
export const columnOf = (i: number, width: number): number =>
  CURVE_GRID.left + (i / LAST_SAMPLE) * (width - CURVE_GRID.left - CURVE_GRID.right);

/** The rep under the finger: the strip is the track, and one line runs through it and the curve above. */
export function RepTrack({ width, now, curvePx, onNow, says, readOut, children }: Props) {
  return (
    <div className={styles.scrubber}>
      {children}
      <div className={styles.marker} style={{ left: columnOf(now, width), top: -curvePx }} aria-hidden>
        <span data-left={now > LAST_SAMPLE * 0.75 || undefined}>{says}</span>
      </div>
      <input
        type="range"
        min={0}
        max={LAST_SAMPLE}
        step={1}
        value={now}
        style={{ left: CURVE_GRID.left - 14, width: width - CURVE_GRID.left - CURVE_GRID.right + 28 }}
        aria-label={WORDS.placeInTheRep}
        aria-valuetext={readOut}
        onChange={(e) => onNow(Number(e.currentTarget.value))}
        onKeyDown={(e) => {
          const by = e.key === 'PageUp' ? PAGE : e.key === 'PageDown' ? -PAGE : 0;
          if (by === 0) return;
          e.preventDefault();
          onNow(now + by);
        }}
      />
    </div>
  );
}

interface PlayProps {
  readonly playing: boolean;
  readonly tempo: string;
  readonly onToggle: () => void;
}

/** Start and stop playing the rep at its tempo. */
export function PlayButton({ playing, tempo, onToggle }: PlayProps) {
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

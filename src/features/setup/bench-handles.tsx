'use client';
import { useRef, type KeyboardEvent } from 'react';
import type { FitSetting } from '@/core/book/fit-entry';
import { nearestNotch } from '@/core/kit/bench';
import { toDeg } from '@/core/units/angle';
import type { Dot } from '@/drawing/capsule';
import { px } from '@/drawing/svg-number';
import styles from '@/drawing/drawing.module.css';
import type { FitMoves } from './fit-plates';
import { useDrag } from './use-drag';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly settings: readonly FitSetting[];
  readonly moves: FitMoves;
  /** A bench's back from its hinge to its top. */
  readonly back: { readonly from: Dot; readonly to: Dot } | null;
  /** Where the seat is held, and how many pixels a hole is; null without a seat that moves. */
  readonly seat: { readonly at: Dot; readonly holePx: number } | null;
}

/** The bench's back is turned by its top end from notch to notch, the seat lifted from hole to hole. */
export function BenchHandles({ settings, moves, back, seat }: Props) {
  const notch = settings.find((s) => s.kind === 'notch');
  const hole = settings.find((s) => s.kind === 'seat-hole');
  const turn = useDrag(({ u, v }) => {
    if (!back || moves.notchesDeg.length === 0) return;
    const ahead = back.to.u < back.from.u ? -1 : 1;
    const deg = toDeg(Math.atan2(back.from.v - v, ahead * (u - back.from.u)));
    const found = nearestNotch(moves.notchesDeg, deg);
    moves.choose({ backDeg: moves.notchesDeg[found.notch - 1]! });
  });
  const pickedUpAt = useRef(1);
  const lift = useDrag(
    ({ dv }) => {
      if (!seat || !hole) return;
      moves.choose({ seatHole: Math.min(hole.holes, Math.max(1, Math.round(pickedUpAt.current - dv / seat.holePx))) });
    },
    () => {
      pickedUpAt.current = hole?.hole ?? 1;
    },
  );
  const step = (e: KeyboardEvent, up: () => void, down: () => void): void => {
    const move = e.key === 'ArrowUp' ? up : e.key === 'ArrowDown' ? down : null;
    if (!move) return;
    e.preventDefault();
    move();
  };
  const toNotch = (n: number): void =>
    moves.choose({ backDeg: moves.notchesDeg[Math.min(moves.notchesDeg.length, Math.max(1, n)) - 1]! });
  return (
    <>
      {back && notch?.notch != null && moves.notchesDeg.length > 1 && (
        <g
          role="slider"
          tabIndex={0}
          className={styles.grab}
          aria-label={WORDS.benchBackNotch}
          aria-valuenow={notch.notch}
          aria-valuemin={1}
          aria-valuemax={moves.notchesDeg.length}
          aria-valuetext={WORDS.notchOfDegrees(notch.notch, moves.notchesDeg.length, Math.round(notch.deg))}
          data-testid="drag-back"
          onKeyDown={(e) =>
            step(
              e,
              () => toNotch(notch.notch! + 1),
              () => toNotch(notch.notch! - 1),
            )
          }
          {...turn}
        >
          <circle className={styles.halo} cx={px(back.to.u)} cy={px(back.to.v)} r={28} />
          <circle className={styles.carriage} cx={px(back.to.u)} cy={px(back.to.v)} r={8} />
        </g>
      )}
      {seat && hole && (
        <g
          role="slider"
          tabIndex={0}
          className={styles.grab}
          aria-label={WORDS.seatHole}
          aria-valuenow={hole.hole}
          aria-valuemin={1}
          aria-valuemax={hole.holes}
          aria-valuetext={WORDS.holeOf(hole.hole, hole.holes)}
          data-testid="drag-seat"
          onKeyDown={(e) =>
            step(
              e,
              () => moves.choose({ seatHole: Math.min(hole.holes, hole.hole + 1) }),
              () => moves.choose({ seatHole: Math.max(1, hole.hole - 1) }),
            )
          }
          {...lift}
        >
          <circle className={styles.halo} cx={px(seat.at.u)} cy={px(seat.at.v)} r={28} />
          <path
            className={styles.carriage}
            d={
              `M${px(seat.at.u - 9)} ${px(seat.at.v - 2)}l9 -9l9 ` +
              `9zM${px(seat.at.u - 9)} ${px(seat.at.v + 2)}l9 9l9 -9z`
            }
          />
        </g>
      )}
    </>
  );
}

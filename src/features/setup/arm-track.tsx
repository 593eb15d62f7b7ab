'use client';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { WORDS } from '@/messages/screens/setup';
import { ArmStrip } from './arm-strip';
import { RepTrack } from './rep-track';
import type { BenchSetup } from './use-setup';

interface Props {
  readonly setup: BenchSetup;
  readonly width: number;
  readonly now: number;
  readonly curvePx: number;
  readonly onNow: (i: number) => void;
}

/** The rep of a cable movement under the finger: its arms, the moment now and the lever of the line. */
export function ArmTrack({ setup, width, now, curvePx, onNow }: Props) {
  const { shown, problem } = setup;
  const { samples } = shown.bySide[shown.worse]!;
  const nm = Math.round(samples.resistanceNm[now]!);
  const leverCm = problem.tensionN > 0 ? Math.abs(Math.round((samples.lineNm[now]! / problem.tensionN) * 100)) : 0;
  return (
    <RepTrack
      width={width}
      now={now}
      curvePx={curvePx}
      onNow={onNow}
      says={WORDS.nmLeverCm(nm, leverCm)}
      readOut={WORDS.percentOfTheWayNewton(Math.round((now / LAST_SAMPLE) * 100), nm, leverCm)}
    >
      <ArmStrip setup={setup} width={width} />
    </RepTrack>
  );
}

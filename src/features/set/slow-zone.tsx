'use client';
import { RangeSlider, Switch } from '@mantine/core';
import { useState } from 'react';
import { parseWrittenTempo, SECTION_LIMITS, SLOW_S, type Section } from '@/core/tempo/tempo';
import { WORDS } from '@/messages/screens/set';
import styles from './scheme-editor.module.css';
import { Steppers } from './steppers';

interface Props {
  /** Angle of the target joint at evenly spaced samples of the range, degrees. */
  readonly jointDegs: readonly number[];
  /** Resistance at them, share of its peak. */
  readonly shares: readonly number[];
  /** As it stands, with its section. */
  readonly tempo: string;
  readonly onChange: (slow: Section | 'none') => void;
  readonly onSeconds: (by: 1 | -1) => void;
}

/** Angles are set in steps that a person can see; a zone is at least two of them. */
const STEP_DEG = 5;
const LEAST_DEG = 10;
const HIGH = 100;

const wholeStep = (deg: number, round: (v: number) => number): number => round(deg / STEP_DEG) * STEP_DEG;

/** How long each way through the zone takes. */
function SlowSeconds({ seconds, onStep }: { readonly seconds: number; readonly onStep: (by: 1 | -1) => void }) {
  const [least, most] = SECTION_LIMITS.seconds;
  return (
    <div className={styles.row} role="group" aria-label={WORDS.eachWayThrough}>
      <span>{WORDS.eachWayThrough}</span>
      <b>{WORDS.seconds(seconds)}</b>
      <Steppers
        less={WORDS.fewer(WORDS.eachWayThrough)}
        more={WORDS.moreOf(WORDS.eachWayThrough)}
        onLess={seconds > least ? () => onStep(-1) : null}
        onMore={seconds < most ? () => onStep(1) : null}
      />
    </div>
  );
}

/** Where the rep is slow: two angles, drawn along under the curve of the resistance, and the seconds between them. */
export function SlowZone({ jointDegs, shares, tempo, onChange, onSeconds }: Props) {
  const [least, most] = [
    Math.max(SECTION_LIMITS.deg[0], wholeStep(Math.min(...jointDegs), Math.ceil)),
    Math.min(SECTION_LIMITS.deg[1], wholeStep(Math.max(...jointDegs), Math.floor)),
  ];
  const section = parseWrittenTempo(tempo)?.section ?? null;
  // The ends are where the finger has them until what it left is on record.
  const [drawn, setDrawn] = useState<{ readonly tempo: string; readonly ends: readonly [number, number] } | null>(null);
  if (most - least < 2 * LEAST_DEG) return null;
  const third = Math.max(LEAST_DEG, wholeStep((most - least) / 3, Math.round));
  const slow = section ?? { fromDeg: least, toDeg: least + third, seconds: SLOW_S };
  const [fromDeg, toDeg] = drawn?.tempo === tempo ? drawn.ends : [slow.fromDeg, slow.toDeg];
  const x = (deg: number): number => (100 * (deg - least)) / (most - least);
  const line = jointDegs.map((deg, i) => `${x(deg)},${HIGH * (1 - Math.max(0, shares[i]!) * 0.9)}`).join(' ');
  return (
    <div className={styles.zone} role="group" aria-label={WORDS.slowZone}>
      <Switch
        size="lg"
        label={WORDS.slowBetween(section !== null, fromDeg, toDeg)}
        checked={section !== null}
        onChange={(e) => onChange(e.currentTarget.checked ? slow : 'none')}
      />
      {section && (
        <>
          <div className={styles.curve}>
            <svg viewBox={`0 0 100 ${HIGH}`} preserveAspectRatio="none" aria-hidden>
              <rect x={x(fromDeg)} width={x(toDeg) - x(fromDeg)} y={0} height={HIGH} />
              <polyline points={line} vectorEffect="non-scaling-stroke" />
            </svg>
            <RangeSlider
              min={least}
              max={most}
              step={STEP_DEG}
              minRange={LEAST_DEG}
              value={[fromDeg, toDeg]}
              thumbSize={36}
              styles={{
                root: { height: 124 },
                trackContainer: { height: '100%', alignItems: 'flex-end', paddingBottom: 14 },
              }}
              thumbFromLabel={WORDS.slowFrom}
              thumbToLabel={WORDS.slowTo}
              label={(deg) => `${deg}°`}
              labelAlwaysOn
              onChange={(ends) => setDrawn({ tempo, ends })}
              onChangeEnd={([from, to]) => onChange({ ...slow, fromDeg: from, toDeg: to })}
            />
          </div>
          <SlowSeconds seconds={slow.seconds} onStep={onSeconds} />
        </>
      )}
    </div>
  );
}

'use client';
import { IconDeviceMobileRotated, IconMinus, IconPlus } from '@tabler/icons-react';
import { useMounted } from '@mantine/hooks';
import { useRef, useState } from 'react';
import type { LineCheck } from '@/core/setup/line-check';
import { holdSimulated, readSlope } from './tilt-sensor';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  /** The check of a reading at the sample of the range that is shown. */
  readonly check: (measuredDeg: number) => LineCheck;
  readonly where: string;
  readonly hole: number;
  readonly shoulderMeasured: boolean;
  /** A stand-in tilts instead of this device. */
  readonly simulated: boolean;
}

const cm = (m: number): string => `${Math.abs(Math.round(m * 100))} cm`;

function doubtText(c: LineCheck, hole: number, shoulderMeasured: boolean): string {
  const causes = [
    c.hole === hole ? null : WORDS.thePinSitsInHole(c.hole, hole),
    WORDS.theHandIsThanComputed(
      cm(c.handHigherM),
      c.handHigherM > 0 ? WORDS.higher : WORDS.lower,
      shoulderMeasured ? '' : WORDS.andTheShoulderWithIt,
    ),
    c.furtherM === null
      ? null
      : WORDS.theClientStands(cm(c.furtherM), c.furtherM > 0 ? WORDS.furtherOut : WORDS.nearer),
  ].filter((t) => t !== null);
  return WORDS.whichMeasurementToDistrustEither(causes.join(WORDS.or));
}

/** Hold an inclinometer, or this device, along the cable and compare. */
export function LineCheckPanel({ check, where, hole, shoulderMeasured, simulated }: Props) {
  const mounted = useMounted();
  const computed = check(0).computedDeg;
  const [measured, setMeasured] = useState<number | null>(null);
  const [sensor, setSensor] = useState<'off' | 'listening' | 'silent'>('off');
  const turn = useRef(0);
  const shown = measured ?? Math.round(computed);
  const result = measured === null ? null : check(measured);
  const fromDevice = async (): Promise<void> => {
    setSensor('listening');
    const putAway = simulated ? holdSimulated(Math.abs(computed), turn.current++) : null;
    const slope = await readSlope();
    putAway?.();
    setSensor(slope === null ? 'silent' : 'off');
    if (slope !== null) setMeasured(Math.round(Math.sign(computed || 1) * slope * 10) / 10);
  };
  return (
    <>
      <p>{WORDS.alongTheCableComputedTo(where, computed.toFixed(0), computed < 0 ? WORDS.down : WORDS.up)}</p>
      <div className={styles.reading}>
        <button type="button" aria-label={WORDS.oneDegreeLess} onClick={() => setMeasured(Math.max(-89, shown - 1))}>
          <IconMinus stroke={1.5} aria-hidden />
        </button>
        <output data-testid="line-reading">{measured === null ? WORDS.notRead : `${measured.toFixed(0)}°`}</output>
        <button type="button" aria-label={WORDS.oneDegreeMore} onClick={() => setMeasured(Math.min(89, shown + 1))}>
          <IconPlus stroke={1.5} aria-hidden />
        </button>
        {mounted && 'DeviceOrientationEvent' in window && (
          <button type="button" onClick={() => void fromDevice()} disabled={sensor === 'listening'}>
            <IconDeviceMobileRotated stroke={1.5} aria-hidden /> {simulated ? WORDS.simulated : WORDS.thisDevice}
          </button>
        )}
      </div>
      {sensor === 'silent' && <p role="status">{WORDS.thisDeviceTellsNoTilt}</p>}
      {result && (
        <p role="status" data-testid="line-verdict">
          {result.agrees
            ? WORDS.agreesWithin(Math.abs(result.differsDeg).toFixed(0))
            : WORDS.apart(Math.abs(result.differsDeg).toFixed(0), doubtText(result, hole, shoulderMeasured))}
        </p>
      )}
    </>
  );
}

'use client';
import { SIDES } from '@/core/body/side';
import { UnitInput } from '@/features/shell/unit-input';
import { memo, type ReactNode } from 'react';
import { findArmPath } from '@/core/body/arm-path-test';
import type { ClientValues, SetValue, TrialValues } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

function resultText(trials: readonly TrialValues[]): string {
  const done = trials.flatMap((t) =>
    typeof t.behindCm === 'number' ? [{ belowDeg: t.belowDeg, behindM: t.behindCm / 100 }] : [],
  );
  if (done.length < 3) return WORDS.ofPathsTried(done.length);
  const best = findArmPath(done);
  if (!best) return '';
  const at = WORDS.furthestAtBelowLevelCm(Math.round(best.belowDeg), (best.behindM * 100).toFixed(1));
  return best.source === 'edge' ? WORDS.thatIsTheLastPath(at) : at;
}

interface Props {
  readonly armPath: ClientValues['armPath'];
  readonly errors: Readonly<Record<string, ReactNode>>;
  readonly set: SetValue;
}

/** The rear-deltoid path test, step by step and side by side. */
export const ArmPathForm = memo(function ArmPathForm({ armPath, errors, set }: Props) {
  return (
    <div className={styles.armPath}>
      {SIDES.map((side) => (
        <fieldset key={side}>
          <legend>{WORDS.arm(side)}</legend>
          {armPath[side].map((t, i) => (
            <UnitInput
              unit="cm"
              key={t.belowDeg}
              label={t.belowDeg === 0 ? WORDS.levelWithTheShoulder : WORDS.belowLevel(t.belowDeg)}
              aria-label={WORDS.elbowBehindTheBackDegrees(side, t.belowDeg)}
              value={t.behindCm}
              error={errors[`armPath.${side}.${i}.behindCm`]}
              onChange={(v) => set(`armPath.${side}.${i}.behindCm`, v)}
            />
          ))}
          <p className={styles.result} data-testid={`arm-path-${side}`} role="status">
            {resultText(armPath[side])}
          </p>
        </fieldset>
      ))}
    </div>
  );
});

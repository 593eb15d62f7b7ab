'use client';
import { SIDES } from '@/core/body/side';
import { NumberInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { findArmPath } from '@/core/body/arm-path-test';
import type { ClientValues, TrialValues } from './client-form-values';
import styles from './client.module.css';

function resultText(trials: readonly TrialValues[]): string {
  const done = trials.flatMap((t) => (t.behindCm === '' ? [] : [{ belowDeg: t.belowDeg, behindM: t.behindCm / 100 }]));
  if (done.length < 3) return `${done.length} of 3 paths tried`;
  const best = findArmPath(done);
  if (!best) return '';
  const at = `Furthest at ${Math.round(best.belowDeg)}° below level: ${(best.behindM * 100).toFixed(1)} cm behind.`;
  return best.source === 'edge' ? `${at} That is the last path tried: try one further.` : at;
}

/** The rear-deltoid path test, step by step and side by side. */
export function ArmPathForm({ form }: { readonly form: UseFormReturnType<ClientValues> }) {
  return (
    <div className={styles.armPath}>
      {SIDES.map((side) => (
        <fieldset key={side}>
          <legend>{side} arm</legend>
          {form.values.armPath[side].map((t, i) => (
            <NumberInput
              key={t.belowDeg}
              label={t.belowDeg === 0 ? 'Level with the shoulder' : `${t.belowDeg}° below level`}
              aria-label={`Elbow behind the back, ${side}, ${t.belowDeg} degrees below level`}
              suffix=" cm"
              decimalScale={1}
              allowNegative
              {...form.getInputProps(`armPath.${side}.${i}.behindCm`)}
            />
          ))}
          <p className={styles.result} data-testid={`arm-path-${side}`} role="status">
            {resultText(form.values.armPath[side])}
          </p>
        </fieldset>
      ))}
    </div>
  );
}

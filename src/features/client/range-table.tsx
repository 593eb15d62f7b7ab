'use client';
import { SIDES } from '@/core/body/side';
import { NumberInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { RANGE_NAMES, RANGE_NORM_DEG } from '@/core/body/active-range';
import { RANGE_LABEL } from '@/messages/measures';
import type { ClientValues } from './client-form-values';
import styles from './client.module.css';

/** Active range left and right beside the norm; a difference between the sides shows as a difference in length. */
export function RangeTable({ form }: { readonly form: UseFormReturnType<ClientValues> }) {
  const { rangeDeg } = form.values;
  return (
    <table className={styles.ranges}>
      <thead>
        <tr>
          <td />
          {SIDES.map((s) => (
            <th key={s} scope="col">
              {s}
            </th>
          ))}
          <th scope="col">norm</th>
        </tr>
      </thead>
      <tbody>
        {RANGE_NAMES.map((n) => (
          <tr key={n}>
            <th scope="row">{RANGE_LABEL[n]}</th>
            {SIDES.map((side) => {
              const value = rangeDeg[side][n];
              return (
                <td key={side}>
                  <NumberInput
                    aria-label={`${RANGE_LABEL[n]}, ${side}`}
                    suffix="°"
                    value={value}
                    error={form.errors[`rangeDeg.${side}.${n}`]}
                    onChange={(v) =>
                      form.setFieldValue('rangeDeg', {
                        ...rangeDeg,
                        [side]: { ...rangeDeg[side], [n]: typeof v === 'number' ? v : '' },
                      } as never)
                    }
                  />
                  <span className={styles.rangeBar} aria-hidden>
                    {value !== '' && <span style={{ width: `${Math.min(100, (value / RANGE_NORM_DEG[n]) * 100)}%` }} />}
                  </span>
                </td>
              );
            })}
            <td className={styles.norm}>{RANGE_NORM_DEG[n]}°</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

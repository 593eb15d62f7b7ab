'use client';
import { SIDES } from '@/core/body/side';
import { NumberInput, Table } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { RANGE_NAMES, RANGE_NORM_DEG } from '@/core/body/active-range';
import { RANGE_LABEL } from '@/messages/measures';
import type { ClientValues } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

/** Active range left and right beside the norm; a difference between the sides shows as a difference in length. */
export function RangeTable({ form }: { readonly form: UseFormReturnType<ClientValues> }) {
  const { rangeDeg } = form.values;
  return (
    <Table className={styles.ranges}>
      <Table.Thead>
        <Table.Tr>
          <Table.Td />
          {SIDES.map((s) => (
            <Table.Th key={s} scope="col">
              {s}
            </Table.Th>
          ))}
          <Table.Th scope="col">{WORDS.norm}</Table.Th>
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {RANGE_NAMES.map((n) => (
          <Table.Tr key={n}>
            <Table.Th scope="row">{RANGE_LABEL[n]}</Table.Th>
            {SIDES.map((side) => {
              const value = rangeDeg[side][n];
              return (
                <Table.Td key={side}>
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
                </Table.Td>
              );
            })}
            <Table.Td className={styles.norm}>{RANGE_NORM_DEG[n]}°</Table.Td>
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

'use client';
import { SIDES, type Side } from '@/core/body/side';
import { NumberInput, Table } from '@mantine/core';
import { memo, type ReactNode } from 'react';
import { RANGE_NAMES, RANGE_NORM_DEG, type RangeName } from '@/core/body/active-range';
import { useLatest } from '@/features/shell/use-latest';
import { RANGE_LABEL } from '@/messages/measures';
import type { ClientValues, SetValue } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

type OnType = (side: Side, name: RangeName, value: number | '') => void;

interface RangeRowProps {
  readonly name: RangeName;
  readonly left: number | '';
  readonly right: number | '';
  readonly leftError: ReactNode;
  readonly rightError: ReactNode;
  readonly onType: OnType;
}

/** A motion, left and right beside the norm. There are many: each is drawn anew only when something of it changes. */
const RangeRow = memo(function RangeRow({ name, left, right, leftError, rightError, onType }: RangeRowProps) {
  const sides = { left: [left, leftError], right: [right, rightError] } as const;
  return (
    <Table.Tr>
      <Table.Th scope="row">{RANGE_LABEL[name]}</Table.Th>
      {SIDES.map((side) => {
        const [value, error] = sides[side];
        return (
          <Table.Td key={side}>
            <NumberInput
              aria-label={`${RANGE_LABEL[name]}, ${side}`}
              suffix="°"
              value={value}
              error={error}
              onChange={(v) => onType(side, name, typeof v === 'number' ? v : '')}
            />
            <span className={styles.rangeBar} aria-hidden>
              {value !== '' && <span style={{ width: `${Math.min(100, (value / RANGE_NORM_DEG[name]) * 100)}%` }} />}
            </span>
          </Table.Td>
        );
      })}
      <Table.Td className={styles.norm}>{RANGE_NORM_DEG[name]}°</Table.Td>
    </Table.Tr>
  );
});

interface Props {
  readonly rangeDeg: ClientValues['rangeDeg'];
  readonly errors: Readonly<Record<string, ReactNode>>;
  readonly set: SetValue;
}

/** Active range left and right beside the norm; a difference between the sides shows as a difference in length. */
export const RangeTable = memo(function RangeTable({ rangeDeg, errors, set }: Props) {
  // Whole: the name of a motion has a dot in it, which a path would take for a step.
  const onType = useLatest<Parameters<OnType>>((side, name, value) =>
    set('rangeDeg', { ...rangeDeg, [side]: { ...rangeDeg[side], [name]: value } }, `rangeDeg.${side}.${name}`),
  );
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
          <RangeRow
            key={n}
            name={n}
            left={rangeDeg.left[n]}
            right={rangeDeg.right[n]}
            leftError={errors[`rangeDeg.left.${n}`]}
            rightError={errors[`rangeDeg.right.${n}`]}
            onType={onType}
          />
        ))}
      </Table.Tbody>
    </Table>
  );
});

'use client';
import { NativeSelect, Table } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { memo } from 'react';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { Comparison, ShownComparison } from './comparison';
import styles from './setup.module.css';
import { percent } from '@/messages/numbers';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly comparisons: readonly Comparison[];
  readonly chosen: string;
  readonly comparison: ShownComparison | null;
  /** This set-up's, for beside the comparison; null without one. */
  readonly own: LineMetrics | null;
  readonly onChoose: (key: string) => void;
}

const ROWS: readonly (readonly [string, (m: LineMetrics) => string])[] = [
  [WORDS.offTheLine, (m) => `${m.offPlaneRmsDeg.toFixed(1)}°`],
  [WORDS.hardestAt, (m) => percent(m.peakAt)],
  ['peak', (m) => `${Math.round(m.peakResistanceNm)} Nm`],
  [WORDS.loadedOver, (m) => percent(m.loadedShare)],
  ['rests', (m) => percent(m.restShare)],
];

/**
 * Lay another set-up or practice beside this one: dashed on the curve, a ghost in the drawing, numbers side by side.
 */
export const ComparisonPanel = memo(function ComparisonPanel({
  comparisons,
  chosen,
  comparison,
  own,
  onChoose,
}: Props) {
  const mounted = useMounted();
  return (
    <fieldset className={styles.tool} disabled={!mounted}>
      <NativeSelect
        label={WORDS.besideIt}
        value={chosen}
        data={[{ value: '', label: WORDS.nothing }, ...comparisons.map((r) => ({ value: r.key, label: r.label }))]}
        onChange={(e) => onChoose(e.currentTarget.value)}
      />
      {chosen !== '' && !comparison && <p role="status">{WORDS.thatHasNoSetUp}</p>}
      {comparison && own && (
        <Table className={styles.beside} data-testid="beside">
          <Table.Thead>
            <Table.Tr>
              <Table.Td />
              <Table.Th scope="col">{WORDS.now}</Table.Th>
              <Table.Th scope="col">{WORDS.beside}</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {ROWS.map(([name, of]) => (
              <Table.Tr key={name}>
                <Table.Th scope="row">{name}</Table.Th>
                <Table.Td>{of(own)}</Table.Td>
                <Table.Td>{of(comparison.metrics)}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
    </fieldset>
  );
});

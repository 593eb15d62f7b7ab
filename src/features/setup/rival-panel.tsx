'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { memo } from 'react';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { Rival, ShownRival } from './rival';
import styles from './setup.module.css';

interface Props {
  readonly rivals: readonly Rival[];
  readonly chosen: string;
  readonly rival: ShownRival | null;
  /** This set-up's, for beside the rival; null without one. */
  readonly own: LineMetrics | null;
  readonly onChoose: (key: string) => void;
}

const percent = (s: number): string => `${Math.round(s * 100)} %`;
const ROWS: readonly (readonly [string, (m: LineMetrics) => string])[] = [
  ['off the line', (m) => `${m.offPlaneRmsDeg.toFixed(1)}°`],
  ['hardest at', (m) => percent(m.peakAt)],
  ['peak', (m) => `${Math.round(m.peakResistanceNm)} Nm`],
  ['loaded over', (m) => percent(m.loadedShare)],
  ['rests', (m) => percent(m.restShare)],
];

/** Lay another set-up or school beside this one: dashed on the curve, a ghost in the drawing, numbers side by side. */
export const RivalPanel = memo(function RivalPanel({ rivals, chosen, rival, own, onChoose }: Props) {
  const mounted = useMounted();
  if (rivals.length === 0) return null;
  return (
    <fieldset className={styles.tool} disabled={!mounted}>
      <NativeSelect
        label="Beside it"
        value={chosen}
        data={[{ value: '', label: 'nothing' }, ...rivals.map((r) => ({ value: r.key, label: r.label }))]}
        onChange={(e) => onChoose(e.currentTarget.value)}
      />
      {chosen !== '' && !rival && <p role="status">That has no set-up on this column.</p>}
      {rival && own && (
        <table className={styles.beside} data-testid="beside">
          <thead>
            <tr>
              <td />
              <th scope="col">now</th>
              <th scope="col">beside</th>
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([name, of]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td>{of(own)}</td>
                <td>{of(rival.metrics)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </fieldset>
  );
});

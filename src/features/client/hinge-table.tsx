'use client';
import { Table } from '@mantine/core';
import { memo, useState } from 'react';
import type { Body } from '@/core/body/body-model';
import { findHingeDeg, knucklesOverKneesM, SOFT_KNEES_DEG } from '@/core/fit/hinge-fit';
import { saidText } from '@/messages/numbers';
import { useSaidIn } from '@/features/shell/said-in';
import { UnitInput } from '@/features/shell/unit-input';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

const ANGLES = [60, 45, 20, 0] as const;

/**
 * The hinge by eye, in this client's own centimetres: hanging knuckles against the kneecaps, and the other way round.
 */
export const HingeTable = memo(function HingeTable({ body }: { readonly body: Body }) {
  const saidIn = useSaidIn();
  const [seenCm, setSeenCm] = useState<number | ''>('');
  const look = (['shoulderHeight', 'hipHeight', 'kneeHeight'] as const).every(
    (n) => body.height[n].source === 'measured',
  )
    ? styles.measuredNumber
    : styles.estimatedNumber;
  const seenDeg = seenCm === '' ? null : findHingeDeg(body, seenCm / 100);
  return (
    <div className={styles.hingeBox}>
      <Table className={styles.hinge}>
        <Table.Caption>{WORDS.kneesBentAboutArmsHanging(SOFT_KNEES_DEG)}</Table.Caption>
        <Table.Tbody>
          {ANGLES.map((deg) => {
            const cm = knucklesOverKneesM(body, deg) * 100;
            return (
              <Table.Tr key={deg}>
                <Table.Th scope="row">{deg === 0 ? WORDS.trunkLevel : WORDS.trunkUp(deg)}</Table.Th>
                <Table.Td className={look}>{saidText(Math.abs(Math.round(cm)), 'cm', saidIn)}</Table.Td>
                <Table.Td>{WORDS.theKneecaps(cm >= 0 ? WORDS.above : WORDS.below)}</Table.Td>
              </Table.Tr>
            );
          })}
        </Table.Tbody>
      </Table>
      <div>
        <UnitInput
          unit="cm"
          label={WORDS.knucklesAboveTheKneecapsAs}
          description={WORDS.negativeIsBelow}
          value={seenCm}
          onChange={(v) => setSeenCm(typeof v === 'number' ? v : '')}
        />
        <p className={styles.result} role="status" data-testid="hinge-seen">
          {seenCm === '' ? '' : seenDeg === null ? WORDS.noHingeWithSoftKnees : WORDS.trunkSeenUp(Math.round(seenDeg))}
        </p>
      </div>
    </div>
  );
});

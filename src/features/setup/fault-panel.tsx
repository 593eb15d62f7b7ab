'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { memo } from 'react';
import { faultsOf } from '@/core/book/entry-faults';
import type { FaultCost } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import type { BookEntry } from '@/core/book/book-entry';
import type { FaultCode } from '@/core/movement/fault-code';
import { WordedSlider } from '@/features/shell/worded-slider';
import { faultCostText, FAULT_TEXT, TOO_MUCH_FAULT, TOUCHES_DOWN } from '@/messages/faults';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

export interface ShownFault {
  readonly code: FaultCode;
  readonly size: number;
}

const STEPS = 20;

interface Props {
  readonly entry: BookEntry;
  readonly fault: ShownFault | null;
  readonly cost: FaultCost | null;
  /** Cable that this column wants out before its stack leaves the stop, metres. */
  readonly needM: number;
  readonly onFault: (f: ShownFault | null) => void;
}

/** Faults of a movement that can be laid over its pose. */
export const geometricFaults = (entry: BookEntry): FaultCode[] => faultsOf(entry).filter((f) => PERTURBATION[f]);

/** Choose a fault of this movement and slide its size: what it costs, with its curve and ghost in the drawing. */
export const FaultPanel = memo(function FaultPanel({ entry, fault, cost, needM, onFault }: Props) {
  const mounted = useMounted();
  const geometric = geometricFaults(entry);
  const p = fault ? PERTURBATION[fault.code]! : null;
  const most = p?.most ?? 1;
  return (
    <fieldset className={styles.tool} disabled={!mounted}>
      <NativeSelect
        label={WORDS.faultShown}
        value={fault?.code ?? ''}
        data={[
          { value: '', label: WORDS.noneShown },
          ...geometric.map((f) => ({ value: f, label: FAULT_TEXT[f].seen })),
        ]}
        onChange={(e) => {
          const code = e.currentTarget.value as FaultCode | '';
          onFault(code === '' ? null : { code, size: PERTURBATION[code]!.usual });
        }}
      />
      {fault && p && (
        <>
          <WordedSlider
            label={WORDS.sizeOfTheFault}
            value={Math.abs(fault.size)}
            min={0}
            max={Math.abs(most)}
            step={p.unit === 'holes' ? 1 : Math.abs(most) / STEPS}
            words={cost ? faultCostText(p, fault.size, cost) : TOO_MUCH_FAULT}
            onChange={(size) => onFault({ ...fault, size: Math.sign(most) * size })}
            quiet
          />
          <p role="status" data-testid="fault-cost">
            {cost ? faultCostText(p, fault.size, cost) : TOO_MUCH_FAULT}
            {cost?.clearanceM != null && cost.clearanceM < needM && ` ${TOUCHES_DOWN}`}
          </p>
        </>
      )}
    </fieldset>
  );
});

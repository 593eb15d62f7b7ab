'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { memo } from 'react';
import { faultsOf } from '@/core/book/entry-faults';
import type { FaultCost } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import type { BookEntry } from '@/core/book/book-entry';
import type { FaultCode } from '@/core/movement/fault-code';
import { faultCostText, FAULT_TEXT } from '@/messages/faults';
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
  readonly onFault: (f: ShownFault | null) => void;
}

/** Choose a fault of this movement and slide its size: what it costs, with its curve and ghost in the drawing. */
export const FaultPanel = memo(function FaultPanel({ entry, fault, cost, onFault }: Props) {
  const mounted = useMounted();
  const geometric = faultsOf(entry).filter((f) => PERTURBATION[f]);
  if (geometric.length === 0) return null;
  const p = fault ? PERTURBATION[fault.code]! : null;
  const most = p?.most ?? 1;
  return (
    <fieldset className={styles.tool} disabled={!mounted}>
      <NativeSelect
        label="What a fault costs"
        value={fault?.code ?? ''}
        data={[{ value: '', label: 'none shown' }, ...geometric.map((f) => ({ value: f, label: FAULT_TEXT[f].seen }))]}
        onChange={(e) => {
          const code = e.currentTarget.value as FaultCode | '';
          onFault(code === '' ? null : { code, size: PERTURBATION[code]!.usual });
        }}
      />
      {fault && p && (
        <>
          <input
            type="range"
            min={0}
            max={Math.abs(most)}
            step={p.unit === 'holes' ? 1 : Math.abs(most) / STEPS}
            value={Math.abs(fault.size)}
            aria-label="Size of the fault"
            aria-valuetext={cost ? faultCostText(p, fault.size, cost) : 'too much of it: no movement is left'}
            onChange={(e) => onFault({ ...fault, size: Math.sign(most) * Number(e.currentTarget.value) })}
          />
          <p role="status" data-testid="fault-cost">
            {cost ? faultCostText(p, fault.size, cost) : 'So much of it leaves no movement.'}
            {cost?.clearanceM != null && cost.clearanceM < 0.05 && ' The stack would touch down.'}
          </p>
        </>
      )}
    </fieldset>
  );
});

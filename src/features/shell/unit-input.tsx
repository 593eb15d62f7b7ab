'use client';
import { TextInput, type TextInputProps } from '@mantine/core';
import { useState } from 'react';
import { readLengthCm, readMassKg, type SaidIn } from '@/core/units/as-spoken';
import { otherText, saidText } from '@/messages/numbers';
import forms from './forms.module.css';
import { useSaidIn } from './said-in';

/** What is typed: a length kept in centimetres, or a mass kept in kilograms. */
export type Measured = 'cm' | 'kg';
const READ: Readonly<Record<Measured, (spoken: string, saidIn: SaidIn) => number | null>> = {
  cm: readLengthCm,
  kg: readMassKg,
};

interface Props extends Omit<TextInputProps, 'value' | 'defaultValue' | 'onChange'> {
  readonly unit: Measured;
  /** A number in the unit, '' for an empty box, or what was typed where it is neither. */
  readonly value?: unknown;
  readonly onChange?: (value: number | string) => void;
}

/**
 * A length or a mass as it is said: 178, 5'10", 82 in, 180 lb; a bare number in the units that are spoken here. The
 * other unit is echoed.
 */
export function UnitInput({ unit, value = '', onChange, onBlur, ...rest }: Props) {
  /** While it is typed it stands as typed. */
  const [typed, setTyped] = useState<string | null>(null);
  const saidIn = useSaidIn();
  const kept = typeof value === 'number' ? saidText(value, unit, saidIn) : String(value);
  const echo = typeof value === 'number' ? otherText(value, unit, saidIn) : null;
  return (
    <TextInput
      {...rest}
      inputMode="text"
      autoComplete="off"
      rightSection={echo && <span className={forms.echo}>{echo}</span>}
      rightSectionWidth={82}
      rightSectionPointerEvents="none"
      value={typed ?? kept}
      onChange={(e) => {
        const said = e.currentTarget.value;
        setTyped(said);
        onChange?.(said.trim() === '' ? '' : (READ[unit](said, saidIn) ?? said));
      }}
      onBlur={(e) => {
        setTyped(null);
        onBlur?.(e);
      }}
    />
  );
}

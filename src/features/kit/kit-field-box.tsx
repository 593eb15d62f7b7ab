'use client';
import { NativeSelect, NumberInput, Textarea, type NumberInputProps } from '@mantine/core';
import { UnitInput } from '@/features/shell/unit-input';
import type { UseFormReturnType } from '@mantine/form';
import forms from '@/features/shell/forms.module.css';
import type { KitField } from './kit-fields';
import { newRow, type KitValues } from './kit-values';
import { WORDS } from '@/messages/screens/kit';
import styles from './kit.module.css';

const suffix = (unit: string | undefined): string | undefined =>
  unit === undefined ? undefined : unit === '°' ? '°' : ` ${unit}`;

type KitForm = UseFormReturnType<KitValues>;

/** A number in its unit; a length or a mass as it is spoken. */
function NumberBox({
  unit,
  decimals = 2,
  ...own
}: Omit<NumberInputProps, 'suffix' | 'decimalScale'> & {
  readonly unit?: string | undefined;
  readonly decimals?: number;
}) {
  if (unit === 'cm' || unit === 'kg') {
    const { value, onChange, onBlur, onFocus, error, label, description } = own;
    return <UnitInput unit={unit} {...{ value, onChange, onBlur, onFocus, error, label, description }} />;
  }
  return <NumberInput suffix={suffix(unit)} decimalScale={decimals} {...own} />;
}

/** Rows of measured pairs, which grow and shrink between the fewest and the most that the piece takes. */
function RowsBox({ field, form }: { readonly field: Extract<KitField, { type: 'rows' }>; readonly form: KitForm }) {
  const path = `spec.${field.key}`;
  const rows = form.values.spec[field.key] as readonly unknown[];
  const oneOf = field.columns[0]!.label.toLowerCase();
  return (
    <div className={forms.wide}>
      {rows.map((_, i) => (
        <div key={i} className={styles.reading} data-counted={field.columns[0]!.unit === undefined || undefined}>
          {field.columns.map((c) => (
            <NumberBox key={c.key} label={c.label} unit={c.unit} {...form.getInputProps(`${path}.${i}.${c.key}`)} />
          ))}
          {rows.length > field.least && (
            <button
              type="button"
              className={styles.small}
              aria-label={WORDS.removeNumbered(oneOf, i + 1)}
              onClick={() => form.removeListItem(path, i)}
            >
              {WORDS.remove}
            </button>
          )}
        </div>
      ))}
      {rows.length < field.most && (
        <button type="button" className={styles.small} onClick={() => form.insertListItem(path, newRow(field))}>
          {field.add}
        </button>
      )}
    </div>
  );
}

/** One field of a kit sheet: a number, a choice, a list of numbers, or rows of measured pairs. */
export function KitFieldBox(props: {
  readonly field: KitField;
  readonly form: KitForm;
  readonly onChosen: (key: string, value: string) => void;
}) {
  const { field, form, onChosen } = props;
  const own = { label: field.label, description: field.hint, ...form.getInputProps(`spec.${field.key}`) };
  switch (field.type) {
    case 'number':
      return <NumberBox unit={field.unit} decimals={field.decimals ?? 0} {...own} />;
    case 'choice':
      return (
        <NativeSelect
          data={field.of.map((o) => ({ ...o }))}
          {...own}
          onChange={(e) => {
            own.onChange(e);
            onChosen(field.key, e.currentTarget.value);
          }}
        />
      );
    case 'list':
      return <Textarea className={field.wide ? forms.wide : undefined} {...own} />;
    case 'rows':
      return <RowsBox field={field} form={form} />;
  }
}

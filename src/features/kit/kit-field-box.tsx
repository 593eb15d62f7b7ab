'use client';
import { NativeSelect, NumberInput, Textarea } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import forms from '@/features/shell/forms.module.css';
import type { KitField } from './kit-fields';
import { newRow, type KitValues } from './kit-values';
import styles from './kit.module.css';

const suffix = (unit: string | undefined): string | undefined =>
  unit === undefined ? undefined : unit === '°' ? '°' : ` ${unit}`;

/** One field of a kit sheet: a number, a choice, a list of numbers, or rows of measured pairs. */
export function KitFieldBox({
  field,
  form,
  onChosen,
}: {
  readonly field: KitField;
  readonly form: UseFormReturnType<KitValues>;
  readonly onChosen: (key: string, value: string) => void;
}) {
  const path = `spec.${field.key}`;
  const props = form.getInputProps(path);
  switch (field.type) {
    case 'number':
      return (
        <NumberInput
          label={field.label}
          description={field.hint}
          suffix={suffix(field.unit)}
          decimalScale={field.decimals ?? 0}
          {...props}
        />
      );
    case 'choice':
      return (
        <NativeSelect
          label={field.label}
          description={field.hint}
          data={field.of.map((o) => ({ ...o }))}
          {...props}
          onChange={(e) => {
            props.onChange(e);
            onChosen(field.key, e.currentTarget.value);
          }}
        />
      );
    case 'list':
      return (
        <Textarea
          className={field.wide ? forms.wide : undefined}
          label={field.label}
          description={field.hint}
          {...props}
        />
      );
    case 'rows': {
      const rows = form.values.spec[field.key] as readonly unknown[];
      const oneOf = field.columns[0]!.label.toLowerCase();
      return (
        <div className={forms.wide}>
          {rows.map((_, i) => (
            <div key={i} className={styles.reading}>
              {field.columns.map((c) => (
                <NumberInput
                  key={c.key}
                  label={c.label}
                  suffix={suffix(c.unit)}
                  decimalScale={2}
                  {...form.getInputProps(`${path}.${i}.${c.key}`)}
                />
              ))}
              {rows.length > field.least && (
                <button
                  type="button"
                  className={styles.small}
                  aria-label={`Remove ${oneOf} ${i + 1}`}
                  onClick={() => form.removeListItem(path, i)}
                >
                  Remove
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
  }
}

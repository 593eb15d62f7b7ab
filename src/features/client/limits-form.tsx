'use client';
import { NativeSelect, NumberInput, TextInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { UnitInput } from '@/features/shell/unit-input';
import { LIMIT_SUBJECTS } from '@/contract/client-form';
import { LIMIT_SUBJECT_NAME } from '@/messages/measures';
import { newLimit, type ClientValues } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

/** What a clinician allows. Nothing that is solved, planned or set goes past it while it stands. */
export function LimitsForm({
  form,
  today,
}: {
  readonly form: UseFormReturnType<ClientValues>;
  readonly today: string;
}) {
  return (
    <div>
      {form.values.limits.map((l, i) => (
        <div key={i} className={styles.limit}>
          <NativeSelect
            label={WORDS.limits}
            data={LIMIT_SUBJECTS.map((s) => ({ value: s, label: LIMIT_SUBJECT_NAME[s] }))}
            {...form.getInputProps(`limits.${i}.subject`)}
          />
          <NativeSelect
            label={WORDS.side}
            data={['both', 'left', 'right']}
            {...form.getInputProps(`limits.${i}.side`)}
          />
          {l.subject.startsWith('load-') ? (
            <UnitInput unit="kg" label={WORDS.atMost} {...form.getInputProps(`limits.${i}.most`)} />
          ) : (
            <NumberInput label={WORDS.atMost} suffix="°" decimalScale={1} {...form.getInputProps(`limits.${i}.most`)} />
          )}
          <TextInput
            label={WORDS.setByRole}
            placeholder={WORDS.physiotherapist}
            {...form.getInputProps(`limits.${i}.setBy`)}
          />
          <TextInput type="date" label={WORDS.from} {...form.getInputProps(`limits.${i}.from`)} />
          <TextInput type="date" label={WORDS.untilIfItEnds} {...form.getInputProps(`limits.${i}.until`)} />
          <button type="button" aria-label={WORDS.removeLimit(i + 1)} onClick={() => form.removeListItem('limits', i)}>
            {WORDS.remove}
          </button>
        </div>
      ))}
      <button type="button" className={styles.addLimit} onClick={() => form.insertListItem('limits', newLimit(today))}>
        {WORDS.addACliniciansLimit}
      </button>
    </div>
  );
}

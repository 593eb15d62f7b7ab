'use client';
import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { MOVEMENT_IDS } from '@/core/movement/movement';
import { toFieldIssues } from '@/contract/field';
import { planFormSchema } from '@/contract/plan-form';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm, type SaveOutcome } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { MOVEMENT_NAME } from '@/messages/movements';

interface Choice {
  readonly value: string;
  readonly label: string;
}
interface Props {
  readonly choices: { readonly clients: (Choice & { readonly oneArm: boolean })[]; readonly stations: Choice[]; readonly attachments: Choice[] };
  readonly action: (typed: unknown) => Promise<SaveOutcome>;
}

/** Add a movement to today. */
export function PlanForm({ choices, action }: Props) {
  const [added, setAdded] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    {
      clientId: choices.clients[0]?.value ?? '', movement: MOVEMENT_IDS[0] as string, side: 'both', stationId: choices.stations[0]?.value ?? '', attachmentId: choices.attachments[0]?.value ?? '',
      startsAt: '', sets: 3 as number | '', reps: 12 as number | '', tempo: '3-1-2-1', loadKg: '' as number | '',
    },
    (v) => {
      const parsed = planFormSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    action,
    () => setAdded(true),
    'plan-today',
  );
  const oneArm = choices.clients.find((c) => c.value === form.values.clientId)?.oneArm ?? false;
  return (
    <details className={forms.fold}>
      <summary>Add a movement to today</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setAdded(false)}>
        <NativeSelect label="Client" data={choices.clients.map(({ value, label }) => ({ value, label }))} {...form.getInputProps('clientId')} />
        <NativeSelect label="Movement" data={MOVEMENT_IDS.map((m) => ({ value: m, label: MOVEMENT_NAME[m] }))} {...form.getInputProps('movement')} />
        <NativeSelect label="Working" description={oneArm ? 'one arm first: does not feel a region yet' : undefined} data={[{ value: 'both', label: 'both arms' }, { value: 'left', label: 'left arm' }, { value: 'right', label: 'right arm' }]} {...form.getInputProps('side')} />
        <NativeSelect label="Columns" data={choices.stations} {...form.getInputProps('stationId')} />
        <NativeSelect label="Handle" data={choices.attachments} {...form.getInputProps('attachmentId')} />
        <TextInput label="Starts" placeholder="14:30" {...form.getInputProps('startsAt')} />
        <NumberInput label="Sets" {...form.getInputProps('sets')} />
        <NumberInput label="Reps" {...form.getInputProps('reps')} />
        <TextInput label="Tempo: lowering-pause-lifting-pause" {...form.getInputProps('tempo')} />
        <NumberInput label="Stack, each side, kg" {...form.getInputProps('loadKg')} />
        {trouble && (
          <p className={forms.trouble} role="alert">
            {trouble}
          </p>
        )}
        <Button type="submit" loading={busy} className={forms.save}>
          Add to today
        </Button>
        {added && (
          <p className={forms.saved} role="status">
            Added
          </p>
        )}
      </SheetForm>
    </details>
  );
}

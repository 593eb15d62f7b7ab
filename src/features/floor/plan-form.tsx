'use client';
import type { SaveResult } from '@/contract/save-result';
import { Button, NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { BOOK, findEntry } from '@/core/book/book';
import { GROUPS } from '@/core/book/book-entry';
import { toFieldIssues } from '@/contract/field';
import type { Choice, PlanChoices } from '@/contract/views/plan';
import { planFormSchema } from '@/contract/plan-form';
import type { LoadUnit } from '@/core/units/mass';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { GROUP_NAME, movementName } from '@/messages/book';
import { loadLabel } from '@/messages/loads';

interface Props {
  readonly choices: PlanChoices;
  readonly action: (typed: unknown) => Promise<SaveResult>;
  /** What another place asked to be planned. */
  readonly asked: { readonly movement: string; readonly variantId: string; readonly clientId: string } | null;
}

/** What a movement usually is planned with, on what is here. */
function usualPlan(movement: string, choices: PlanChoices) {
  const e = findEntry(movement)!;
  const handle =
    e.load.kind === 'cable'
      ? choices.attachments.find((a) => e.load.kind === 'cable' && e.load.attachments.includes(a.kind))
      : undefined;
  return {
    movement,
    side: e.hands === 'two' ? 'both' : 'right',
    reps: e.reps.max as number | '',
    tempo: e.tempo,
    variantId: '',
    stationId: e.load.kind === 'cable' ? (choices.stations[0]?.value ?? '') : '',
    attachmentId: e.load.kind === 'cable' ? (handle?.value ?? choices.attachments[0]?.value ?? '') : '',
  };
}

const plainChoice = ({ value, label }: Choice): Choice => ({ value, label });
const MOVEMENTS = GROUPS.map((g) => ({
  group: GROUP_NAME[g],
  items: BOOK.filter((e) => e.group === g).map((e) => ({ value: e.id, label: movementName(e.id) })),
}));

/** Add a movement to today. */
export function PlanForm({ choices, action, asked }: Props) {
  const [added, setAdded] = useState(false);
  const initial = {
    ...usualPlan(asked?.movement ?? 'cable-fly-level', choices),
    clientId: asked?.clientId || (choices.clients[0]?.value ?? ''),
    startsAt: '',
    sets: 3 as number | '',
    load: '' as number | '',
    ...(asked ? { variantId: asked.variantId } : {}),
  };
  /** What the load is stamped in where it will be lifted. */
  const unitOf = (v: typeof initial): LoadUnit => {
    if (findEntry(v.movement)!.load.kind === 'cable')
      return choices.stations.find((s) => s.value === v.stationId)?.unit ?? 'kg';
    return choices.clients.find((c) => c.value === v.clientId)?.inPounds.includes(v.movement) ? 'lb' : 'kg';
  };
  const typed = (v: typeof initial) => ({ ...v, unit: unitOf(v) });
  const { form, onSubmit, busy, trouble } = useSavedForm(
    initial,
    (v) => {
      const parsed = planFormSchema.safeParse(typed(v));
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => action(typed(v)),
    () => setAdded(true),
    asked ? null : 'plan-today',
  );
  const { values } = form;
  const oneArm = choices.clients.find((c) => c.value === values.clientId)?.oneArm ?? false;
  const entry = findEntry(values.movement)!;
  const sweep = entry.path.kind === 'sweep';
  const sides = sweep ? ['both', 'left', 'right'] : entry.hands === 'two' ? ['both'] : ['left', 'right'];
  const variants = choices.variants.filter((v) => v.movement === values.movement);
  const handles = choices.attachments.filter(
    (a) => entry.load.kind !== 'cable' || a.kind === 'own' || entry.load.attachments.includes(a.kind),
  );
  const label = loadLabel(entry, values.side === 'both' ? 'both' : 'right');
  return (
    <details className={forms.fold} id="plan" open={asked !== null || undefined}>
      <summary>Add a movement to today</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setAdded(false)}>
        <NativeSelect label="Client" data={choices.clients.map(plainChoice)} {...form.getInputProps('clientId')} />
        <NativeSelect
          label="Movement"
          data={MOVEMENTS}
          {...form.getInputProps('movement')}
          onChange={(e) =>
            form.setValues({ ...usualPlan(e.currentTarget.value, choices), load: label === null ? '' : values.load })
          }
        />
        {variants.length > 0 && (
          <NativeSelect
            label="Done"
            data={[{ value: '', label: 'as in the book' }, ...variants.map(plainChoice)]}
            {...form.getInputProps('variantId')}
          />
        )}
        {sides.length > 1 && (
          <NativeSelect
            label="Working"
            description={oneArm && sweep ? 'one arm first: does not feel a region yet' : undefined}
            data={sides.map((s) => ({
              value: s,
              label: s === 'both' ? 'both arms' : `${s} ${sweep ? 'arm' : 'side'}`,
            }))}
            {...form.getInputProps('side')}
          />
        )}
        {entry.load.kind === 'cable' && (
          <>
            <NativeSelect
              label="Columns"
              data={choices.stations.map(plainChoice)}
              {...form.getInputProps('stationId')}
            />
            <NativeSelect
              label="Handle"
              description={handles.length === 0 ? 'none here is made for it' : undefined}
              data={(handles.length > 0 ? handles : choices.attachments).map(plainChoice)}
              {...form.getInputProps('attachmentId')}
            />
          </>
        )}
        <TextInput label="Starts" placeholder="14:30" {...form.getInputProps('startsAt')} />
        <NumberInput label="Sets" {...form.getInputProps('sets')} />
        <NumberInput label="Reps" {...form.getInputProps('reps')} />
        <TextInput
          label="Tempo: lowering-pause-lifting-pause"
          inputWrapperOrder={['label', 'input', 'description', 'error']}
          description="may go on: “, lower first” or “, 30-65deg: 4s”"
          {...form.getInputProps('tempo')}
        />
        {label ? <NumberInput label={`${label}, ${unitOf(values)}`} {...form.getInputProps('load')} /> : null}
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

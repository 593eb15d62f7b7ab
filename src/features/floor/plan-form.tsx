'use client';
import type { SaveResult } from '@/contract/save-result';
import { NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { BOOK, findEntry } from '@/core/book/book';
import { GROUPS, usesBand, type BookEntry } from '@/core/book/book-entry';
import { toFieldIssues } from '@/contract/field';
import type { Choice, PlanChoices } from '@/contract/views/plan';
import { PLANNED_SIDES, planFormSchema, type PlannedSides } from '@/contract/plan-form';
import { SIDES } from '@/core/body/side';
import type { LoadUnit } from '@/core/units/mass';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { GROUP_NAME, movementName } from '@/messages/book';
import { loadLabel } from '@/messages/loads';
import { WORDS } from '@/messages/screens/floor';

export interface PlanFormProps {
  readonly choices: PlanChoices;
  readonly action: (typed: unknown, key: string) => Promise<SaveResult>;
  /** Who is next on the floor, and is likely to be meant; null where nobody is, or where it is added to a session. */
  readonly nextClientId: string | null;
  /** What another place asked to be planned. */
  readonly asked: { readonly movement: string; readonly variantId: string; readonly clientId: string } | null;
  /** The session that it is added to; null for the one of today. */
  readonly into: { readonly sessionId: string; readonly clientId: string } | null;
  /** A movement was added: where the client trains may have changed. */
  readonly onAdded: () => void;
}

/** The movement chosen: only those of the book are offered. */
const entryAt = (movement: string): BookEntry => findEntry(movement)!;

/** What a movement usually is planned with, on what is here. */
function usualPlan(movement: string, choices: PlanChoices) {
  const e = entryAt(movement);
  const handle =
    e.load.kind === 'cable'
      ? choices.attachments.find((a) => e.load.kind === 'cable' && e.load.attachments.includes(a.kind))
      : undefined;
  return {
    movement,
    side: e.hands === 'two' ? 'both' : 'each',
    reps: e.reps.max as number | '',
    tempo: e.tempo,
    variantId: '',
    stationId: e.load.kind === 'cable' ? (choices.stations[0]?.value ?? '') : '',
    attachmentId: e.load.kind === 'cable' ? (handle?.value ?? choices.attachments[0]?.value ?? '') : '',
    bandId: usesBand(e) ? (choices.bands[0]?.value ?? '') : '',
  };
}

/** What the load is of, as it is asked for; null where none is entered. */
const loadOf = (v: { readonly movement: string; readonly side: string }): string | null =>
  loadLabel(entryAt(v.movement), v.side === 'both' ? 'both' : 'right');

const plainChoice = ({ value, label }: Choice): Choice => ({ value, label });
const MOVEMENTS = GROUPS.map((g) => ({
  group: GROUP_NAME[g],
  items: BOOK.filter((e) => e.group === g).map((e) => ({ value: e.id, label: movementName(e.id) })),
}));

type PlanValues = ReturnType<typeof usualPlan> & {
  readonly clientId: string;
  readonly sessionId: string;
  readonly startsAt: string;
  readonly sets: number | '';
  readonly load: number | '';
};

/** What the load is stamped in where it will be lifted. */
function unitOf(v: PlanValues, choices: PlanChoices): LoadUnit {
  if (entryAt(v.movement).load.kind === 'cable')
    return choices.stations.find((s) => s.value === v.stationId)?.unit ?? 'kg';
  return choices.clients.find((c) => c.value === v.clientId)?.inPounds.includes(v.movement) ? 'lb' : 'kg';
}

/** The form as another place asked for it, or as it usually is. */
function usePlanForm({ choices, action, nextClientId, asked, into }: PlanFormProps, onAdded: () => void) {
  const likely = choices.clients.find((c) => c.value === nextClientId) ?? choices.clients[0];
  const initial: PlanValues = {
    ...usualPlan(asked?.movement ?? 'cable-fly-level', choices),
    clientId: into?.clientId ?? (asked?.clientId || (likely?.value ?? '')),
    sessionId: into?.sessionId ?? '',
    startsAt: '',
    sets: 3,
    load: '',
    ...(asked ? { variantId: asked.variantId } : {}),
  };
  const typed = (v: PlanValues) => ({ ...v, unit: unitOf(v, choices) });
  return useSavedForm<PlanValues>(
    initial,
    (v) => {
      const parsed = planFormSchema.safeParse(typed(v));
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v, _, key) => action(typed(v), key),
    onAdded,
    asked ? null : into ? `plan-into-${into.sessionId}` : 'plan-today',
  );
}

type PlanFields = ReturnType<typeof usePlanForm>['form'];

/** Who does what: client, movement, variant and the side that works. */
function WhoAndWhat(props: { readonly form: PlanFields; readonly choices: PlanChoices; readonly isFixed: boolean }) {
  const { form, choices, isFixed } = props;
  const { values } = form;
  const entry = entryAt(values.movement);
  const oneArm = choices.clients.find((c) => c.value === values.clientId)?.oneArm ?? false;
  const sweep = entry.path.kind === 'sweep';
  const sides: readonly PlannedSides[] = sweep ? PLANNED_SIDES : entry.hands === 'one' ? ['each', ...SIDES] : ['both'];
  const variants = choices.variants.filter((v) => v.movement === values.movement);
  return (
    <>
      {!isFixed && (
        <NativeSelect
          label={WORDS.client}
          data={choices.clients.map(plainChoice)}
          {...form.getInputProps('clientId')}
        />
      )}
      <NativeSelect
        label={WORDS.movement}
        data={MOVEMENTS}
        {...form.getInputProps('movement')}
        onChange={(e) =>
          form.setValues({
            ...usualPlan(e.currentTarget.value, choices),
            load: loadOf(values) === null ? '' : values.load,
          })
        }
      />
      {variants.length > 0 && (
        <NativeSelect
          label={WORDS.doneAs}
          data={[{ value: '', label: WORDS.asInTheBook }, ...variants.map(plainChoice)]}
          {...form.getInputProps('variantId')}
        />
      )}
      {sides.length > 1 && (
        <NativeSelect
          label={WORDS.working}
          description={oneArm && sweep ? WORDS.oneArmFirstDoesNot : undefined}
          data={sides.map((s) => ({
            value: s,
            label: s === 'both' ? WORDS.bothArms : s === 'each' ? WORDS.eachSide : `${s} ${sweep ? 'arm' : 'side'}`,
          }))}
          {...form.getInputProps('side')}
        />
      )}
    </>
  );
}

/** Which columns and handle a cable movement is done on. */
function CableChoice({ form, choices }: { readonly form: PlanFields; readonly choices: PlanChoices }) {
  const { load } = entryAt(form.values.movement);
  if (load.kind !== 'cable') return null;
  const handles = choices.attachments.filter((a) => a.kind === 'own' || load.attachments.includes(a.kind));
  return (
    <>
      <NativeSelect
        label={WORDS.columns}
        data={choices.stations.map(plainChoice)}
        {...form.getInputProps('stationId')}
      />
      <NativeSelect
        label={WORDS.handle}
        description={handles.length === 0 ? WORDS.noneHereIsMadeFor : undefined}
        data={(handles.length > 0 ? handles : choices.attachments).map(plainChoice)}
        {...form.getInputProps('attachmentId')}
      />
    </>
  );
}

/** Which band takes part of the body's weight. */
function BandChoice({ form, choices }: { readonly form: PlanFields; readonly choices: PlanChoices }) {
  if (!usesBand(entryAt(form.values.movement)) || choices.bands.length === 0) return null;
  return <NativeSelect label={WORDS.band} data={choices.bands.map(plainChoice)} {...form.getInputProps('bandId')} />;
}

/** The form that adds a movement to today. */
export function PlanForm(props: PlanFormProps) {
  const { choices, into } = props;
  const [added, setAdded] = useState(false);
  const { form, onSubmit, busy, trouble } = usePlanForm(props, () => {
    setAdded(true);
    props.onAdded();
  });
  const label = loadOf(form.values);
  return (
    <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setAdded(false)}>
      <WhoAndWhat form={form} choices={choices} isFixed={into !== null} />
      <CableChoice form={form} choices={choices} />
      <BandChoice form={form} choices={choices} />
      {!into && <TextInput label={WORDS.starts} placeholder={WORDS.now} {...form.getInputProps('startsAt')} />}
      <NumberInput label={WORDS.sets} {...form.getInputProps('sets')} />
      <NumberInput label={WORDS.reps} {...form.getInputProps('reps')} />
      <TextInput label={WORDS.tempo} description={WORDS.mayGoOnLowerFirst} {...form.getInputProps('tempo')} />
      {label && <NumberInput label={`${label}, ${unitOf(form.values, choices)}`} {...form.getInputProps('load')} />}
      <SaveRow
        label={into ? WORDS.addToSession : WORDS.addToToday}
        busy={busy}
        said={added ? WORDS.added : null}
        trouble={trouble}
      />
    </SheetForm>
  );
}

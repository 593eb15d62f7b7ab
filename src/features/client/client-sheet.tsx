'use client';
import { Button, NumberInput, Textarea, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { RANGE_NAMES, RANGE_NORM_DEG, SIDES } from '@/core/body/active-range';
import { buildBody } from '@/core/body/body-model';
import { HEIGHT_NAMES, LENGTH_NAMES, type MeasureName } from '@/core/body/segment-ratios';
import { clientFormSchema } from '@/contract/client-form';
import { findMeasureSlips } from '@/contract/body-schema';
import { toFieldIssues } from '@/contract/field';
import { useSavedForm, type SaveOutcome } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { MEASURE_LABEL, RANGE_LABEL } from '@/messages/measures';
import { BodyFigure } from './body-figure';
import { toBodyInput, toClientValues, type ClientSheetData, type ClientValues } from './client-form-values';
import styles from './client.module.css';

interface Props {
  readonly client: ClientSheetData | null;
  readonly save: (id: string | null, typed: unknown) => Promise<SaveOutcome>;
}

const check = (v: ClientValues) => {
  const parsed = clientFormSchema.safeParse(v);
  return parsed.success ? [] : toFieldIssues(parsed.error);
};

/** What fits this body: stature, what the tape says, and the figure that follows from it. */
export function ClientSheet({ client, save }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    toClientValues(client),
    check,
    (values) => save(client?.id ?? null, values),
    (id) => {
      setSaved(true);
      if (client) router.refresh();
      else router.push(`/clients/${id}`);
    },
  );
  const body = useMemo(() => {
    const input = toBodyInput(form.values);
    if (!input) return null;
    // A slip of the tape is told at its field and left out of the figure.
    const slips = new Set(findMeasureSlips(input.statureM, input.measuredM).map((s) => s.name));
    return buildBody({ ...input, measuredM: Object.fromEntries(Object.entries(input.measuredM).filter(([n]) => !slips.has(n as MeasureName))) });
  }, [form.values]);
  const estimate = (n: MeasureName): string => {
    if (!body) return '';
    const sized = n in body.height ? body.height[n as keyof typeof body.height] : body.length[n as keyof typeof body.length];
    const cm = (sized.m * 100).toFixed(1);
    return sized.source === 'measured' ? 'measured' : sized.source === 'derived' ? `follows: ${cm}` : `estimated: ${cm}`;
  };
  const measureBox = (n: MeasureName) => (
    <NumberInput
      key={n}
      id={`measure-${n}`}
      label={MEASURE_LABEL[n]}
      description={estimate(n)}
      classNames={{ description: form.values.measuredCm[n] === '' ? styles.estimatedNumber : undefined }}
      suffix=" cm"
      decimalScale={1}
      {...form.getInputProps(`measuredCm.${n}`)}
    />
  );
  return (
    <form onSubmit={onSubmit} noValidate className={styles.sheet} onChange={() => setSaved(false)}>
      <div className={styles.figure}>
        {body ? <BodyFigure body={body} onMeasure={(name) => document.getElementById(`measure-${name}`)?.focus()} /> : <p className={styles.noFigure}>Enter a stature to draw the figure.</p>}
        <p className={styles.legend}>
          <span className={styles.measuredNumber}>solid</span> measured, <span className={styles.estimatedNumber}>dashed</span> estimated from the stature or from what was measured. Tap a number to measure it.
        </p>
      </div>
      <div>
        <div className={forms.grid}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <NumberInput label="Stature" suffix=" cm" decimalScale={1} {...form.getInputProps('statureCm')} />
          <NumberInput label="Mass" suffix=" kg" decimalScale={1} {...form.getInputProps('massKg')} />
          <Textarea className={forms.wide} label="Note, shown on the floor" {...form.getInputProps('note')} />
        </div>
        <h2>Heights above the floor, standing</h2>
        <div className={styles.boxes}>{HEIGHT_NAMES.toReversed().map(measureBox)}</div>
        <h2>Lengths</h2>
        <div className={styles.boxes}>{LENGTH_NAMES.map(measureBox)}</div>
        <h2>Active range at the shoulder</h2>
        <p className={styles.hint}>How far the client takes the arm without help. The stretch of every set-up stops here.</p>
        <div className={styles.boxes}>
          {RANGE_NAMES.flatMap((n) =>
            SIDES.map((side) => (
              <NumberInput
                key={`${side}${n}`}
                label={`${RANGE_LABEL[n]}, ${side}`}
                description={`norm about ${RANGE_NORM_DEG[n]}°`}
                suffix="°"
                value={form.values.rangeDeg[side][n]}
                error={form.errors[`rangeDeg.${side}.${n}`]}
                onChange={(v) => form.setFieldValue('rangeDeg', { ...form.values.rangeDeg, [side]: { ...form.values.rangeDeg[side], [n]: typeof v === 'number' ? v : '' } } as never)}
              />
            )),
          )}
        </div>
        {trouble && (
          <p className={forms.trouble} role="alert">
            {trouble}
          </p>
        )}
        <div className={styles.saveRow}>
          <Button type="submit" loading={busy} className={forms.save}>
            Save client
          </Button>
          {saved && (
            <p className={forms.saved} role="status">
              Saved
            </p>
          )}
        </div>
      </div>
    </form>
  );
}

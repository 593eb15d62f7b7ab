'use client';
import { Button, NativeSelect, NumberInput, TextInput, Textarea } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toFieldIssues } from '@/contract/field';
import { stationFormSchema } from '@/contract/station-form';
import { useSavedForm, type SaveOutcome } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { ColumnDrawing } from './column-drawing';
import { fitOf, toStationValues, type StationSheetData, type StationValues } from './station-values';
import styles from './kit.module.css';

interface Props {
  readonly station: StationSheetData | null;
  readonly save: (id: string | null, typed: unknown) => Promise<SaveOutcome>;
}

const check = (v: StationValues) => {
  const parsed = stationFormSchema.safeParse(v);
  return parsed.success ? [] : toFieldIssues(parsed.error);
};

/** A twin column, from a tape and two holes; the fit and what is left over are shown as they are typed. */
export function StationSheet({ station, save }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(toStationValues(station), check, (values) => save(station?.id ?? null, values), (id) => {
    setSaved(true);
    if (station) router.refresh();
    else router.push(`/kit/stations/${id}`);
  });
  const { values } = form;
  const fit = useMemo(() => fitOf(values), [values]);
  return (
    <form onSubmit={onSubmit} noValidate className={styles.station} onChange={() => setSaved(false)}>
      <div>
        <div className={forms.grid}>
          <TextInput label="Name" {...form.getInputProps('name')} />
          <NumberInput label="Holes" {...form.getInputProps('holes')} />
          <NativeSelect label="Hole 1 is at the" data={['bottom', 'top']} {...form.getInputProps('numberedFrom')} />
        </div>
        <h2>Measured holes</h2>
        <p className={styles.hint}>Floor to the middle of the pulley’s pivot, with the carriage in two holes far apart. A third one shows how well they fit.</p>
        {values.readings.map((_, i) => (
          <div key={i} className={styles.reading}>
            <NumberInput label="Hole" {...form.getInputProps(`readings.${i}.hole`)} />
            <NumberInput label="Height" suffix=" cm" decimalScale={1} {...form.getInputProps(`readings.${i}.heightCm`)} />
            {values.readings.length > 2 && (
              <button type="button" className={styles.small} onClick={() => form.removeListItem('readings', i)}>
                Remove
              </button>
            )}
          </div>
        ))}
        {values.readings.length < 6 && (
          <button type="button" className={styles.small} onClick={() => form.insertListItem('readings', { hole: '', heightCm: '' })}>
            Another hole
          </button>
        )}
        <p className={styles.fit} data-testid="column-fit" role="status">
          {fit === null
            ? 'Two measured holes give the fit.'
            : fit.ok
              ? `Hole 1 at ${(fit.firstHoleM * 100).toFixed(1)} cm, ${(fit.pitchM * 100).toFixed(2)} cm from hole to hole. ${
                  fit.exact ? 'Two readings fit exactly: measure a third to check them.' : `Furthest reading ${(fit.worstResidualM * 100).toFixed(1)} cm off the fit.`
                }`
              : 'These readings make no column yet.'}
        </p>
        <h2>Cable and floor</h2>
        <div className={forms.grid}>
          <NumberInput label="Pulley to pulley" suffix=" cm" {...form.getInputProps('twinSpacingCm')} />
          <NumberInput label="Pulley ratio, stack over hand" description="2 when the hand feels half" decimalScale={2} {...form.getInputProps('pulleyRatio')} />
          <NumberInput label="Cable out before the stack lifts" suffix=" cm" {...form.getInputProps('clearanceCm')} />
          <NumberInput label="Longest cable" suffix=" cm" {...form.getInputProps('travelCm')} />
          <NumberInput label="Nearest place to stand" description="negative is behind the pulleys" suffix=" cm" {...form.getInputProps('minDistanceCm')} />
          <NumberInput label="Furthest place to stand" suffix=" cm" {...form.getInputProps('maxDistanceCm')} />
        </div>
        <h2>Stack</h2>
        <div className={styles.stack}>
          <Textarea label="Loads, each side, with spaces between" {...form.getInputProps('stack')} />
          <NativeSelect label="in" data={['kg', 'lb']} {...form.getInputProps('stackUnit')} />
        </div>
        {trouble && (
          <p className={forms.trouble} role="alert">
            {trouble}
          </p>
        )}
        <div className={styles.saveRow}>
          <Button type="submit" loading={busy} className={forms.save}>
            Save columns
          </Button>
          {saved && (
            <p className={forms.saved} role="status">
              Saved
            </p>
          )}
        </div>
      </div>
      <div className={styles.drawing}>{fit?.ok ? <ColumnDrawing values={values} fit={fit} /> : <p className={styles.hint}>The column is drawn to scale once two holes are measured.</p>}</div>
    </form>
  );
}

'use client';
import { NativeSelect, NumberInput } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import type { PlanBlockView } from '@/contract/views/session-plan';
import { entryOf } from '@/core/book/book';
import { loadForReps } from '@/core/load/one-rep-max';
import { findNearestStep } from '@/core/load/stack-steps';
import { AIM_PRESETS, MOST_AIMS, type AimBlock } from '@/core/tempo/set-aims';
import type { LoadUnit } from '@/core/units/mass';
import { loadNumber, loadText, spreadText } from '@/messages/loads';
import { suggestedText } from '@/messages/plan';
import { RESERVE_TEXT } from '@/messages/schemes';
import { AIMS as WORDS } from '@/messages/screens/plan';
import styles from './plan.module.css';

/** Sets that are alike, as typed. */
export interface AimRow {
  readonly sets: number | '';
  readonly reps: number | '';
  /** Reps kept at their end; empty: nothing is asked. */
  readonly reserve: string;
  /** Empty: the movement's own load. */
  readonly load: number | '';
}

/** Sets that are alike, as they would be typed. */
export const rowOf = ({ sets, reps, reserve, loadG }: AimBlock, unit: LoadUnit): AimRow => ({
  ...{ sets, reps, reserve: reserve === null ? '' : String(reserve) },
  load: loadG === null ? '' : Number(loadNumber(loadG, unit)),
});

/** What a form of planned sets holds. */
export type PlannedValues = {
  readonly tempo: string;
  readonly load: number | '';
  readonly unit: LoadUnit;
  readonly aims: readonly AimRow[];
};
type Form = UseFormReturnType<PlannedValues>;

/** Rows as they are shown: a single one has the movement's load, which is its own where it had one. */
export function oneLoad(rows: readonly AimRow[], load: number | ''): Pick<PlannedValues, 'aims' | 'load'> {
  const [only] = rows;
  if (rows.length !== 1 || only!.load === '') return { aims: [...rows], load };
  return { aims: [{ ...only!, load: '' }], load: only!.load };
}

/** What the newest set says of the load for some sets: its spread, and the nearest load that is there. */
function Suggested(props: {
  readonly block: PlanBlockView;
  readonly row: AimRow;
  readonly onTake: (load: number) => void;
}) {
  const { block, row, onTake } = props;
  const { lifted, stepsG, unit } = block;
  const good = lifted && loadForReps(lifted.loadG, lifted.reps, Number(row.reps) + Number(row.reserve));
  // The nearest that is there, and none that is heavier than any of the formulas says.
  const fitting = good ? stepsG.filter((s) => s <= good.most) : [];
  const nearest = good && findNearestStep(fitting.length > 0 ? fitting : stepsG, good.middle);
  if (!lifted || !good || nearest === null) return null;
  return (
    <div className={styles.suggested}>
      <span data-estimated>{suggestedText(spreadText(good, unit), lifted.says)}</span>
      <button type="button" className={styles.deed} onClick={() => onTake(Number(loadNumber(nearest, unit)))}>
        {WORDS.take(loadText(nearest, unit))}
      </button>
    </div>
  );
}

/** One row: sets, reps, how near to failure, and a load of its own. */
function Row({ block, form, k }: { readonly block: PlanBlockView; readonly form: Form; readonly k: number }) {
  const { aims } = form.values;
  const row = aims[k]!;
  const several = aims.length > 1;
  const label = (what: string): string => (several ? WORDS.inRow(what, k + 1) : what);
  const at = several ? `aims.${k}.load` : 'load';
  return (
    <>
      <div className={styles.aim} data-loads={(several && block.load !== null) || undefined}>
        <NumberInput label={label(WORDS.sets)} {...form.getInputProps(`aims.${k}.sets`)} />
        <NumberInput label={label(WORDS.reps)} {...form.getInputProps(`aims.${k}.reps`)} />
        <NativeSelect
          label={label(WORDS.end)}
          data={Object.entries(RESERVE_TEXT).map(([value, text]) => ({ value, label: text }))}
          {...form.getInputProps(`aims.${k}.reserve`)}
        />
        {several && block.load !== null && (
          <NumberInput
            label={label(WORDS.load(block.unit))}
            placeholder={WORDS.same}
            {...form.getInputProps(`aims.${k}.load`)}
          />
        )}
      </div>
      <Suggested block={block} row={row} onTake={(load) => form.setFieldValue(at, load)} />
    </>
  );
}

/** Sets in rows that are alike, each with what it aims at; common ways to lay them out are a press away. */
export function AimRows({ block, form }: { readonly block: PlanBlockView; readonly form: Form }) {
  const { aims } = form.values;
  const put = (rows: readonly AimRow[]): void => form.setValues(oneLoad(rows, form.values.load));
  const preset = (blocks: readonly AimBlock[]): void => put(blocks.map((b) => rowOf(b, block.unit)));
  const reps = Number(aims[0]?.reps) || entryOf(block.movement).reps.max;
  return (
    <div className={styles.aims}>
      {aims.map((_, k) => (
        <Row key={k} {...{ block, form, k }} />
      ))}
      <div className={styles.deeds}>
        <button
          type="button"
          className={styles.deed}
          disabled={aims.length >= MOST_AIMS}
          onClick={() => put([...aims, { ...aims.at(-1)!, sets: 1 }])}
        >
          {WORDS.more}
        </button>
        {aims.length > 1 && (
          <button type="button" className={styles.deed} onClick={() => put(aims.slice(0, -1))}>
            {WORDS.fewer}
          </button>
        )}
        <button type="button" className={styles.deed} onClick={() => preset(AIM_PRESETS['hard-then-failure'](reps))}>
          {WORDS.preset['hard-then-failure']}
        </button>
        <button type="button" className={styles.deed} onClick={() => preset(AIM_PRESETS['many-then-few']())}>
          {WORDS.preset['many-then-few']}
        </button>
      </div>
    </div>
  );
}

'use client';
import { NumberInput, TextInput } from '@mantine/core';
import { toFieldIssues } from '@/contract/field';
import { entryOf } from '@/core/book/book';
import type { SaveResult } from '@/contract/save-result';
import { itemFormSchema } from '@/contract/session-form';
import type { PlanBlockView } from '@/contract/views/session-plan';
import { canTakeTurns, inTurns } from '@/core/plan/fit-session';
import type { ChangeTimes } from '@/core/plan/session-time';
import { blocksSeconds } from '@/core/plan/turns';
import { aimBlocks } from '@/core/tempo/set-aims';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { AimRows, oneLoad, rowOf, type PlannedValues } from './aim-rows';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { WORDS as PLAN } from '@/messages/screens/plan';
import { WORDS } from '@/messages/screens/week';
import styles from './plan.module.css';

/** What is done with one movement of a session, both its sides together. */
export interface BlockDeeds {
  readonly change: (itemIds: readonly string[], typed: unknown) => Promise<SaveResult>;
  readonly skip: (itemIds: readonly string[], reason: string | null) => Promise<SaveResult>;
  readonly takeOut: (itemIds: readonly string[], out: boolean) => Promise<SaveResult>;
  readonly pin: (itemIds: readonly string[], isPinned: boolean) => Promise<SaveResult>;
  readonly takeTurns: (itemId: string, withId: string) => Promise<SaveResult>;
  readonly endTurns: (itemId: string) => Promise<SaveResult>;
}

interface Props {
  readonly block: PlanBlockView;
  /** Its session's movements in their order. */
  readonly blocks: readonly PlanBlockView[];
  readonly times: ChangeTimes;
  readonly deeds: BlockDeeds;
  /** Told once it is out, so that it can be put back. */
  readonly onOut: (block: PlanBlockView) => void;
  readonly onKept: () => void;
}

/** How often and how heavy a block is planned, as it would be typed; `aims`: with other sets than are planned. */
export function plannedOf({ planned, load, unit }: PlanBlockView, aims = aimBlocks(planned)): PlannedValues {
  const rows = aims.map((a) => rowOf(a, unit));
  return { tempo: planned.tempo, unit, ...oneLoad(rows, load ?? '') };
}

/** How often and how heavy. */
function Fields({ block, deeds, onKept }: Props) {
  const { form, onSubmit, busy, trouble } = useSavedForm(
    plannedOf(block),
    (v) => {
      const parsed = itemFormSchema(entryOf(block.movement).tempo).safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => deeds.change(block.itemIds, v),
    onKept,
  );
  return (
    <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => undefined}>
      <AimRows block={block} form={form} />
      <TextInput label={WORDS.tempo} {...form.getInputProps('tempo')} />
      {block.load !== null && <NumberInput label={WORDS.load(block.unit)} {...form.getInputProps('load')} />}
      <SaveRow label={WORDS.keep} busy={busy} said={null} trouble={trouble} />
    </SheetForm>
  );
}

/** Where it stands among the others: pinned, and in turns with an opposite one. */
function Stands({ block, blocks, times, deeds }: Props) {
  const { busy, trouble, run } = useDeed();
  const at = blocks.findIndex((b) => b.id === block.id);
  const others = blocks.flatMap((b, k) => {
    if (b.isBegun || !canTakeTurns(block, b)) return [];
    const [first, second] = k < at ? [b, block] : [block, b];
    const savesS = blocksSeconds(blocks, times) - blocksSeconds(inTurns(blocks, first.id, second.id), times);
    return [{ first, second, other: b, savesS }];
  });
  const button = (key: string, label: string, does: () => Promise<SaveResult>) => (
    <button key={key} type="button" className={styles.deed} disabled={busy} onClick={() => run(does)}>
      {label}
    </button>
  );
  return (
    <>
      <h3>{PLAN.standing}</h3>
      <div className={styles.deeds}>
        {button('pin', block.isPinned ? PLAN.unpin : PLAN.pin, () => deeds.pin(block.itemIds, !block.isPinned))}
        {block.pairId !== null && button('end', PLAN.endTurns, () => deeds.endTurns(block.id))}
        {others.map(({ first, second, other, savesS }) =>
          button(other.id, PLAN.turnsWith(other.name, PLAN.savesText(savesS)), () =>
            deeds.takeTurns(first.id, second.id),
          ),
        )}
      </div>
      <p role="alert">{trouble}</p>
    </>
  );
}

/** A movement of a session, changed, skipped with a reason in a tap, or taken out of the plan. */
export function BlockChange(props: Props) {
  const { block, deeds, onOut } = props;
  const { busy, trouble, run } = useDeed();
  return (
    <div className={styles.change}>
      {block.sidesDiffer && <p>{WORDS.sidesDiffer}</p>}
      <Fields {...props} />
      {!block.isBegun && <Stands {...props} />}
      <h3>{WORDS.skipFor}</h3>
      <div className={styles.deeds}>
        {WORDS.reasons.map((reason) => (
          <button
            key={reason}
            type="button"
            className={styles.deed}
            disabled={busy}
            onClick={() => run(() => deeds.skip(block.itemIds, reason))}
          >
            {reason}
          </button>
        ))}
      </div>
      {!block.isBegun && (
        <button
          type="button"
          className={styles.deed}
          disabled={busy}
          onClick={() =>
            run(
              () => deeds.takeOut(block.itemIds, true),
              () => onOut(block),
            )
          }
        >
          {WORDS.takeOut}
        </button>
      )}
      <p role="alert">{trouble}</p>
    </div>
  );
}

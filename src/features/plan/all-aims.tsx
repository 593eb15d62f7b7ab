'use client';
import type { SaveResult } from '@/contract/save-result';
import type { PlanBlockView } from '@/contract/views/session-plan';
import { AIM_PRESETS, type AimPreset } from '@/core/tempo/set-aims';
import { useDeed } from '@/features/shell/use-deed';
import forms from '@/features/shell/forms.module.css';
import { AIMS as WORDS } from '@/messages/screens/plan';
import { plannedOf, type BlockDeeds } from './block-change';
import styles from './plan.module.css';

const PRESETS = Object.keys(AIM_PRESETS) as readonly AimPreset[];

/** Lays out the sets of some movements alike; the first that is refused ends it and is told. */
async function layOut(preset: AimPreset, blocks: readonly PlanBlockView[], change: BlockDeeds['change']) {
  let told: SaveResult = { ok: true, id: '' };
  for (const b of blocks) {
    told = await change(b.itemIds, plannedOf(b, AIM_PRESETS[preset](b.planned.reps)));
    if (!told.ok) break;
  }
  return told;
}

/** The sets of every movement of a session laid out alike: a whole back session can be one hard and one to failure. */
export function AllAims(props: { readonly blocks: readonly PlanBlockView[]; readonly change: BlockDeeds['change'] }) {
  const { busy, trouble, run } = useDeed();
  const ahead = props.blocks.filter((b) => !b.isBegun && b.skipped === null && b.rank !== 'wakes-up');
  if (ahead.length < 2) return null;
  return (
    <details className={forms.fold}>
      <summary>{WORDS.all}</summary>
      <p>{WORDS.allIntro}</p>
      <div className={styles.deeds}>
        {PRESETS.map((preset) => (
          <button
            key={preset}
            type="button"
            className={styles.deed}
            disabled={busy}
            onClick={() => run(() => layOut(preset, ahead, props.change))}
          >
            {WORDS.preset[preset]}
          </button>
        ))}
      </div>
      <p role="alert">{trouble}</p>
    </details>
  );
}

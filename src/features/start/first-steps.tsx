'use client';
import { Alert, Button } from '@mantine/core';
import type { SaveResult } from '@/contract/save-result';
import type { FirstStepView } from '@/contract/views/first-steps';
import { STEP_HREF } from '@/features/shell/first-step-places';
import styles from '@/features/shell/first-steps.module.css';
import { Link } from '@/features/shell/link';
import { useDeed } from '@/features/shell/use-deed';
import { FIRST_STEP_TEXT, FIRST_STEPS_WORDS as WORDS } from '@/messages/screens/first-steps';

type Skip = (step: string, isSkipped: boolean) => Promise<SaveResult>;

/** What can be done about a step: go there, leave it for later, take it up. */
function Ways({ view, skip }: { readonly view: FirstStepView; readonly skip: Skip }) {
  const { busy, trouble, run } = useDeed();
  const { name, go } = FIRST_STEP_TEXT[view.step];
  const isOpen = view.state === 'open';
  if (view.state === 'done' && view.step !== 'owner') return <span>{WORDS.state.done}</span>;
  return (
    <div className={styles.ways}>
      {view.state === 'done' && <span>{WORDS.state.done}</span>}
      <Link href={STEP_HREF[view.step]}>{go}</Link>
      {view.state === 'skipped' && <span>{WORDS.state.skipped}</span>}
      {view.state !== 'done' && (
        <Button
          variant="outline"
          aria-label={isOpen ? WORDS.skipNamed(name) : WORDS.againNamed(name)}
          disabled={busy}
          onClick={() => run(() => skip(view.step, isOpen))}
        >
          {isOpen ? WORDS.skip : WORDS.again}
        </Button>
      )}
      {trouble && <Alert>{trouble}</Alert>}
    </div>
  );
}

/** The steps of a new gym, what each is for, and how it stands. */
export function FirstSteps({ steps, skip }: { readonly steps: readonly FirstStepView[]; readonly skip: Skip }) {
  return (
    <>
      <p>{WORDS.text}</p>
      <ol className={styles.steps}>
        {steps.map((view, k) => (
          <li key={view.step} data-step={view.step} data-state={view.state}>
            <span className={styles.number} aria-hidden>
              {k + 1}
            </span>
            <div>
              <h2>{FIRST_STEP_TEXT[view.step].name}</h2>
              <p>{FIRST_STEP_TEXT[view.step].text}</p>
            </div>
            <Ways view={view} skip={skip} />
          </li>
        ))}
      </ol>
      {steps.every((s) => s.state !== 'open') && <p>{WORDS.over}</p>}
      <p className={styles.steps}>
        <Link href="/">{WORDS.floor}</Link>
      </p>
    </>
  );
}

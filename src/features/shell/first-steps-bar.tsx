'use client';
import { Button } from '@mantine/core';
import { usePathname, useRouter, useSearchParams } from 'next/navigation';
import { useEffect } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { FirstStepView } from '@/contract/views/first-steps';
import { Link } from '@/features/shell/link';
import { FIRST_STEP_TEXT, FIRST_STEPS_WORDS as WORDS } from '@/messages/screens/first-steps';
import { STEP_HREF } from './first-step-places';
import styles from './first-steps.module.css';
import { useDeed } from './use-deed';

/** Places that need all their room, and the list of steps itself. */
const NOT_ON = /^\/(start|set|setup|sign-in)(\/|$)/;

/** The step that a new gym is at, above the place where it is done. Nothing once all are done or left for later. */
export function FirstStepsBar({
  steps,
  skip,
}: {
  readonly steps: readonly FirstStepView[];
  readonly skip: (step: string, isSkipped: boolean) => Promise<SaveResult>;
}) {
  const here = usePathname();
  const asked = useSearchParams().toString();
  const router = useRouter();
  const { busy, run } = useDeed();
  // What was saved leads to another place, which is when a step may have become done.
  useEffect(() => router.refresh(), [router, here, asked]);
  const at = steps.findIndex((s) => s.state === 'open');
  const next = steps[at];
  if (!next || NOT_ON.test(here)) return null;
  const { name, go } = FIRST_STEP_TEXT[next.step];
  const href = STEP_HREF[next.step];
  return (
    <aside className={styles.bar} aria-label={WORDS.title}>
      <span>
        {WORDS.stepOf(at + 1, steps.length)}: <b>{name}</b>
      </span>
      {here !== href.split(/[?#]/)[0] && <Link href={href}>{go}</Link>}
      <Button variant="outline" disabled={busy} onClick={() => run(() => skip(next.step, true))}>
        {WORDS.skip}
      </Button>
      <Link href="/start">{WORDS.all}</Link>
    </aside>
  );
}

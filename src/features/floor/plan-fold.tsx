'use client';
import { useEffect, useRef, useState } from 'react';
import { WORDS } from '@/messages/screens/floor';
import forms from '@/features/shell/forms.module.css';
import type { PlanForm as Form, PlanFormProps } from './plan-form';

const load = (): Promise<typeof Form> => import('./plan-form').then((m) => m.PlanForm);

/**
 * Add a movement to today. What checks the form and knows the book is fetched when it is opened, since the day needs
 * none of it; without network it says so, and tries again when it is opened again.
 */
export function PlanFold(props: PlanFormProps) {
  const fold = useRef<HTMLDetailsElement>(null);
  const [shown, setShown] = useState<{ readonly Form: typeof Form | null; readonly failed: boolean }>({
    Form: null,
    failed: false,
  });
  const { Form: PlanForm, failed } = shown;
  const fetchForm = (): void =>
    void load().then(
      (loaded) => setShown({ Form: loaded, failed: false }),
      () => setShown({ Form: null, failed: true }),
    );
  useEffect(() => {
    // It may have been opened before the page listened, or by another place.
    if (fold.current?.open) fetchForm();
  }, []);
  return (
    <details
      ref={fold}
      className={forms.fold}
      id="plan"
      open={props.asked !== null || undefined}
      onToggle={(e) => e.currentTarget.open && !PlanForm && fetchForm()}
    >
      <summary>{props.into ? WORDS.addAMovementHere : WORDS.addAMovementToToday}</summary>
      {PlanForm ? <PlanForm {...props} /> : <p role="status">{failed ? WORDS.formNeedsNetwork : WORDS.openingForm}</p>}
    </details>
  );
}

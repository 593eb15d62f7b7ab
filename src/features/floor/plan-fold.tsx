'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PlanChoices } from '@/contract/views/plan';
import { WORDS } from '@/messages/screens/floor';
import forms from '@/features/shell/forms.module.css';
import type { PlanForm as Form, PlanFormProps } from './plan-form';

const load = (): Promise<typeof Form> => import('./plan-form').then((m) => m.PlanForm);

interface Props extends Omit<PlanFormProps, 'choices' | 'onAdded'> {
  /** What there is to choose among, asked for when the form is opened. */
  readonly find: () => Promise<SaveResult<PlanChoices>>;
}

/** The form and what there is to choose among, once both have come. */
interface Opened {
  readonly Form: typeof Form;
  readonly choices: PlanChoices;
}

/**
 * Add a movement to today. What checks the form, knows the book and lists everybody and everything is fetched when it
 * is opened, since the day needs none of it; without network it says so, and tries again when it is opened again.
 */
export function PlanFold({ find, ...props }: Props) {
  const fold = useRef<HTMLDetailsElement>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [failed, setFailed] = useState(false);
  const fetchForm = useCallback(async (): Promise<void> => {
    try {
      const [Form, found] = await Promise.all([load(), find()]);
      if (found.ok && found.kept) setOpened({ Form, choices: found.kept });
      setFailed(!found.ok);
    } catch {
      setFailed(true);
    }
  }, [find]);
  useEffect(() => {
    // It may have been opened before the page listened, or by another place.
    if (fold.current?.open) void fetchForm();
  }, [fetchForm]);
  return (
    <details
      ref={fold}
      className={forms.fold}
      id="plan"
      open={props.asked !== null || undefined}
      onToggle={(e) => e.currentTarget.open && !opened && void fetchForm()}
    >
      <summary>{props.into ? WORDS.addAMovementHere : WORDS.addAMovementToToday}</summary>
      {opened ? (
        <opened.Form {...props} choices={opened.choices} onAdded={() => void fetchForm()} />
      ) : (
        <p role="status">{failed ? WORDS.formNeedsNetwork : WORDS.openingForm}</p>
      )}
    </details>
  );
}

'use client';
import { useForm } from '@mantine/form';
import { useState, useTransition } from 'react';

export interface FormIssue {
  readonly path: string;
  readonly message: string;
}
export type SaveOutcome = { readonly ok: true; readonly id: string } | { readonly ok: false; readonly issues: readonly FormIssue[] };

/**
 * A form checked where it is kept: what is wrong comes back at its field and everything typed stays.
 * `check` gives the same issues in the browser first, so that nothing waits for the network to be told wrong.
 */
export function useSavedForm<T extends Record<string, unknown>>(initialValues: T, check: (values: T) => readonly FormIssue[], save: (values: T) => Promise<SaveOutcome>, onSaved: (id: string, reset: () => void) => void) {
  const form = useForm<T>({ mode: 'controlled', initialValues });
  const [busy, start] = useTransition();
  const [trouble, setTrouble] = useState<string | null>(null);
  const show = (issues: readonly FormIssue[]): void => {
    form.setErrors(Object.fromEntries(issues.map((i) => [i.path, i.message])));
    requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  };
  const onSubmit = form.onSubmit((values) => {
    const issues = check(values);
    if (issues.length > 0) return show(issues);
    start(async () => {
      try {
        const result = await save(values);
        setTrouble(null);
        if (result.ok) onSaved(result.id, form.reset);
        else show(result.issues);
      } catch {
        setTrouble('Not saved: the server did not answer. Everything typed is still here; try again.');
      }
    });
  });
  return { form, onSubmit, busy, trouble };
}

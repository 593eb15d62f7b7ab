'use client';
import { useForm } from '@mantine/form';
import type { FieldIssue } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import { useEffect, useRef, useState, useTransition } from 'react';
import { WORDS } from '@/messages/screens/shell';

const keyOf = (sheet: string): string => `jorvix-sheet:${sheet}`;

/** What was typed and not saved on this device; null when nothing was, or it cannot be read. */
function readDraft(sheet: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(keyOf(sheet)) ?? 'null');
  } catch {
    return null;
  }
}

function keepDraft(sheet: string, values: unknown): void {
  try {
    if (values === null) localStorage.removeItem(keyOf(sheet));
    else localStorage.setItem(keyOf(sheet), JSON.stringify(values));
  } catch {
    // A full or forbidden store costs only the draft; the form itself still stands.
  }
}

/**
 * A form checked where it is kept: what is wrong comes back at its field and everything typed stays.
 * `check` gives the same issues in the browser first, so that nothing waits for the network to be told wrong.
 * With a `sheet` name what is typed is kept on the device until it is saved, and is back when the sheet is opened
 * again.
 */
export function useSavedForm<T extends Record<string, unknown>>(
  initialValues: T,
  check: (values: T) => readonly FieldIssue[],
  save: (values: T) => Promise<SaveResult>,
  onSaved: (id: string, reset: () => void) => void,
  sheet: string | null = null,
) {
  // What the server has: what was there at first, then what was saved last.
  const [kept, setKept] = useState(initialValues);
  const [restored, setRestored] = useState(false);
  const form = useForm<T>({
    mode: 'controlled',
    initialValues,
    onValuesChange: (values) => {
      if (sheet !== null) keepDraft(sheet, JSON.stringify(values) === JSON.stringify(kept) ? null : values);
    },
  });
  const [busy, start] = useTransition();
  const [trouble, setTrouble] = useState<string | null>(null);
  // The one of the first drawing will do: it only adds to what is there, once.
  const bringBack = useRef(form.setValues);
  useEffect(() => {
    if (sheet === null) return;
    const draft = readDraft(sheet) as Partial<T> | null;
    if (draft === null || typeof draft !== 'object') return;
    bringBack.current((now) => ({ ...now, ...draft }));
    // The draft can only be read once the page runs in a browser, so this shows one step after the first drawing.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setRestored(true);
  }, [sheet]);
  const show = (issues: readonly FieldIssue[]): void => {
    form.setErrors(Object.fromEntries(issues.map((i) => [i.path, i.message])));
    requestAnimationFrame(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
  };
  const forget = (): void => {
    if (sheet !== null) keepDraft(sheet, null);
    setRestored(false);
  };
  const onSubmit = form.onSubmit((values) => {
    const issues = check(values);
    if (issues.length > 0) return show(issues);
    start(async () => {
      try {
        const result = await save(values);
        setTrouble(null);
        if (result.ok) {
          forget();
          setKept(values);
          onSaved(result.id, form.reset);
        } else show(result.issues);
      } catch {
        setTrouble(WORDS.notSavedTheServerDid);
      }
    });
  });
  const startOver = (): void => {
    form.setValues(kept);
    form.clearErrors();
    forget();
  };
  return { form, onSubmit, busy, trouble, restored, startOver };
}

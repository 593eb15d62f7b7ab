'use client';
import { useForm } from '@mantine/form';
import type { FieldIssue } from '@/contract/field';
import type { Refused, SaveResult } from '@/contract/save-result';
import { v4 as newId } from 'uuid';
import { whoIsHere } from '@/offline/who-is-here';
import { saveTroubleOf, wholeTrouble } from './save-trouble';
import { useEffect, useRef, useState, useTransition } from 'react';
import { SAVE_TROUBLE } from '@/messages/saving';

/** Drafts are of who typed them: nobody else finds them on this device. */
const keyOf = (sheet: string): string => `jorvix-sheet:${whoIsHere().accountId}:${sheet}`;

/** What was typed and not saved: when, and what the sheet was opened with. */
interface Draft {
  readonly values: object;
  readonly opened: unknown;
  readonly atMs: number;
  /** What the form's save is known by, however often it is sent. */
  readonly key?: string;
}

/** What was typed and not saved on this device; null when nothing was, or it cannot be read. */
function readDraft(sheet: string): Draft | null {
  try {
    const draft: unknown = JSON.parse(localStorage.getItem(keyOf(sheet)) ?? 'null');
    if (typeof draft !== 'object' || draft === null) return null;
    // Before drafts had an age they were what was typed and nothing else.
    return 'values' in draft && 'atMs' in draft ? (draft as Draft) : { values: draft, opened: null, atMs: 0 };
  } catch {
    return null;
  }
}

function keepDraft(sheet: string, draft: Draft | null): void {
  try {
    if (draft === null) localStorage.removeItem(keyOf(sheet));
    else localStorage.setItem(keyOf(sheet), JSON.stringify(draft));
  } catch {
    // A full or forbidden store costs only the draft; the form itself still stands.
  }
}

/** What is to be kept of typing: nothing where it stands as it was. */
const draftOf = (values: object, kept: object, opened: unknown, key: string): Draft | null =>
  JSON.stringify(values) === JSON.stringify(kept) ? null : { values, opened, atMs: Date.now(), key };

/** A sheet that others may have open too: what it was opened with, and the values that a kept one makes. */
export interface SharedSheet<T, V> {
  readonly opened: V | null;
  readonly toValues: (kept: V) => T;
}

/** What a sheet was opened with, and when what came back to it was typed. */
interface Origin<V> {
  readonly opened: V | null;
  /** Another one once it is saved: what comes after is another thing. */
  readonly key: string;
  readonly restoredMs: number | null;
}

/** A sheet as it is opened, before anything came back to it. */
const originOf = <V>(opened: V | null): Origin<V> => ({ opened, restoredMs: null, key: newId() });

/** Brings back what was typed and not saved, with what the sheet was opened with then. */
function useDraft<T, V>(
  sheet: string | null,
  setValues: (change: (now: Partial<T>) => Partial<T>) => void,
  setFrom: (change: (now: Origin<V>) => Origin<V>) => void,
): void {
  // The one of the first drawing will do: it only adds to what is there, once.
  const bringBack = useRef(setValues);
  useEffect(() => {
    if (sheet === null) return;
    const draft = readDraft(sheet);
    if (draft === null) return;
    bringBack.current((now) => ({ ...now, ...draft.values }));
    // The draft can only be read once the page runs in a browser, so this shows one step after the first drawing.
    setFrom((now) => ({
      opened: draft.opened === null ? now.opened : (draft.opened as V),
      restoredMs: draft.atMs,
      key: draft.key ?? now.key,
    }));
  }, [sheet, setFrom]);
}

/** The field that an issue is shown at: an entry of a list that is typed in one box is that box's. */
export function fieldOf(values: unknown, path: string): string {
  const steps = path.split('.');
  let at: unknown = values;
  for (let k = 0; k < steps.length;) {
    if (typeof at !== 'object' || at === null) return steps.slice(0, k).join('.');
    // A name may have dots in it, as those of motions have.
    const own = at as Record<string, unknown>;
    const ends = steps.map((_, end) => end + 1).filter((end) => end > k && steps.slice(k, end).join('.') in own);
    const end = ends.at(-1) ?? k + 1;
    at = own[steps.slice(k, end).join('.')];
    k = end;
  }
  return path;
}

/** Until what is wrong stands at its field, frames: what comes back from a save is drawn a little later. */
const FRAMES = 10;

/**
 * Tell what is wrong at its field, the first of several there, and go to the first. What no field of the form says is
 * said over it: nothing is refused without a word.
 */
function showIssues(
  form: { setErrors: (e: Record<string, string>) => void; getValues: () => unknown },
  issues: readonly FieldIssue[],
  sayOver: (text: string) => void,
): void {
  const values = form.getValues();
  const told = new Map(issues.toReversed().map((i) => [fieldOf(values, i.path), i.message] as const));
  form.setErrors(Object.fromEntries(told));
  const look = (framesLeft: number): void => {
    const unseen = [...told].filter(([field, says]) => field !== '' && !document.body.textContent?.includes(says));
    if (unseen.length > 0 && framesLeft > 0) return void requestAnimationFrame(() => look(framesLeft - 1));
    document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
    if (unseen.length > 0) sayOver(unseen.map(([field, says]) => `${field}: ${says}`).join('; '));
  };
  requestAnimationFrame(() => look(FRAMES));
}

/**
 * A form checked where it is kept: what is wrong comes back at its field and everything typed stays.
 * `check` gives the same issues in the browser first, so that nothing waits for the network to be told wrong.
 * `save` is given what the sheet was opened with, and a key that stays the same however often the same is sent, so
 * that what was saved and not heard of is not made twice. With a `sheet` name what is typed is kept on the device until
 * it is saved, and is back when the sheet is opened again.
 */
export function useSavedForm<T extends Record<string, unknown>, V = never>(
  initialValues: T,
  check: (values: T) => readonly FieldIssue[],
  save: (values: T, opened: V | null, key: string) => Promise<SaveResult<V>>,
  onSaved: (id: string, reset: () => void) => void,
  sheet: string | null = null,
  shared: SharedSheet<T, V> | null = null,
) {
  // What the server has: what was there at first, then what was saved last.
  const [kept, setKept] = useState(initialValues);
  const [from, setFrom] = useState(() => originOf<V>(shared?.opened ?? null));
  const form = useForm<T>({
    mode: 'controlled',
    initialValues,
    onValuesChange: (values) => {
      if (sheet !== null) keepDraft(sheet, draftOf(values, kept, from.opened, from.key));
    },
  });
  const [busy, start] = useTransition();
  const [trouble, setTrouble] = useState<string | null>(null);
  useDraft(sheet, form.setValues, setFrom);
  const forget = (change: Partial<Origin<V>> = {}): void => {
    if (sheet !== null) keepDraft(sheet, null);
    setFrom((now) => ({ ...now, restoredMs: null, ...change }));
  };
  /** What is kept now becomes what the sheet is opened with: with what others changed meanwhile. */
  const settle = (values: T, now: V | undefined): void => {
    const settled = now !== undefined && shared ? shared.toValues(now) : values;
    setKept(settled);
    if (settled !== values) form.setValues(settled);
    forget({ key: newId(), ...(now === undefined ? {} : { opened: now }) });
  };
  const refuse = ({ issues, next }: Refused<V>): void => {
    if (next !== undefined) setFrom((now) => ({ ...now, opened: next }));
    showIssues(form, issues, setTrouble);
  };
  const onSubmit = form.onSubmit((values) => {
    setTrouble(null);
    const issues = check(values);
    if (issues.length > 0) return showIssues(form, issues, setTrouble);
    start(async () => {
      try {
        const result = await save(values, from.opened, from.key);
        setTrouble(result.ok ? null : wholeTrouble(result));
        if (!result.ok) return refuse(result);
        settle(values, result.kept);
        onSaved(result.id, form.reset);
      } catch (error) {
        setTrouble(SAVE_TROUBLE[saveTroubleOf(error)]);
      }
    });
  });
  const startOver = (): void => {
    form.setValues(kept);
    form.clearErrors();
    forget({ opened: shared?.opened ?? null });
  };
  return { form, onSubmit, busy, trouble, restoredMs: from.restoredMs, startOver };
}

'use client';
import type { FieldIssue } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import { Alert, Button, NativeSelect, TextInput } from '@mantine/core';
import { useState, useTransition } from 'react';
import { followsArmPath, ownArmPathDeg } from '@/core/book/arm-path';
import type { BookEntry, Grip } from '@/core/book/book-entry';
import type { EntryOptions } from '@/core/book/entry-options';
import { SHORTEST_SHARE } from '@/core/book/pose-entry';
import { toFieldIssues } from '@/contract/field';
import { variantFormSchema } from '@/contract/variant-form';
import { GRIP_NAME } from '@/messages/movements';
import { SAVE_TROUBLE } from '@/messages/saving';
import { saveTroubleOf, wholeTrouble } from '../shell/save-trouble';
import { WordedSlider } from '@/features/shell/worded-slider';
import styles from './movements.module.css';
import { percent } from '@/messages/numbers';
import { WORDS } from '@/messages/screens/movements';

interface Props {
  readonly entry: BookEntry;
  readonly options: EntryOptions;
  /** The client's own arm path on the side shown, degrees; undefined where none was measured. */
  readonly armPathDeg: number | undefined;
  readonly variant: { readonly id: string; readonly name: string; readonly cue: string } | null;
  readonly onOptions: (change: Partial<EntryOptions>) => void;
  readonly keep: (typed: unknown) => Promise<SaveResult>;
  readonly onKept: (id: string) => void;
}

const tiltText = (t: number): string => (t === 0 ? 'level' : `${Math.abs(t)}° ${t > 0 ? 'down' : 'up'}`);
const tuckText = (t: number): string =>
  t === 0 ? WORDS.asInTheBook : t > 0 ? WORDS.nearerToTheSide(t) : WORDS.furtherOut(-t);

type Sliders = Pick<Props, 'entry' | 'options' | 'armPathDeg' | 'onOptions'>;

/** Along which way the limb goes: a sweep's tilt, the client's own arm path, the elbow nearer or further. */
function PathSliders({ entry, options, armPathDeg, onOptions }: Sliders) {
  const ownPath = ownArmPathDeg(entry);
  return (
    <>
      {entry.path.kind === 'sweep' && (
        <WordedSlider
          label={WORDS.sweep}
          value={options.tiltDeg}
          min={entry.path.tiltDeg.min}
          max={entry.path.tiltDeg.max}
          step={1}
          words={tiltText(options.tiltDeg)}
          onChange={(tiltDeg) => onOptions({ tiltDeg })}
        />
      )}
      {followsArmPath(entry) && ownPath !== null && (
        <WordedSlider
          label={WORDS.armPathBelowShoulderLevel}
          value={options.armPathDeg ?? armPathDeg ?? ownPath}
          min={0}
          max={45}
          step={1}
          words={
            options.armPathDeg === null
              ? `${Math.round(armPathDeg ?? ownPath)}°, ` +
                (armPathDeg === undefined ? WORDS.asInTheBook : WORDS.theClients)
              : `${options.armPathDeg}°`
          }
          onChange={(deg) => onOptions({ armPathDeg: deg })}
        />
      )}
      {entry.path.kind === 'arm' && (
        <WordedSlider
          label={WORDS.elbowAtTheFinish}
          value={options.tuckDeg}
          min={-45}
          max={45}
          step={1}
          words={tuckText(options.tuckDeg)}
          onChange={(tuckDeg) => onOptions({ tuckDeg })}
        />
      )}
    </>
  );
}

/** Which part of the range is used. */
function StopSliders({ entry, options, onOptions }: Sliders) {
  if (entry.path.kind === 'sweep') return null;
  return (
    <>
      <WordedSlider
        label={WORDS.beginAt}
        value={options.startAt}
        min={0}
        max={1 - SHORTEST_SHARE}
        step={0.05}
        words={percent(options.startAt)}
        onChange={(startAt) => onOptions({ startAt, stopAt: Math.max(options.stopAt, startAt + SHORTEST_SHARE) })}
      />
      <WordedSlider
        label={WORDS.stopAt}
        value={options.stopAt}
        min={SHORTEST_SHARE}
        max={1}
        step={0.05}
        words={percent(options.stopAt)}
        onChange={(stopAt) => onOptions({ stopAt, startAt: Math.min(options.startAt, stopAt - SHORTEST_SHARE) })}
      />
    </>
  );
}

/** A variant under its name: what was typed, and keeping it. */
function useKeeping({ entry, options, variant, keep, onKept }: Omit<Props, 'armPathDeg' | 'onOptions'>) {
  const [name, setName] = useState(variant?.name ?? '');
  const [cue, setCue] = useState(variant?.cue ?? '');
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  const [kept, setKept] = useState(false);
  const [busy, start] = useTransition();
  const submit = (id: string | null): void => {
    const typed = { id, movement: entry.id, name, cue, options };
    const parsed = variantFormSchema.safeParse(typed);
    if (!parsed.success) return setIssues(toFieldIssues(parsed.error));
    start(async () => {
      try {
        const result = await keep(typed);
        const whole = result.ok ? null : wholeTrouble(result);
        setIssues(result.ok ? [] : whole === null ? result.issues : [{ path: 'server', message: whole }]);
        setKept(result.ok);
        if (result.ok) onKept(result.id);
      } catch (error) {
        setIssues([{ path: 'server', message: SAVE_TROUBLE[saveTroubleOf(error)] }]);
      }
    });
  };
  return { name, setName, cue, setCue, issues, kept, setKept, busy, submit };
}

/** A trainer's own way: change path, grip, stops and cue, see what it does, and keep it under a name. */
export function VariantEditor(props: Props) {
  const { entry, options, variant, onOptions } = props;
  const { name, setName, cue, setCue, issues, kept, setKept, busy, submit } = useKeeping(props);
  const issue = (path: string): string | undefined =>
    issues.find((i) => i.path === path || i.path.startsWith(`${path}.`))?.message;
  const change = (c: Partial<EntryOptions>): void => {
    setKept(false);
    onOptions(c);
  };
  return (
    <details className={styles.faults} open={variant !== null || undefined}>
      <summary>{WORDS.makeItYourOwn}</summary>
      <div className={styles.editor}>
        <PathSliders {...props} onOptions={change} />
        <StopSliders {...props} onOptions={change} />
        {entry.grips.length > 1 && (
          <NativeSelect
            label={WORDS.grip}
            value={options.grip ?? entry.grips[0]}
            data={entry.grips.map((g) => ({ value: g, label: GRIP_NAME[g] }))}
            onChange={(e) => change({ grip: e.currentTarget.value as Grip })}
          />
        )}
        <TextInput
          label={WORDS.cueOneBreath}
          placeholder={WORDS.theMovementsOwn}
          value={cue}
          error={issue('cue')}
          onChange={(e) => setCue(e.currentTarget.value)}
        />
        <TextInput
          label={WORDS.nameOfYourVariant}
          value={name}
          error={issue('name')}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        {issues
          .filter((i) => i.path !== 'name' && i.path !== 'cue')
          .map((i) => (
            <Alert key={i.path} className={styles.blocked}>
              {i.message}
            </Alert>
          ))}
        <div className={styles.keep}>
          {variant && (
            <Button onClick={() => submit(variant.id)} loading={busy}>
              {WORDS.keepChanges}
            </Button>
          )}
          <Button variant={variant ? 'outline' : 'filled'} onClick={() => submit(null)} loading={busy}>
            {WORDS.keepAsANewVariant}
          </Button>
        </div>
        {kept && <p role="status">{WORDS.keptItCanBeChosen}</p>}
      </div>
    </details>
  );
}

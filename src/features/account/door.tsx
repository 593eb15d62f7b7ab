'use client';
import { Alert, Button, PasswordInput, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { DoorView } from '@/contract/views/account';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { forgetPages } from '@/offline/who-is-here';
import { WORDS } from '@/messages/screens/account';
import forms from '@/features/shell/forms.module.css';
import styles from '@/features/shell/lists.module.css';

type Save = (typed: unknown) => Promise<SaveResult>;

interface Props {
  readonly view: DoorView;
  readonly to: string;
  readonly createOwner: (typed: unknown, device: string) => Promise<SaveResult>;
  readonly signIn: Save;
  readonly signInToDemo: (accountId: string, device: string) => Promise<SaveResult>;
  readonly unlock: Save;
}

/** A name that a device can be told by. */
function deviceName(): string {
  const { phone, tablet, desk } = WORDS.deviceNames;
  const smaller = Math.min(window.screen.width, window.screen.height);
  return smaller < 500 ? phone : navigator.maxTouchPoints > 0 ? tablet : desk;
}

/** The whole page anew: it is somebody's from here on. */
const goTo = (to: string): void => location.assign(to);
const NO_CHECK = () => [];

function SignInForm({
  first,
  to,
  createOwner,
  signIn,
}: Pick<Props, 'to' | 'createOwner' | 'signIn'> & { first: boolean }) {
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { name: '', passphrase: '', device: '' },
    NO_CHECK,
    ({ device, ...typed }) => {
      const named = device.trim() || deviceName();
      return first ? createOwner(typed, named) : signIn({ ...typed, device: named });
    },
    // A new gym begins with its first steps.
    () => goTo(first && to === '/' ? '/start' : to),
  );
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => undefined}>
      <TextInput label={WORDS.yourName} autoComplete="username" {...form.getInputProps('name')} />
      <PasswordInput
        label={WORDS.passphrase}
        description={first ? WORDS.passphraseHint : undefined}
        autoComplete={first ? 'new-password' : 'current-password'}
        {...form.getInputProps('passphrase')}
      />
      <TextInput label={WORDS.device} description={WORDS.deviceHint} {...form.getInputProps('device')} />
      <SaveRow label={first ? WORDS.beginAsOwner : WORDS.signIn} busy={busy} said={null} trouble={trouble} />
    </SheetForm>
  );
}

function UnlockForm({ to, unlock, hasPin }: Pick<Props, 'to' | 'unlock'> & { hasPin: boolean }) {
  const { form, onSubmit, busy, trouble } = useSavedForm({ secret: '' }, NO_CHECK, unlock, () => goTo(to));
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => undefined}>
      <PasswordInput
        label={hasPin ? WORDS.pinOrPassphrase : WORDS.passphrase}
        inputMode={hasPin ? 'numeric' : undefined}
        autoComplete="current-password"
        {...form.getInputProps('secret')}
      />
      <SaveRow label={WORDS.goOn} busy={busy} said={null} trouble={trouble} />
    </SheetForm>
  );
}

function DemoDoor({ view, to, signInToDemo }: Pick<Props, 'view' | 'to' | 'signInToDemo'>) {
  const { busy, trouble, run } = useDeed();
  return (
    <section aria-label={WORDS.demoTitle} className={styles.narrow}>
      <p>{WORDS.demoText}</p>
      {trouble && <Alert>{trouble}</Alert>}
      {view.demo.map((d) => (
        <Button
          key={d.id}
          className={styles.goIn}
          disabled={busy}
          onClick={() =>
            run(
              () => signInToDemo(d.id, deviceName()),
              () => goTo(to),
            )
          }
        >
          {WORDS.goInAs(d.name, WORDS[d.role])}
        </Button>
      ))}
    </section>
  );
}

/** The way in: the first owner, who signs in, who comes back to a device that slept, or the demo's tap. */
export function Door(props: Props) {
  const { view } = props;
  const [other, setOther] = useState(false);
  const locked = other ? null : view.locked;
  // Whoever comes now may be somebody else: pages of the one before are not theirs.
  useEffect(() => {
    if (!locked) void forgetPages();
  }, [locked]);
  const isDemo = view.demo.length > 0;
  const title = locked ? WORDS.locked(locked.name) : view.first ? WORDS.firstTitle : WORDS.signIn;
  return (
    <div className="page">
      <h1>{title}</h1>
      {locked && <p>{WORDS.lockedText}</p>}
      {view.first && <p>{WORDS.firstText}</p>}
      {isDemo && <DemoDoor {...props} />}
      {!isDemo && locked && <UnlockForm {...props} hasPin={locked.hasPin} />}
      {!isDemo && locked && (
        <Button variant="outline" className={forms.save} onClick={() => setOther(true)}>
          {WORDS.somebodyElse}
        </Button>
      )}
      {!isDemo && !locked && <SignInForm {...props} first={view.first} />}
    </div>
  );
}

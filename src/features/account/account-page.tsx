'use client';
import { Alert, Button, PasswordInput, useMantineColorScheme } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { AccountView } from '@/contract/views/account';
import { Link } from '@/features/shell/link';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { useOutboxState } from '@/offline/use-outbox';
import { forgetPages } from '@/offline/who-is-here';
import { WORDS } from '@/messages/screens/account';
import { PRACTICE } from '@/messages/screens/practice';
import { API_TOKENS } from '@/messages/api';
import { DeviceList } from './device-list';
import { PassphraseForm } from './passphrase-form';
import { TokenList } from './token-list';
import styles from '@/features/shell/lists.module.css';

type Save = (typed: unknown) => Promise<SaveResult>;

interface Props {
  readonly view: AccountView;
  readonly signOut: () => Promise<SaveResult>;
  readonly choosePin: Save;
  readonly changePassphrase: Save;
  readonly endDevice: (id: string) => Promise<SaveResult>;
  readonly makeToken: (typed: unknown) => Promise<SaveResult<string>>;
  readonly endToken: (id: string) => Promise<SaveResult>;
}

function PinForm({ choosePin, hasPin }: Pick<Props, 'choosePin'> & { readonly hasPin: boolean }) {
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { pin: '' },
    () => [],
    choosePin,
    (_, reset) => {
      setSaved(true);
      reset();
    },
  );
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => setSaved(false)}>
      <PasswordInput
        label={WORDS.newPin}
        inputMode="numeric"
        autoComplete="off"
        maxLength={8}
        {...form.getInputProps('pin')}
      />
      <SaveRow
        outlined
        label={hasPin && form.values.pin === '' ? WORDS.noPin : WORDS.savePin}
        busy={busy}
        said={saved ? WORDS.saved : null}
        trouble={trouble}
      />
    </SheetForm>
  );
}

/** One's own account: out, PIN, devices, passphrase. */
export function AccountPage(props: Props) {
  const { view, signOut, choosePin, changePassphrase, endDevice, makeToken, endToken } = props;
  const { waiting } = useOutboxState();
  const { toggleColorScheme } = useMantineColorScheme();
  const { busy, trouble, run } = useDeed();
  // Only who is signed out leaves: without a way to the server the device would stay signed in there.
  const leave = (): void => run(signOut, () => void forgetPages().then(() => location.assign('/sign-in')));
  return (
    <>
      <p>{WORDS.signedInAs(view.name, WORDS[view.role])}</p>
      <p>
        <Link className={styles.link} href="/account/practice">
          {PRACTICE.link}
        </Link>
      </p>
      {view.role === 'owner' && (
        <p>
          {WORDS.ownersPlaces}{' '}
          <Link className={styles.link} href="/people">
            {WORDS.people}
          </Link>
          <Link className={styles.link} href="/records">
            {WORDS.toRecords}
          </Link>
        </p>
      )}
      <div className={styles.line}>
        <Button disabled={busy} onClick={leave}>
          {WORDS.signOut}
        </Button>
        <span className={styles.quiet}>{WORDS.signOutText(waiting ?? 0)}</span>
      </div>
      {trouble && <Alert>{trouble}</Alert>}
      <div className={styles.onPhone}>
        <Button variant="outline" onClick={toggleColorScheme}>
          {WORDS.dayOrNight}
        </Button>
      </div>
      <section className={styles.section} aria-label={WORDS.pin}>
        <h2>{WORDS.pin}</h2>
        <p>{WORDS.pinText}</p>
        <PinForm choosePin={choosePin} hasPin={view.devices.some((d) => d.here && d.hasPin)} />
      </section>
      <section className={styles.section} aria-label={WORDS.devices}>
        <h2>{WORDS.devices}</h2>
        <DeviceList devices={view.devices} endDevice={endDevice} />
      </section>
      <section className={styles.section} aria-label={API_TOKENS.title}>
        <h2>{API_TOKENS.title}</h2>
        <TokenList tokens={view.tokens} make={makeToken} end={endToken} />
      </section>
      {!view.demo && (
        <section className={styles.section} aria-label={WORDS.changePassphrase}>
          <h2>{WORDS.changePassphrase}</h2>
          <p>{WORDS.othersSignedOut}</p>
          <PassphraseForm own label={WORDS.newPassphrase} button={WORDS.save} save={changePassphrase} />
        </section>
      )}
    </>
  );
}

'use client';
import { Modal } from '@mantine/core';
import { useHotkeys, type HotkeyItem } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { WORDS } from '@/messages/screens/shell';
import styles from './shell.module.css';

/** A key of this page and what it does. Keys are what the keyboard types, lower case. */
export interface Shortcut {
  readonly key: string;
  readonly does: string;
  readonly run: () => void;
}

const typing = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement &&
  (t.isContentEditable || t.closest('input:not([type=range]), select, textarea, [role=dialog]') !== null);

/** The library's name of a key, alone and with Shift: on some keyboards `+` and `?` need it, on others not. */
const hotkeysOf = (key: string): string[] => {
  const name = key === '+' ? '[plus]' : key;
  return [name, `shift+${name}`];
};

/** One-letter keys of a page; `?` lists them. Nothing happens while somebody types, or with Ctrl, Alt or Meta held. */
export function useShortcuts(shortcuts: readonly Shortcut[]) {
  const [open, setOpen] = useState(false);
  const all = [...shortcuts, { key: '?', run: () => setOpen(true) }];
  useHotkeys(
    all.flatMap(({ key, run }) =>
      hotkeysOf(key).map((hotkey): HotkeyItem => [
        hotkey,
        (e) => {
          if (e.repeat || typing(e.target)) return;
          e.preventDefault();
          run();
        },
        { preventDefault: false },
      ]),
    ),
    [],
    true,
  );
  // While it is closed, the list is not drawn anew with every change of the page.
  const listed = open ? shortcuts : null;
  return useMemo(
    () => (
      <>
        <button
          type="button"
          className={styles.keysButton}
          onClick={() => setOpen(true)}
          aria-label={WORDS.keysOfThisPage}
        >
          ?
        </button>
        {listed && (
          <Modal
            opened
            onClose={() => setOpen(false)}
            title={WORDS.keysOfThisPage}
            closeButtonProps={{ 'aria-label': WORDS.close }}
          >
            <dl className={styles.keys}>
              {[...listed, { key: '?', does: WORDS.thisList }].map((s) => (
                <div key={s.key}>
                  <dt>
                    <kbd>{s.key.toUpperCase()}</kbd>
                  </dt>
                  <dd>{s.does}</dd>
                </div>
              ))}
            </dl>
          </Modal>
        )}
      </>
    ),
    [listed],
  );
}

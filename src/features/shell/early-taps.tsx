'use client';
import { useEffect, type ReactNode, type SyntheticEvent } from 'react';

/** A press, and the button, radio or checkbox that was pressed. */
interface EarlyTap {
  readonly event: Event;
  readonly on: HTMLButtonElement | HTMLInputElement;
}

declare global {
  interface Window {
    /** What was pressed before the page listened, and the end of gathering it; absent where no page began here. */
    earlyTaps?: { readonly kept: EarlyTap[]; readonly end: () => void };
  }
}

/** What was pressed too early is marked by this until it is answered. */
const MARK = 'data-early';
const PRESSED = ['button', 'input[type=radio]', 'input[type=checkbox]'].map((of) => `${of}:not(:disabled)`).join();

/**
 * Runs in the page's head, before anything that could be pressed is drawn, and therefore as text: it keeps presses
 * until the page listens. A link needs nobody, and forms take nothing before they listen (`SheetForm`).
 */
const GATHERS = `(() => {
  const kept = [];
  const stop = new AbortController();
  addEventListener('click', (event) => {
    const on = event.target instanceof Element ? event.target.closest('${PRESSED}') : null;
    if (!on) return;
    kept.push({ event, on });
    on.setAttribute('${MARK}', '');
  }, { capture: true, signal: stop.signal });
  window.earlyTaps = { kept, end: () => stop.abort() };
})()`;

/** A press is kept from the first moment that a page is in sight: its part of the head. */
export function EarlyTapsScript({ nonce }: { readonly nonce: string | undefined }) {
  // The browser gives the word of a script to nobody, so that what the server wrote always looks like another one.
  return <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: GATHERS }} />;
}

/** Presses that the page answered itself while it was waking up: what is chosen, by a change of it. */
const answered = new WeakSet<Event>();
const pressed = ({ target, nativeEvent }: SyntheticEvent): void => {
  if (!(target instanceof HTMLInputElement)) answered.add(nativeEvent);
};
const changed = ({ nativeEvent }: SyntheticEvent): void => void answered.add(nativeEvent);

/**
 * Presses each once that was pressed before the page listened, in the order in which they were pressed last. A radio or
 * a checkbox has changed before anybody heard of it; it is put back first, so that the press changes it.
 */
function answerEarlyTaps(): void {
  const { kept, end } = window.earlyTaps ?? {};
  if (!kept || !end) return;
  end();
  const left = new Set<EarlyTap['on']>();
  for (const { event, on } of kept.splice(0)) {
    on.removeAttribute(MARK);
    left.delete(on);
    if (!answered.has(event)) left.add(on);
  }
  for (const on of left) {
    if (on instanceof HTMLInputElement) on.checked = on.type === 'checkbox' && !on.checked;
    on.click();
  }
}

/** The page as a whole: once it listens, what was pressed before is pressed. */
export function EarlyTaps({ children }: { readonly children: ReactNode }) {
  useEffect(answerEarlyTaps, []);
  return (
    <div style={{ display: 'contents' }} onClickCapture={pressed} onChangeCapture={changed}>
      {children}
    </div>
  );
}

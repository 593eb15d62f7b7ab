'use client';
import { useState } from 'react';
import { ageText } from '@/messages/sheets';
import { WORDS } from '@/messages/screens/shell';
import forms from './forms.module.css';

/** Says that what was typed before and not saved is back, and offers to start from what is kept. */
export function RestoredNote({
  restoredMs,
  onStartOver,
}: {
  /** When it was typed, milliseconds; null where nothing came back. */
  readonly restoredMs: number | null;
  readonly onStartOver: () => void;
}) {
  const [nowMs] = useState(() => Date.now());
  if (restoredMs === null) return null;
  return (
    <p className={forms.restored} role="status">
      {WORDS.whatYouHadTypedHere(restoredMs > 0 ? `, ${ageText(nowMs - restoredMs)}` : '')}
      <button type="button" onClick={onStartOver}>
        {WORDS.startFromWhatIsKept}
      </button>
    </p>
  );
}

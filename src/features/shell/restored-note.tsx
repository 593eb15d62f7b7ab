'use client';
import { WORDS } from '@/messages/screens/shell';
import forms from './forms.module.css';

/** Says that what was typed before and not saved is back, and offers to start from what is kept. */
export function RestoredNote({
  restored,
  onStartOver,
}: {
  readonly restored: boolean;
  readonly onStartOver: () => void;
}) {
  if (!restored) return null;
  return (
    <p className={forms.restored} role="status">
      {WORDS.whatYouHadTypedHere}
      <button type="button" onClick={onStartOver}>
        {WORDS.startFromWhatIsKept}
      </button>
    </p>
  );
}

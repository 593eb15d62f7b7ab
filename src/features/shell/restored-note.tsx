'use client';
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
      What you had typed here and not saved is back.
      <button type="button" onClick={onStartOver}>
        Start from what is kept
      </button>
    </p>
  );
}

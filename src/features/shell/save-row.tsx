'use client';
import { Alert, Button } from '@mantine/core';
import forms from './forms.module.css';

interface Props {
  readonly label: string;
  readonly busy: boolean;
  /** What is said once it is kept; null until then. */
  readonly said: string | null;
  /** Why nothing was kept, where no field is to blame. */
  readonly trouble: string | null;
  readonly outlined?: boolean;
  /** Of a long form: it stays in sight. */
  readonly inSight?: boolean;
}

/** The foot of a form: why it was not kept, the button that keeps it, and that it is kept. */
export function SaveRow({ label, busy, said, trouble, outlined, inSight }: Props) {
  return (
    <>
      {trouble && <Alert className={forms.trouble}>{trouble}</Alert>}
      <div className={forms.saveRow} data-in-sight={inSight}>
        <Button type="submit" variant={outlined ? 'outline' : 'filled'} loading={busy} className={forms.save}>
          {label}
        </Button>
        <span className={forms.saved} role="status">
          {said}
        </span>
      </div>
    </>
  );
}

'use client';
import { useMounted } from '@mantine/hooks';
import type { FormEventHandler, ReactNode } from 'react';
import forms from './forms.module.css';

interface Props {
  readonly id?: string;
  readonly className: string | undefined;
  readonly onSubmit: FormEventHandler<HTMLFormElement>;
  readonly onChange: () => void;
  readonly children: ReactNode;
}

/** A form that takes nothing before the page listens: what was typed or chosen earlier would fall back unseen. */
export function SheetForm({ id, className, onSubmit, onChange, children }: Props) {
  const listening = useMounted();
  return (
    <form id={id} onSubmit={onSubmit} noValidate onChange={onChange}>
      <fieldset disabled={!listening} className={`${forms.bare} ${className ?? ''}`}>
        {children}
      </fieldset>
    </form>
  );
}

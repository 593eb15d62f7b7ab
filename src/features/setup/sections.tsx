'use client';
import { useLocalStorage } from '@mantine/hooks';
import { useState, type ReactNode } from 'react';
import { SECTION_NAME, type SectionId } from '@/messages/screens/setup';
import styles from './setup.module.css';

interface Props {
  /** What stands under each name; null leaves it out. */
  readonly sections: readonly (readonly [SectionId, ReactNode])[];
  /** Open at first whatever was open last; null: that. */
  readonly first: SectionId | null;
}

/**
 * What a set-up can be asked, under its names: one is open at a time, and the one that was open last is open on the
 * next set-up. What is closed is not worked out.
 */
export function Sections({ sections, first }: Props) {
  const [last, setLast] = useLocalStorage<SectionId | ''>({ key: 'bench-section', defaultValue: 'why' });
  const [here, setHere] = useState<SectionId | '' | null>(null);
  const open = here ?? first ?? last;
  const toggle = (id: SectionId): void => {
    const next = open === id ? '' : id;
    setHere(next);
    setLast(next);
  };
  return sections.map(([id, body]) =>
    body === null ? null : (
      <details key={id} className={styles.more} open={open === id} data-section={id}>
        <summary
          onClick={(e) => {
            e.preventDefault();
            toggle(id);
          }}
        >
          {SECTION_NAME[id]}
        </summary>
        {open === id && body}
      </details>
    ),
  );
}

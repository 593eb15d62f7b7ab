'use client';
import type { SaveResult } from '@/contract/save-result';
import type { WeekView } from '@/contract/views/session-plan';
import { useDeed } from '@/features/shell/use-deed';
import forms from '@/features/shell/forms.module.css';
import { WORDS } from '@/messages/screens/week';
import styles from './week.module.css';

/** Templates that a session can be made by, each with the way out of the list. */
export function TemplateList(props: { readonly week: WeekView; readonly drop: (id: string) => Promise<SaveResult> }) {
  const { week, drop } = props;
  const { busy, trouble, run } = useDeed();
  return (
    <details className={forms.fold}>
      <summary>{WORDS.templates}</summary>
      {week.templates.length === 0 && <p>{WORDS.noTemplates}</p>}
      {week.unreadable > 0 && <p>{WORDS.unreadable}</p>}
      <ul className={styles.templates}>
        {week.templates.map((t) => (
          <li key={t.id}>
            <b>{t.name}</b>
            <span>
              {WORDS.movements(t.movements.length)}, {WORDS.whose(t.forAll)}
            </span>
            {t.mayDrop && (
              <button
                type="button"
                className={styles.drop}
                disabled={busy}
                aria-label={WORDS.dropName(t.name)}
                onClick={() => run(() => drop(t.id))}
              >
                {WORDS.drop}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p role="alert">{trouble}</p>
    </details>
  );
}

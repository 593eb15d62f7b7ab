import type { BookEntry } from '@/core/book/book-entry';
import { cautionsOf } from '@/core/book/entry-cautions';
import { CAUTION } from '@/messages/cautions';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** What can hurt in this movement however it is set, always in sight. */
export function Cautions({ entry }: { readonly entry: BookEntry }) {
  const texts = cautionsOf(entry).flatMap((c) => (CAUTION[c].at === 'set' ? [CAUTION[c].text] : []));
  if (texts.length === 0) return null;
  return (
    <ul className={styles.cautions} aria-label={WORDS.cautions}>
      {texts.map((text) => (
        <li key={text}>{text}</li>
      ))}
    </ul>
  );
}

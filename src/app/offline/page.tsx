import type { Metadata } from 'next';
import { WORDS } from '@/messages/screens/pages';
import styles from '@/features/shell/shell.module.css';

export const metadata: Metadata = { title: WORDS.noNetwork };

/** Shown for a page that this device has not seen while there is no network. */
export default function OfflinePage() {
  return (
    <div className={styles.offline}>
      <h1>{WORDS.noNetworkAndThisPage}</h1>
      <p>{WORDS.setsAndSetUpsThat}</p>
    </div>
  );
}

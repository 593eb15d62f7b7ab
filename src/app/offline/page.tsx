import type { Metadata } from 'next';
import styles from '@/features/shell/shell.module.css';

export const metadata: Metadata = { title: 'No network, Jorvix' };

/** Shown for a page that this device has not seen while there is no network. */
export default function OfflinePage() {
  return (
    <div className={styles.offline}>
      <h1>No network, and this page was not opened here before</h1>
      <p>
        Sets and set-ups that were opened on this device today work without it: go back, or open one of them. Every tap
        is kept here and sent when the network returns.
      </p>
    </div>
  );
}

import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Opens the station card, a page to print. */
export function CardLink({ itemId }: { readonly itemId: string }) {
  return (
    <a className={styles.cardLink} href={`/api/v1/cards/${itemId}`} target="_blank" rel="noreferrer">
      {WORDS.stationCardToPrint}
    </a>
  );
}

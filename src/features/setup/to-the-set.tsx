import { useRouter } from 'next/navigation';
import type { MouseEvent } from 'react';
import { Link } from '@/features/shell/link';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/**
 * Goes to the set with what stands on the bench. `save` keeps it first and tells whether it could; null where nothing
 * is to be kept. It asks nothing: the set's undo takes it back.
 */
export function useToTheSet(itemId: string, save: (() => Promise<boolean>) | null): () => void {
  const router = useRouter();
  return () => {
    const go = (): void => router.push(`/set/${itemId}`);
    if (!save) return go();
    void save().then((kept) => {
      if (kept) go();
    });
  };
}

interface Props {
  readonly itemId: string;
  readonly strong: boolean;
  readonly onGo: () => void;
}

/** The way to the set: a link that can be opened elsewhere, and that takes the bench along where it is followed. */
export function ToTheSet({ itemId, strong, onGo }: Props) {
  const follow = (e: MouseEvent): void => {
    if (e.metaKey || e.ctrlKey || e.shiftKey) return;
    e.preventDefault();
    onGo();
  };
  return (
    <Link className={strong ? styles.strong : styles.plain} href={`/set/${itemId}`} onClick={follow}>
      {WORDS.toTheSet}
    </Link>
  );
}

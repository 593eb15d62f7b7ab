import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { useOutboxState } from '@/offline/use-outbox';

/**
 * Once the server has the set-up that was saved last, or its undo, the page asks for what follows from it: drops, the
 * loaded part of the rep, the rules. `savedId`: by the records here; `readId`: the one that the page was made from.
 */
export function useNewestSetup(savedId: string | null, readId: string | null): void {
  const router = useRouter();
  const { waiting } = useOutboxState();
  const behind = savedId !== readId && waiting === 0;
  useEffect(() => {
    if (behind) router.refresh();
  }, [behind, savedId, router]);
}

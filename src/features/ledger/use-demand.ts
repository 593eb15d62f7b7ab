import { useEffect, useState } from 'react';
import type { CourseView } from '@/contract/views/ledger';

/** What each session of a course asked of the target joint, newton metres; nulls until it is worked out. */
export function useDemand({ demandCase, sessions }: CourseView): readonly (number | null)[] {
  const [demands, setDemands] = useState<readonly (number | null)[]>([]);
  useEffect(() => {
    if (!demandCase) return;
    let isWanted = true;
    const lifted = sessions.map(({ loadG, placement }) => ({ loadG, placement }));
    // The mechanics are fetched when the page stands.
    void import('./course-demand')
      .then(({ demandsOf }) => demandsOf(demandCase, lifted, () => isWanted))
      .then((found) => isWanted && setDemands(found))
      .catch(() => undefined);
    return () => {
      isWanted = false;
    };
  }, [demandCase, sessions]);
  return demands;
}

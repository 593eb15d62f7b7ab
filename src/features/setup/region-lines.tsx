import type { LoadedRegion } from '@/core/book/region-of';
import { regionChangeText, regionText } from '@/messages/settings';
import styles from './setup.module.css';

/** What this set-up loads, and what would move the load elsewhere. */
export function RegionLines({ region }: { readonly region: LoadedRegion }) {
  return (
    <div className={styles.region} data-testid="region">
      <p>{regionText(region)}</p>
      {region.changes.length > 0 && (
        <ul>
          {region.changes.map((c) => (
            <li key={`${c.to}-${c.by}`}>{regionChangeText(c)}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

import type { SetupEntryView, SetupPageView } from '@/contract/views/setup-book';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

function Entry({ e }: { readonly e: SetupEntryView }) {
  return (
    <li>
      <b>{e.place}</b>
      <span>
        {e.when}
        {e.where && `, ${e.where}`}
        {e.off && WORDS.offTheSolvedOne}
      </span>
      {e.changed && <span>{e.changed}</span>}
    </li>
  );
}

/** Every set-up as it was used, newest first, left and right apart, with what changed since the one before. */
export function SetupBook({ pages }: { readonly pages: readonly SetupPageView[] }) {
  return (
    <section className={styles.setupBook} aria-labelledby="setup-book">
      <h2 id="setup-book">{WORDS.setUpBook}</h2>
      {pages.length > 0 && <p className={styles.hint}>{WORDS.olderSetUps}</p>}
      {pages.length === 0 && <p className={styles.hint}>{WORDS.nothingSavedYetWhatIs}</p>}
      {pages.map((p) => (
        <div key={p.key} data-testid="setup-page">
          <h3>{p.name}</h3>
          <ul>
            <Entry e={p.entries[0]!} />
          </ul>
          {p.entries.length > 1 && (
            <details>
              <summary>{p.entries.length === 2 ? WORDS.theOneBefore : WORDS.beforeIt(p.entries.length - 1)}</summary>
              <ul>
                {p.entries.slice(1).map((e) => (
                  <Entry key={e.id} e={e} />
                ))}
              </ul>
            </details>
          )}
        </div>
      ))}
    </section>
  );
}

import type { ComponentProps } from 'react';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import type { SaveResult } from '@/contract/save-result';
import type { KitView } from '@/contract/views/kit';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { PutAwayButton, PutAwayList, PutAwayUndo } from '@/features/shell/put-away';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { KIT_NAME } from '@/messages/kit';
import { GymForm } from './gym-form';
import styles from './kit.module.css';
import { pieceLine } from './piece-line';
import { StarterKit } from './starter-kit';
import { WORDS } from '@/messages/screens/kit';

interface Props {
  readonly view: KitView;
  readonly saveGym: ComponentProps<typeof GymForm>['save'];
  readonly addStarter: (gymId: string | null, typed: unknown, key: string) => Promise<SaveResult>;
  readonly putAway: ComponentProps<typeof PutAwayUndo>;
}

/** Pieces in use by kind, with their figures. */
function Pieces({ pieces }: Pick<KitView, 'pieces'>) {
  return (
    <>
      {KIT_KINDS.filter((k) => pieces.some((p) => p.kind === k)).map((kind) => (
        <section key={kind}>
          <h2>{KIT_NAME[kind].many}</h2>
          <ul className={forms.list}>
            {pieces
              .filter((p) => p.kind === kind)
              .map((p) => (
                <li key={p.id}>
                  <Link href={`/kit/${p.id}`}>
                    <b>{p.name}</b>
                    <span>{pieceLine(kind, p.spec)}</span>
                    <span className={p.outOfOrder ? styles.broken : styles.estimatedNumber}>
                      {p.outOfOrder ? WORDS.outOfOrder : p.asUsual ? WORDS.asUsual : ''}
                    </span>
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}

/** A gym's kit by kind, and what can be added. */
export function KitList({ view, saveGym, addStarter, putAway }: Props) {
  const { gyms, gym, pieces, unreadable } = view;
  const query = gym ? `&gym=${gym.id}` : '';
  return (
    <div className="page">
      <h1>{WORDS.kit(gym ? `, ${gym.name}` : '')}</h1>
      {gyms.length > 1 && (
        <nav className={styles.gyms} aria-label={WORDS.gyms}>
          {gyms.map((g) => (
            <Link key={g.id} href={`/kit?gym=${g.id}`} aria-current={g.id === gym?.id ? 'page' : undefined}>
              {g.name}
            </Link>
          ))}
        </nav>
      )}
      <PutAwayUndo {...putAway} />
      {pieces.length === 0 && <p>{WORDS.noKitYetACable}</p>}
      <Pieces pieces={pieces} />
      <UnreadableNote rows={unreadable} />
      {!gym && <GymForm gym={null} save={saveGym} open />}
      <h2>{WORDS.add}</h2>
      <nav className={styles.kinds} aria-label={WORDS.addKit}>
        {KIT_KINDS.map((kind) => (
          <Link key={kind} href={`/kit/new?kind=${kind}${query}`}>
            {KIT_NAME[kind].one}
          </Link>
        ))}
      </nav>
      <StarterKit
        // What is ticked is of one gym; the first gym is made by what is added, and leaves the list as it is.
        key={gyms.length > 1 ? gym?.id : undefined}
        names={pieces.map((p) => p.name)}
        add={addStarter.bind(null, gym?.id ?? null)}
        open={!pieces.some((p) => p.kind === 'attachment')}
      />
      {gym && (
        <GymForm key={gym.id} gym={gym} save={saveGym}>
          {gyms.length > 1 && (
            <PutAwayButton thing={{ kind: 'gym', id: gym.id, name: gym.name }} act={putAway.act} list="/kit" />
          )}
        </GymForm>
      )}
      {gym && <GymForm gym={null} save={saveGym} />}
      <PutAwayList things={putAway.things} act={putAway.act} />
    </div>
  );
}

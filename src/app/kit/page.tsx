import Link from 'next/link';
import { connection } from 'next/server';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import { sharedDb } from '@/data/open-db';
import { listGyms } from '@/data/queries/gyms';
import { listKit } from '@/data/queries/kit';
import { GymForm } from '@/features/kit/gym-form';
import { pieceLine } from '@/features/kit/piece-line';
import forms from '@/features/shell/forms.module.css';
import styles from '@/features/kit/kit.module.css';
import { KIT_NAME } from '@/messages/kit';
import { saveGymAction } from '../actions';

export default async function KitPage({ searchParams }: { readonly searchParams: Promise<{ gym?: string }> }) {
  await connection();
  const db = sharedDb();
  const gyms = listGyms(db);
  const asked = (await searchParams).gym;
  const gym = gyms.find((g) => g.id === asked) ?? gyms[0] ?? null;
  const pieces = gym ? listKit(db, gym.id) : [];
  const query = gym ? `&gym=${gym.id}` : '';
  return (
    <div className="page">
      <h1>Kit{gym ? `, ${gym.name}` : ''}</h1>
      {gyms.length > 1 && (
        <nav className={styles.gyms} aria-label="Gyms">
          {gyms.map((g) => (
            <Link key={g.id} href={`/kit?gym=${g.id}`} aria-current={g.id === gym?.id ? 'page' : undefined}>
              {g.name}
            </Link>
          ))}
        </nav>
      )}
      {pieces.length === 0 && <p>No kit yet. A cable column needs two measured holes and its spacing to start.</p>}
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
                    <span className={p.outOfOrder ? styles.broken : undefined}>
                      {p.outOfOrder ? 'out of order' : ''}
                    </span>
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
      <h2>Add</h2>
      <nav className={styles.kinds} aria-label="Add kit">
        {KIT_KINDS.map((kind) => (
          <Link key={kind} href={`/kit/new?kind=${kind}${query}`}>
            {KIT_NAME[kind].one}
          </Link>
        ))}
      </nav>
      {gym && <GymForm key={gym.id} gym={gym} save={saveGymAction} />}
      <GymForm gym={null} save={saveGymAction} />
    </div>
  );
}

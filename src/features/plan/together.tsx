'use client';
import type { TogetherRow, TogetherSide, TogetherView } from '@/contract/views/together';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { TOGETHER as WORDS } from '@/messages/screens/together';
import planStyles from './plan.module.css';
import styles from './together.module.css';

/** What one of the two is set up with. */
function Side({ name, side }: { readonly name: string; readonly side: TogetherSide | null }) {
  if (!side) return <div />;
  return (
    <div>
      <b>
        <Link href={`/set/${side.itemId}`}>{name}</Link>
      </b>
      <span>{side.says}</span>
      <span>{side.blocked ?? side.settings.join(', ')}</span>
    </div>
  );
}

/** One movement: both set-ups, and what is changed between them. */
function Row({ row, names }: { readonly row: TogetherRow; readonly names: TogetherView['names'] }) {
  const [a, b] = row.sides;
  return (
    <li>
      <h2>{row.name}</h2>
      <Side name={names[0]} side={a} />
      <div className={styles.between}>
        {row.seconds === null ? (
          <span>{WORDS.onlyOne(names[a ? 0 : 1])}</span>
        ) : (
          <>
            <em data-estimated>{WORDS.seconds(row.seconds)}</em>
            {row.changes.length === 0 ? <span>{WORDS.nothing}</span> : row.changes.map((c) => <b key={c}>{c}</b>)}
          </>
        )}
      </div>
      <Side name={names[1]} side={b} />
    </li>
  );
}

/** Two who share a session: movement by movement what is set for each, and what is changed between them. */
export function Together({ view }: { readonly view: TogetherView }) {
  const { names, when, rows, minutes, alone, of, sessionIds } = view;
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(names, when)}</h1>
        {sessionIds.map((id, k) => (
          <Link key={id} href={`/plan/${id}`}>
            {WORDS.toPlan(names[k]!)}
          </Link>
        ))}
      </div>
      <div className={planStyles.time}>
        <b data-estimated>{WORDS.minutes(minutes, of)}</b>
        <p>{WORDS.alone(names, alone)}</p>
      </div>
      {rows.length === 0 && <p>{WORDS.empty}</p>}
      <ol className={styles.rows}>
        {rows.map((row) => (
          <Row key={(row.sides[0] ?? row.sides[1])!.itemId} row={row} names={names} />
        ))}
      </ol>
      <button type="button" className={planStyles.deed} onClick={() => window.print()}>
        {WORDS.print}
      </button>
    </div>
  );
}

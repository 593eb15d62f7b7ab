import type { WeekView } from '@/contract/views/session-plan';
import { Link } from '@/features/shell/link';
import { CARDS } from '@/messages/card';
import { WORDS } from '@/messages/screens/week';
import styles from './week.module.css';

type Session = WeekView['days'][number]['sessions'][number];

function Line({ session: s }: { readonly session: Session }) {
  const says = [WORDS.movements(s.movements), WORDS.state[s.state]].filter(Boolean).join(', ');
  return (
    <li>
      <Link href={`/plan/${s.id}`} data-state={s.state}>
        <span className={styles.hours}>{WORDS.fromTo(s.starts, s.ends)}</span>
        <b>{s.clientName}</b>
        <span>{says}</span>
        {s.isWanted && <em>{WORDS.wanted}</em>}
      </Link>
    </li>
  );
}

/** To the weeks before and after. */
export function WeekTurn(props: {
  readonly week: Pick<WeekView, 'titled' | 'before' | 'after' | 'isThisWeek'>;
  readonly path: string;
}) {
  const { week, path } = props;
  return (
    <nav className={styles.turn} aria-label={week.titled}>
      <Link href={`${path}?week=${week.before}`}>{WORDS.before}</Link>
      {!week.isThisWeek && <Link href={path}>{WORDS.thisWeek}</Link>}
      <Link href={`${path}?week=${week.after}`}>{WORDS.after}</Link>
    </nav>
  );
}

/** A week of sessions, day beside day; each is opened by a tap, and each day takes a new one. */
export function WeekStrip({ week }: { readonly week: WeekView }) {
  return (
    <>
      <WeekTurn week={week} path="/plan" />
      <ol className={styles.week}>
        {week.days.map((d) => (
          <li key={d.day} data-today={d.isToday || undefined} data-empty={d.sessions.length === 0 || undefined}>
            <h2>
              {d.says}
              {d.isToday && <small>{WORDS.today}</small>}
            </h2>
            {d.sessions.length === 0 ? (
              <p>{WORDS.nobody}</p>
            ) : (
              <ul>
                {d.sessions.map((s) => (
                  <Line key={s.id} session={s} />
                ))}
              </ul>
            )}
            {d.sessions.length > 0 && (
              <a
                href={`/api/v1/cards/day/${d.day}`}
                className={styles.here}
                aria-label={CARDS.ofDayName(d.says)}
                target="_blank"
                rel="noreferrer"
              >
                {CARDS.ofDay}
              </a>
            )}
            <Link href={`/plan?day=${d.day}#new`} className={styles.here} aria-label={WORDS.planHereName(d.says)}>
              {WORDS.planHere}
            </Link>
          </li>
        ))}
      </ol>
    </>
  );
}

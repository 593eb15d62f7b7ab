import { Alert } from '@mantine/core';
import type { CSSProperties } from 'react';
import { Link } from '@/features/shell/link';
import { settingInLine } from '@/messages/settings';
import { FAULT_TEXT } from '@/messages/faults';
import { doneName, toSideText } from '@/messages/book';
import { KeepAhead } from '@/offline/keep-pages';
import { WantedStations, type WantedDeeds } from '@/features/plan/wanted-stations';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import type {
  BriefSessionView,
  FloorBlockView,
  FloorItemView,
  FloorSessionView,
  FloorView,
} from '@/contract/views/floor';
import type { SettingKind } from '@/contract/views/setting';
import { WORDS } from '@/messages/screens/floor';
import styles from './floor.module.css';

const STATE_WORD: Readonly<Record<FloorItemView['state'], string>> = {
  'to-do': WORDS.toDo,
  'under-way': WORDS.underWay,
  done: 'done',
  stopped: WORDS.stoppedForPain,
  skipped: WORDS.skipped,
};

/** How a movement stands, and why it is skipped where it is. */
const stateOf = ({ state, skipped }: FloorItemView): string =>
  state === 'skipped' && skipped ? `${WORDS.skipped}: ${skipped}` : STATE_WORD[state];

/** Settings that are words and no figure. */
const IN_WORDS: readonly SettingKind[] = ['handle', 'band'];

/** From here on the time stands left of its line: there is no room on its right. */
const LATE_SHARE = 90;

/** How far a session has come, behind its time in the strip. */
function wordOf(s: FloorBlockView, { nextId }: FloorView): string {
  if (s.done) return WORDS.done;
  if (s.underWay) return WORDS.alreadyUnderWay;
  return s.id === nextId ? WORDS.next : '';
}

/** The day to scale: one block per client, as long as the session, now as a line. */
function DayStrip({ view }: { readonly view: FloorView }) {
  const brief = new Set(view.others.map((s) => s.id));
  const sessions = [...view.sessions, ...view.others].toSorted((a, b) => a.startsAtMs - b.startsAtMs);
  const first = Math.min(...sessions.map((s) => s.startsAtMs));
  const last = Math.max(...sessions.map((s) => s.startsAtMs + s.minutes * 60_000));
  const span = Math.max(last - first, 1);
  const share = (ms: number): number => ((ms - first) / span) * 100;
  const lanes = Math.max(...sessions.map((s) => s.lane)) + 1;
  return (
    <nav
      className={styles.strip}
      aria-label={WORDS.today}
      style={{ '--lanes': lanes } as CSSProperties}
      data-full={lanes > 2 || undefined}
    >
      <ol>
        {sessions.map((s) => (
          <li
            key={s.id}
            style={
              {
                left: `${share(s.startsAtMs)}%`,
                width: `${((s.minutes * 60_000) / span) * 100}%`,
                '--lane': s.lane,
              } as CSSProperties
            }
            data-next={s.id === view.nextId || undefined}
            data-done={s.done || undefined}
            data-brief={brief.has(s.id) || undefined}
          >
            <a href={`#${s.id}`}>
              <b>{s.clientName}</b>
              <span>
                {s.starts}
                <span>{WORDS.until(s.ends, wordOf(s, view))}</span>
              </span>
            </a>
          </li>
        ))}
      </ol>
      <div
        className={styles.now}
        style={{ left: `${Math.min(100, Math.max(0, share(view.nowMs)))}%` }}
        data-late={share(view.nowMs) > LATE_SHARE || undefined}
        aria-hidden
      >
        <span>{view.nowMs < first ? WORDS.nobodyYet(view.now) : view.now}</span>
      </div>
    </nav>
  );
}

function Watch({ item }: { readonly item: FloorItemView }) {
  return (
    <div className={styles.watch}>
      <h4>{WORDS.watch}</h4>
      {item.watch.length === 0 ? (
        <p className={styles.quiet}>{WORDS.nothingOnRecordYet}</p>
      ) : (
        <ul>
          {item.watch.map((w) => (
            <li key={w.fault}>
              {FAULT_TEXT[w.fault].seen} <span className={styles.quiet}>{w.text}</span>
            </li>
          ))}
        </ul>
      )}
      {item.since.length > 0 && (
        <p className={styles.since}>
          <b>{WORDS.changed}</b> {item.since.join('; ')}
        </p>
      )}
    </div>
  );
}

/** What is done, in which way, and with which side now. */
const nameOf = ({ movement, variant, side }: FloorItemView): string => doneName(movement, side, variant);

function NextItem({ item }: { readonly item: FloorItemView }) {
  const big = item.settings.filter((p) => !IN_WORDS.includes(p.kind));
  return (
    <article className={styles.next}>
      <header>
        <h3>{nameOf(item)}</h3>
        <p>
          {item.station && `${item.station}. `}
          {item.progress}. <b>{stateOf(item)}</b>
        </p>
      </header>
      {item.blocked && <Alert className={styles.blocked}>{item.blocked}</Alert>}
      {item.replaced && (
        <Alert className={styles.blocked} role="note">
          {item.replaced}
        </Alert>
      )}
      <div className={styles.plates} data-testid="floor-plates" data-four={big.length === 4 || undefined}>
        {item.settings.map((p) => (
          <div key={p.label} className={styles.plate} data-words={IN_WORDS.includes(p.kind) || undefined}>
            <div className={styles.plateLabel}>{p.label}</div>
            <div
              className={IN_WORDS.includes(p.kind) ? styles.plateWords : styles.plateValue}
              data-estimated={p.estimated || undefined}
              data-span={p.kind === 'stops' || undefined}
              data-long={p.value.length > 14 || undefined}
            >
              {p.value}
              {p.unit && <small>{p.unit}</small>}
            </div>
          </div>
        ))}
      </div>
      <p className={styles.platesNote}>{item.settingsNote}</p>
      <Watch item={item} />
      <div className={styles.go}>
        <Link href={`/setup/${item.id}`}>{WORDS.setUp}</Link>
        <Link href={`/set/${item.id}`}>{WORDS.toTheSet}</Link>
        {item.otherSide && (
          <Link href={`/set/${item.otherSide.id}`} data-quiet>
            {toSideText(item.otherSide.side)}
          </Link>
        )}
      </div>
    </article>
  );
}

function LaterItem({ item }: { readonly item: FloorItemView }) {
  const big = item.settings.filter((p) => !IN_WORDS.includes(p.kind));
  return (
    <li className={styles.later}>
      <Link href={`/setup/${item.id}`}>
        <b>{nameOf(item)}</b>
        <span className={styles.quiet}>
          {item.station && `${item.station}. `}
          {item.progress}. {stateOf(item)}
        </span>
      </Link>
      <span className={styles.laterPlates}>
        {item.blocked ? WORDS.blocked : item.replaced ? WORDS.otherKit : big.map(settingInLine).join('   ')}
      </span>
    </li>
  );
}

function SessionBlock(props: {
  readonly session: FloorSessionView;
  readonly isNext: boolean;
  readonly deeds: WantedDeeds;
}) {
  const { session, isNext, deeds } = props;
  const first =
    session.items.find((i) => i.state === 'under-way') ??
    session.items.find((i) => i.state === 'to-do') ??
    session.items[0];
  const rest = isNext ? session.items.filter((i) => i !== first) : session.items;
  return (
    <section id={session.id} className={isNext ? styles.nextBlock : styles.block}>
      <div className={styles.who}>
        <h2>{session.clientName}</h2>
        <p className={styles.quiet}>{WORDS.fromTo(session.starts, session.ends)}</p>
        {session.note && <p className={styles.note}>{session.note}</p>}
        <ScreeningWarning screening={session.screening} clientId={session.clientId} />
        {session.due.map((text) => (
          <p key={text} className={styles.note}>
            {text}
          </p>
        ))}
        {session.wanted && <WantedStations session={session} wanted={session.wanted} deeds={deeds} />}
        <Link href={`/clients/${session.clientId}`}>{WORDS.clientSheet}</Link>
        <Link href={`/ledger/${session.clientId}`}>{WORDS.ledger}</Link>
        <Link href={`/plan/${session.id}`}>{WORDS.planOf}</Link>
        {session.isTouched && <Link href={`/summary/${session.id}`}>{WORDS.summary}</Link>}
      </div>
      <div>
        {isNext && first && <NextItem item={first} />}
        {rest.length > 0 && (
          <ul className={styles.laterList}>
            {rest.map((i) => (
              <LaterItem key={i.id} item={i} />
            ))}
          </ul>
        )}
      </div>
    </section>
  );
}

/** Who was here or comes later on a full day: what they do, and the way to all of it. */
function AlsoToday({ sessions }: { readonly sessions: readonly BriefSessionView[] }) {
  if (sessions.length === 0) return null;
  return (
    <section className={styles.also} aria-labelledby="also-today">
      <h2 id="also-today">{WORDS.alsoToday}</h2>
      <ul>
        {sessions.map((s) => (
          <li key={s.id} id={s.id}>
            <Link href={`/plan/${s.id}`}>
              <h3>{s.clientName}</h3>
              <span className={styles.quiet}>
                {s.starts}
                {WORDS.until(s.ends, s.done ? WORDS.done : '')}. {s.progress}
              </span>
              <span>{s.movements.join('; ')}</span>
            </Link>
            {s.isTouched && <Link href={`/summary/${s.id}`}>{WORDS.summary}</Link>}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Sets of earlier days that nobody ended, each with the way to it. */
function Unfinished({ sets }: { readonly sets: FloorView['unfinished'] }) {
  if (sets.length === 0) return null;
  return (
    <ul className={styles.unfinished} aria-label={WORDS.unfinished}>
      {sets.map((s) => (
        <li key={`${s.itemId} ${s.text}`}>
          <Link href={`/set/${s.itemId}`}>{s.text}</Link>
        </li>
      ))}
    </ul>
  );
}

/** Who is next, what to set first, what to watch. */
export function FloorBoard({ view, deeds }: { readonly view: FloorView; readonly deeds: WantedDeeds }) {
  if (view.sessions.length === 0) {
    return (
      <>
        <Unfinished sets={view.unfinished} />
        <p className={styles.empty}>{WORDS.nobodyIsPlannedForToday}</p>
      </>
    );
  }
  const ordered = [
    ...view.sessions.filter((s) => s.id === view.nextId),
    ...view.sessions.filter((s) => s.id !== view.nextId),
  ];
  return (
    <div className={styles.board}>
      <KeepAhead
        paths={(view.sessions.find((s) => s.id === view.nextId)?.items ?? []).flatMap((i) =>
          [i.id, ...(i.otherSide ? [i.otherSide.id] : [])].flatMap((id) => [`/set/${id}`, `/setup/${id}`]),
        )}
      />
      <DayStrip view={view} />
      <Unfinished sets={view.unfinished} />
      {ordered.map((s) => (
        <SessionBlock key={s.id} session={s} isNext={s.id === view.nextId} deeds={deeds} />
      ))}
      <AlsoToday sessions={view.others} />
    </div>
  );
}

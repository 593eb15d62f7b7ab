'use client';
import { useMantineColorScheme } from '@mantine/core';
import { IconMoon, IconSun, IconUser } from '@tabler/icons-react';
import { usePathname } from 'next/navigation';
import { Suspense } from 'react';
import { Link } from '@/features/shell/link';
import { UnderWay } from './under-way';
import { useTapsThere } from './use-taps-there';
import type { Actor } from '@/contract/actor';
import { useOutboxState } from '@/offline/use-outbox';
import { usePageAge } from '@/offline/use-page-age';
import { momentIn } from '@/messages/day';
import { clockOffText } from '@/messages/taps';
import { WORDS } from '@/messages/screens/shell';
import styles from './shell.module.css';

const PLACES = [
  { href: '/', name: 'Floor', within: ['/setup', '/set'] },
  { href: '/plan', name: 'Plan', within: ['/plan'] },
  { href: '/clients', name: 'Clients', within: ['/clients'] },
  { href: '/movements', name: 'Movements', within: ['/movements'] },
  { href: '/ledger', name: 'Ledger', within: ['/ledger'] },
  { href: '/kit', name: 'Kit', within: ['/kit'] },
] as const;
const RECORDS = { href: '/records', name: WORDS.records, within: ['/records', '/people'] } as const;
type Place = (typeof PLACES)[number] | typeof RECORDS;

const TROUBLE = {
  offline: 'kept here, no network',
  storage: 'kept here, the server cannot write: its disk is full or read-only',
  malformed: 'kept here, the server does not take them',
  'signed-out': 'kept here until you sign in',
  'other-database': 'kept here: this server has another database than the one they are for',
} as const;

/** One small place that says what has not reached the server. */
function Waiting() {
  const { waiting, refused, others, trouble, clockOffMs } = useOutboxState();
  const age = usePageAge();
  useTapsThere();
  const words =
    waiting === null
      ? 'counting'
      : waiting === 0
        ? WORDS.allSent
        : `${waiting} ${waiting === 1 ? 'tap' : 'taps'} waiting`;
  return (
    <span className={styles.waiting} role="status" data-testid="waiting" data-waiting={waiting ?? undefined}>
      {words}
      {(age || refused > 0 || others > 0 || clockOffMs !== 0 || (waiting !== null && waiting > 0 && trouble)) && (
        <span className={styles.more}>
          {age && <b data-testid="kept-page">{WORDS.asItWas(momentIn(age.servedMs, age.heardMs))}</b>}
          {waiting !== null && waiting > 0 && trouble && <small>{TROUBLE[trouble]}</small>}
          {others > 0 && <small data-testid="others">{WORDS.waitForTheirOwner(others)}</small>}
          {refused > 0 && <Link href="/taps">{WORDS.keptHereOnly(refused)}</Link>}
          {clockOffMs !== 0 && <small data-testid="clock-off">{clockOffText(clockOffMs)}</small>}
        </span>
      )}
    </span>
  );
}

/** The sheet's title block: places on the left, what waits and the light on the right. */
export function TitleBar({ actor }: { readonly actor: Pick<Actor, 'name' | 'role'> | null }) {
  const path = usePathname();
  const { toggleColorScheme } = useMantineColorScheme();
  const places = actor === null ? [] : actor.role === 'owner' ? [...PLACES, RECORDS] : PLACES;
  const isAt = (p: Place): boolean => path === p.href || p.within.some((w) => path === w || path.startsWith(`${w}/`));
  return (
    <header className={styles.bar}>
      <span className={styles.mark}>{WORDS.jorvix}</span>
      <nav aria-label={WORDS.places} className={styles.places}>
        {places.map((p) => (
          <Link
            key={p.href}
            href={p.href}
            aria-current={isAt(p) ? 'page' : undefined}
            className={p === RECORDS ? styles.roomy : undefined}
          >
            {p.name}
          </Link>
        ))}
      </nav>
      <Suspense>
        <UnderWay />
      </Suspense>
      {actor && <Waiting />}
      {actor && (
        <Link href="/account" className={styles.account} aria-current={path === '/account' ? 'page' : undefined}>
          <IconUser stroke={1.5} aria-hidden />
          <span>{actor.name}</span>
        </Link>
      )}
      <button
        type="button"
        className={`${styles.light} ${actor ? styles.roomy : styles.alone}`}
        onClick={toggleColorScheme}
        aria-label={WORDS.changeBetweenDayAndNight}
      >
        <IconMoon className={styles.moon} stroke={1.5} aria-hidden />
        <IconSun className={styles.sun} stroke={1.5} aria-hidden />
      </button>
    </header>
  );
}

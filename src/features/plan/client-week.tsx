'use client';
import { useMemo } from 'react';
import type { ClientWeekView } from '@/contract/views/client-week';
import type { RegionCoverage } from '@/core/week/week-coverage';
import type { Region } from '@/core/body/region-line';
import type { MuscleSets } from '@/core/week/week-sets';
import type { WeekRule } from '@/core/week/muscle';
import { movementName } from '@/messages/book';
import { REGION_NAME } from '@/messages/movements';
import { CLIENT_WEEK as WORDS } from '@/messages/screens/week';
import { duplicateText, gapText, madeUpText, MUSCLE_NAME, setsText, sideShareText, standsText } from '@/messages/week';
import { useCoverage } from '@/workers/use-coverage';
import { usedMovements } from './used-movements';
import styles from './client-week.module.css';

/** Sets that the band is drawn up to. */
const DRAWN_SETS = 26;
const share = (n: number): string => `${Math.min(100, (100 * n) / DRAWN_SETS)}%`;

/** The week's sets of a muscle beside the band that it should be in. */
function Band({ sets, rule }: { readonly sets: MuscleSets; readonly rule: WeekRule }) {
  return (
    <div className={styles.band} role="img" aria-label={WORDS.bandName(rule.least, rule.most, setsText(sets.all))}>
      <i style={{ left: share(rule.least), width: share(rule.most - rule.least) }} />
      <b style={{ width: share(sets.done) }} />
      {sets.all > sets.done && <span style={{ left: share(sets.done), width: share(sets.all - sets.done) }} />}
    </div>
  );
}

/** Heads of a muscle that the week has no set of their own for, where it has some for another one. */
function headsWithout({ direct, byRegion }: MuscleSets): string {
  const none = Object.entries(byRegion).filter(([, n]) => n === 0);
  return direct > 0 && none.length > 0
    ? WORDS.none(none.map(([region]) => REGION_NAME[region as Region]).join(', '))
    : '';
}

function Sets({ week }: { readonly week: ClientWeekView }) {
  return (
    <section aria-label={WORDS.setsOf}>
      <h2>{WORDS.setsOf}</h2>
      <ul className={styles.sets}>
        {week.sets.map((m) => (
          <li key={m.muscle} data-muscle={m.muscle} data-stands={m.stands}>
            <b>{MUSCLE_NAME[m.muscle]}</b>
            <strong>{setsText(m.all)}</strong>
            <Band sets={m} rule={week.rules[m.muscle]} />
            <div>
              {standsText(m, week.rules[m.muscle])}
              <small>{[madeUpText(m), headsWithout(m)].filter(Boolean).join('; ')}</small>
            </div>
          </li>
        ))}
      </ul>
      {week.sideShare !== null && <p className={styles.quiet}>{sideShareText(week.sideShare, week.deltoidShare)}</p>}
    </section>
  );
}

/** Where each movement loads a region, from stretched to shortest. */
function Region({ region }: { readonly region: RegionCoverage }) {
  const name = (id: string): string => movementName(id);
  return (
    <li data-region={region.region}>
      <h3>{REGION_NAME[region.region]}</h3>
      <ul className={styles.spans}>
        {region.movements.map((m) => (
          <li key={m.id}>
            <span>{name(m.id)}</span>
            <div className={styles.span}>
              {m.spans.map((s) => (
                <b
                  key={s.from}
                  role="img"
                  aria-label={WORDS.spanName(name(m.id), s.from, s.to)}
                  style={{ left: `${100 * s.from}%`, width: `${100 * (s.to - s.from)}%` }}
                />
              ))}
            </div>
          </li>
        ))}
        <li className={styles.ends} aria-hidden>
          <span />
          <div>
            <span>{WORDS.stretched}</span>
            <span>{WORDS.shortest}</span>
          </div>
        </li>
      </ul>
      {region.gaps.map((g) => (
        <p key={g.where}>{gapText(g.where, g.fill.slice(0, 2).map(name))}</p>
      ))}
      {region.duplicates.map((d) => (
        <p key={d.ids.join()}>{duplicateText(name(d.ids[0]), name(d.ids[1]), d.where)}</p>
      ))}
      {region.gaps.length === 0 && <p className={styles.quiet}>{WORDS.whole}</p>}
    </li>
  );
}

function Coverage({
  week,
  input,
}: {
  readonly week: ClientWeekView;
  readonly input: NonNullable<ClientWeekView['choosing']>;
}) {
  const used = useMemo(() => usedMovements(week.used), [week.used]);
  const { coverage, progress, failed } = useCoverage(used, input);
  return (
    <section aria-label={WORDS.coverage}>
      <h2>{WORDS.coverage}</h2>
      <p className={styles.quiet}>{WORDS.coverageIntro}</p>
      {failed && <p role="alert">{WORDS.failed}</p>}
      {!failed && coverage === null && <p role="status">{WORDS.working(progress ?? 0)}</p>}
      {coverage && (
        <ul className={styles.regions}>
          {coverage.map((r) => (
            <Region key={r.region} region={r} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** A client's week: sets per muscle beside what it should have, and where in their range its regions are loaded. */
export function ClientWeek({ week }: { readonly week: ClientWeekView }) {
  if (week.sessions === 0) return <p>{WORDS.nothing}</p>;
  return (
    <div className={styles.columns}>
      <Sets week={week} />
      {week.choosing && <Coverage week={week} input={week.choosing} />}
    </div>
  );
}

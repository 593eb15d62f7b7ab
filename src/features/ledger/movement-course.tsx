'use client';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import type { CourseView } from '@/contract/views/ledger';
import { courseHeight } from '@/charts/course-series';
import { WORDS } from '@/messages/screens/ledger';
import { useDemand } from './use-demand';
import styles from './ledger.module.css';

const CourseChart = dynamic(() => import('@/charts/course-chart'), { ssr: false });

const SIDE = { left: WORDS.leftSide, right: WORDS.rightSide } as const;

/** How a movement went on one side: drawn, and as a table with the reason of each change. */
export function MovementCourse({ course, name }: { readonly course: CourseView; readonly name: string }) {
  const { side, sessions, unit } = course;
  const demands = useDemand(course);
  const drawn = useMemo(
    () => ({
      unit,
      hasDemand: course.demandCase !== null,
      sessions: sessions.map((s, k) => ({ ...s, demandNm: demands[k] ?? null })),
    }),
    [unit, course, sessions, demands],
  );
  const title = side === null ? name : `${name}, ${SIDE[side]}`;
  return (
    <section className={styles.movement}>
      {side !== null && <h2>{SIDE[side]}</h2>}
      <div style={{ minHeight: courseHeight(drawn) }}>
        <CourseChart course={drawn} label={WORDS.chartOf(title, sessions.length)} />
      </div>
      <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.tableOf(title)}>
        <table className={styles.course}>
          <thead>
            <tr>
              <th scope="col">{WORDS.session}</th>
              <th scope="col">{WORDS.loadIn(unit)}</th>
              {drawn.hasDemand && <th scope="col">{WORDS.againstTheJoint}</th>}
              <th scope="col">{WORDS.repsOfSets}</th>
              <th scope="col">{WORDS.setUpUsed}</th>
              <th scope="col">{WORDS.whatItShowed}</th>
              <th scope="col">{WORDS.nextLoad}</th>
            </tr>
          </thead>
          <tbody>
            {drawn.sessions.toReversed().map((s) => (
              <tr key={s.sessionId}>
                <th scope="row">{s.date}</th>
                <td>{Math.round(10 * s.load) / 10}</td>
                {drawn.hasDemand && <td>{s.demandNm === null ? '' : WORDS.newtonMetres(s.demandNm)}</td>}
                <td>
                  {s.reps.join(' ')}
                  {s.pace && <small data-one-line>{s.pace}</small>}
                </td>
                <td>
                  {s.setup || WORDS.notSaved}
                  {s.changed && <small>{WORDS.changed(s.changed)}</small>}
                </td>
                <td>
                  {s.evidence}
                  {s.faulty > 0 && <small>{WORDS.faultySets(s.faulty, s.reps.length)}</small>}
                </td>
                <td>{s.next}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {drawn.hasDemand && <p className={styles.quiet}>{WORDS.demandNow}</p>}
    </section>
  );
}

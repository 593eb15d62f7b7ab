'use client';
import dynamic from 'next/dynamic';
import type { CourseView } from '@/contract/views/ledger';
import { courseHeight } from '@/charts/course-series';
import { WORDS } from '@/messages/screens/ledger';
import styles from './ledger.module.css';

const CourseChart = dynamic(() => import('@/charts/course-chart'), { ssr: false });

const SIDE = { left: WORDS.leftSide, right: WORDS.rightSide } as const;

/** How a movement went on one side: drawn, and as a table with the reason of each change. */
export function MovementCourse({ course, name }: { readonly course: CourseView; readonly name: string }) {
  const { side, sessions, unit } = course;
  const title = side === null ? name : `${name}, ${SIDE[side]}`;
  return (
    <section className={styles.movement}>
      {side !== null && <h2>{SIDE[side]}</h2>}
      <div style={{ minHeight: courseHeight(course) }}>
        <CourseChart course={course} label={WORDS.chartOf(title, sessions.length)} />
      </div>
      <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.tableOf(title)}>
        <table className={styles.course}>
          <thead>
            <tr>
              <th scope="col">{WORDS.session}</th>
              <th scope="col">{WORDS.loadIn(unit)}</th>
              <th scope="col">{WORDS.repsOfSets}</th>
              <th scope="col">{WORDS.setUpUsed}</th>
              <th scope="col">{WORDS.whatItShowed}</th>
              <th scope="col">{WORDS.nextLoad}</th>
            </tr>
          </thead>
          <tbody>
            {sessions.toReversed().map((s) => (
              <tr key={s.sessionId}>
                <th scope="row">{s.date}</th>
                <td>{Math.round(10 * s.load) / 10}</td>
                <td>{s.reps.join(' ')}</td>
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
    </section>
  );
}

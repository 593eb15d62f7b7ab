import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MovementCourse } from '@/features/ledger/movement-course';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { movementName } from '@/messages/book';
import { WORDS } from '@/messages/screens/pages';
import { loadCourse } from '@/server/movement-course';
import { openUseCase } from '@/server/open-use-case';
import { clientTitle } from '@/server/titles';
import { readAsked, type Asked } from '../../../asked';

type Params = Promise<{ clientId: string; movement: string }>;

/** What the page is called: whose, and which place. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: clientTitle(await openUseCase(), (await params).clientId, WORDS.coursePlace) };
}

export default async function CoursePage({
  params,
  searchParams,
}: {
  readonly params: Params;
  readonly searchParams: Asked;
}) {
  const { clientId, movement } = await params;
  const { all } = await readAsked(searchParams);
  const course = loadCourse(await openUseCase(), clientId, movement, all !== undefined);
  if (!course) notFound();
  const { client, courses, earlier } = course;
  const name = movementName(course.movement);
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.courseOf(name, client.name)}</h1>
        <Link href={`/ledger/${client.id}#${course.movement}`}>{WORDS.ledger}</Link>
      </div>
      {courses.length === 0 && <p>{WORDS.nothingRecordedYetWhatIs}</p>}
      {courses.map((c) => (
        <MovementCourse key={c.side ?? 'both'} course={c} name={name} />
      ))}
      {earlier > 0 && (
        <Link className={forms.add} href={`/ledger/${client.id}/${course.movement}?all=1`}>
          {WORDS.earlierSessions(earlier)}
        </Link>
      )}
    </div>
  );
}

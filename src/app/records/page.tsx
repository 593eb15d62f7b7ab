import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Link } from '@/features/shell/link';
import lists from '@/features/shell/lists.module.css';
import { Backups } from '@/features/records/backups';
import { RecordsFile } from '@/features/records/records-file';
import { SheetIn } from '@/features/records/spreadsheet-in';
import { ChangeTable } from '@/features/records/change-table';
import { loadRecords } from '@/server/backups';
import { openUseCase } from '@/server/open-use-case';
import { RECORDS_FILE } from '@/messages/records-file';
import { SHEETS } from '@/messages/spreadsheet';
import { WORDS } from '@/messages/screens/records';
import { backUpNowAction, matchSheetAction, restoreBackupAction, takeRecordsAction } from '../account-actions';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.records };

/** Backups, and who changed what: for the owner. */
export default async function Records({ searchParams }: { readonly searchParams: Asked }) {
  const before = Number((await readAsked(searchParams)).before);
  const view = loadRecords(await openUseCase(), Number.isInteger(before) && before > 0 ? before : null);
  if (!view) notFound();
  return (
    <div className="page">
      <h1>{WORDS.records}</h1>
      <p>
        {WORDS.recordsText(view.holds)}{' '}
        <Link className={lists.link} href="/people">
          {WORDS.people}
        </Link>
      </p>
      <section className={lists.section}>
        <h2>{WORDS.backups}</h2>
        <Backups backups={view.backups} backUpNow={backUpNowAction} restore={restoreBackupAction} />
      </section>
      <section className={lists.section} aria-label={RECORDS_FILE.title}>
        <h2>{RECORDS_FILE.title}</h2>
        <RecordsFile take={takeRecordsAction} />
      </section>
      <section className={lists.section} aria-label={SHEETS.title}>
        <h2>{SHEETS.title}</h2>
        <SheetIn choices={view.choices} match={matchSheetAction} take={takeRecordsAction} />
      </section>
      <section className={lists.section} id="changes">
        <h2>{WORDS.changes}</h2>
        <ChangeTable changes={view.changes} named label={WORDS.changes} />
        {view.next !== null && (
          <Link className={lists.link} href={`/records?before=${view.next}#changes`}>
            {WORDS.older}
          </Link>
        )}
      </section>
    </div>
  );
}

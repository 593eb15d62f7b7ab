import type { Metadata } from 'next';
import { PracticeSheet } from '@/features/practice/practice-sheet';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { WORDS as ACCOUNT } from '@/messages/screens/account';
import { PRACTICE as WORDS } from '@/messages/screens/practice';
import { openUseCase } from '@/server/open-use-case';
import { loadOwnPractice } from '@/server/practice';
import { readAsked, type Asked } from '../../asked';
import { keepOwnPracticeAction } from '../../actions';

export const metadata: Metadata = { title: WORDS.own };

/** One's own sides where practitioners differ, for all one's clients. */
export default async function OwnPracticePage({ searchParams }: { readonly searchParams: Asked }) {
  const { client } = await readAsked(searchParams);
  const view = loadOwnPractice(await openUseCase(), client);
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.own}</h1>
        <Link href="/account">{ACCOUNT.account}</Link>
      </div>
      <PracticeSheet view={view} keep={keepOwnPracticeAction} />
    </div>
  );
}

import type { Metadata } from 'next';
import { connection } from 'next/server';
import { WhatWorks } from '@/features/ledger/what-works';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { openUseCase } from '@/server/open-use-case';
import { loadWhatWorks } from '@/server/what-works';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = { title: WORDS.whatWorks };

export default async function WhatWorksPage() {
  await connection();
  const { gyms } = loadWhatWorks(await openUseCase());
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.whatWorks}</h1>
        <Link href="/ledger">{WORDS.ledger}</Link>
      </div>
      <p>{WORDS.whatWorksText}</p>
      {gyms.map((gym) => (
        <WhatWorks key={gym.id} gym={gym} />
      ))}
    </div>
  );
}

import type { Metadata } from 'next';
import { connection } from 'next/server';
import { ClientSheet } from '@/features/client/client-sheet';
import { loadNewClient } from '@/server/clients';
import { openUseCase } from '@/server/open-use-case';
import { saveClientAction } from '../../actions';
import { WORDS } from '@/messages/screens/pages';

export const metadata: Metadata = { title: WORDS.newClient };

export default async function NewClientPage() {
  await connection();
  return (
    <div className="page">
      <h1>{WORDS.newClient}</h1>
      <ClientSheet client={null} {...loadNewClient(await openUseCase())} save={saveClientAction} />
    </div>
  );
}

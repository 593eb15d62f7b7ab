import { connection } from 'next/server';
import { ClientSheet } from '@/features/client/client-sheet';
import { today } from '@/server/clock';
import { saveClientAction } from '../../actions';

export default async function NewClientPage() {
  await connection();
  return (
    <div className="page">
      <h1>New client</h1>
      <ClientSheet client={null} guide={{ setups: 0, worth: [] }} today={today()} save={saveClientAction} />
    </div>
  );
}

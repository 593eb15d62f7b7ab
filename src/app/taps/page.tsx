import type { Metadata } from 'next';
import { RefusedTaps } from '@/features/taps/refused-taps';
import { WORDS } from '@/messages/screens/taps';

export const metadata: Metadata = { title: WORDS.title };

/** Taps that are only on this tablet. */
export default function TapsPage() {
  return (
    <div className="page">
      <h1>{WORDS.title}</h1>
      <RefusedTaps />
    </div>
  );
}

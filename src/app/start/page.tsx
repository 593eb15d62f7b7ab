import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FirstSteps } from '@/features/start/first-steps';
import { loadFirstSteps } from '@/server/first-steps';
import { openUseCase } from '@/server/open-use-case';
import { FIRST_STEPS_WORDS as WORDS } from '@/messages/screens/first-steps';
import { skipStepAction } from '../account-actions';

export const metadata: Metadata = { title: WORDS.title };

/** From nothing to the first set-up, for the owner. */
export default async function Start() {
  const steps = loadFirstSteps(await openUseCase());
  if (!steps) notFound();
  return (
    <div className="page">
      <h1>{WORDS.title}</h1>
      <FirstSteps steps={steps} skip={skipStepAction} />
    </div>
  );
}

import type { Metadata } from 'next';
import { readMovement } from '@/contract/case';
import { SpottingPage } from '@/features/spotting/spotting-page';
import { WORDS } from '@/messages/screens/spotting';
import { openUseCase } from '@/server/open-use-case';
import { loadSpotting } from '@/server/spotting';
import { keepSpottingAction } from '../../actions';
import { readAsked, type Asked } from '../../asked';

export const metadata: Metadata = { title: WORDS.spotFaults };

export default async function SpottingRoute({ searchParams }: { readonly searchParams: Asked }) {
  const { movement, ...asked } = await readAsked(searchParams);
  const data = loadSpotting(await openUseCase(), asked);
  const practised = movement ? readMovement(movement) : null;
  const { clientId, gymId } = data.choosing;
  return (
    <SpottingPage
      key={`${clientId}-${gymId}-${practised}`}
      data={data}
      movement={practised ?? null}
      keep={keepSpottingAction}
    />
  );
}

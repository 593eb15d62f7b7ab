import type { Metadata } from 'next';
import { connection } from 'next/server';
import { readMovement } from '@/contract/case';
import { FloorBoard } from '@/features/floor/floor-board';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { PlanFold } from '@/features/floor/plan-fold';
import { loadFloor } from '@/server/floor';
import { openUseCase } from '@/server/open-use-case';
import { findPlanChoicesAction, orderSessionAction, planTodayAction } from './actions';
import { findStandInsAction, moveSessionAction, moveToStationAction } from './plan-actions';
import { WORDS } from '@/messages/screens/pages';
import { readAsked, type Asked } from './asked';

// The layout's own form of titles is not taken by the page beside it.
export const metadata: Metadata = { title: { absolute: WORDS.titled.replace('%s', WORDS.floor) } };

const OF_WANTED = {
  move: moveSessionAction,
  reorder: orderSessionAction,
  moveToStation: moveToStationAction,
  findStandIns: findStandInsAction,
};

export default async function FloorPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const { plan, variant, client } = await readAsked(searchParams);
  const uc = await openUseCase();
  const movement = plan ? readMovement(plan) : null;
  const asked = movement ? { movement, variantId: variant ?? '', clientId: client ?? '' } : null;
  const floor = loadFloor(uc);
  return (
    <>
      <h1 className="visually-hidden">{WORDS.floor}</h1>
      <FloorBoard view={floor} deeds={OF_WANTED} />
      <div className="page">
        <UnreadableNote rows={floor.unreadable} />
        <PlanFold
          key={`${plan}-${variant}`}
          find={findPlanChoicesAction}
          action={planTodayAction}
          nextClientId={floor.sessions.find((s) => s.id === floor.nextId)?.clientId ?? null}
          asked={asked}
          into={null}
        />
      </div>
    </>
  );
}

import { expect, it, vi } from 'vitest';
import type * as curls from '@/core/book/entries/curls';

vi.mock('@/core/book/entries/curls', async (importOriginal) => {
  const { BICEPS } = await importOriginal<typeof curls>();
  const curl = BICEPS.find((e) => e.id === 'preacher-curl-one-arm')!;
  const added = {
    ...curl,
    id: 'added-curl',
    text: { name: 'Added curl', how: 'As it was added.', cue: 'Add it' },
    cautions: ['floor-clear'],
    faults: ['shrugs'],
    standIns: ['barbell-curl'],
  };
  return { BICEPS: [...BICEPS, added] };
});

it('a movement that is added in its one file is listed, told, chosen, planned, solved and watched', async () => {
  const { at, world } = await import('./support/world');
  const { findEntry, MOVEMENT_IDS } = await import('@/core/book/book');
  const { cautionsOf } = await import('@/core/book/entry-cautions');
  const { chooseMovements } = await import('@/core/book/choose');
  const { faultsOf } = await import('@/core/book/entry-faults');
  const { movementName, BOOK_TEXT } = await import('@/messages/book');
  const { loadChoosing } = await import('@/server/choosing');
  const { planToday } = await import('@/server/plan');
  const { loadSet } = await import('@/server/set');
  const { listMovements } = await import('@/solver/movement-listing');
  const { answerCase } = await import('@/solver/solve-case');
  const db = world();
  const entry = findEntry('added-curl')!;
  expect(MOVEMENT_IDS).toContain('added-curl');
  expect([movementName('added-curl'), BOOK_TEXT['added-curl']!.cue]).toEqual(['Added curl', 'Add it']);
  expect([cautionsOf(entry), faultsOf(entry)]).toEqual([
    expect.arrayContaining(['floor-clear']),
    expect.arrayContaining(['shrugs']),
  ]);
  expect(listMovements().map((m) => m.movement as string)).toContain('added-curl');
  const choices = chooseMovements('biceps-short', { ...loadChoosing(at(db), { gym: 'tidewater' }), loadKg: 8 });
  expect(choices.find((c) => (c.entry.id as string) === 'added-curl')!.objection).toBeNull();
  const client = { statureM: 1.75, massKg: 70 };
  const asked = { format: 'jorvix-case/1', client, movement: 'added-curl', side: 'right', loadKg: 8 };
  expect(answerCase(asked)).toMatchObject({ ok: true, answer: { feasible: true } });
  const done = { startsAt: '18:00', sets: 3, reps: 12, tempo: '3-1-1-1', load: 8, unit: 'kg' };
  const empty = { variantId: '', stationId: '', attachmentId: '' };
  const planned = planToday(at(db), { clientId: 'anselm', movement: 'added-curl', side: 'right', ...done, ...empty });
  expect(planned.ok && loadSet(at(db), planned.id)).toMatchObject({ blocked: null, loadLabel: expect.any(String) });
});

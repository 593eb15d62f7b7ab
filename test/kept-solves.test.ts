import { afterEach, expect, it, vi } from 'vitest';
import { at, world } from './support/world';

const solves = vi.hoisted(() => ({ posed: 0, answered: 0 }));
vi.mock('@/core/book/pose-question', async (original) => {
  const own = await original<typeof import('@/core/book/pose-question')>();
  return {
    ...own,
    poseQuestion: (...q: Parameters<typeof own.poseQuestion>) => (solves.posed++, own.poseQuestion(...q)),
  };
});
vi.mock('@/core/book/answer-question', async (original) => {
  const own = await original<typeof import('@/core/book/answer-question')>();
  return {
    ...own,
    answerPosed: (...q: Parameters<typeof own.answerPosed>) => (solves.answered++, own.answerPosed(...q)),
  };
});
afterEach(() => vi.unstubAllEnvs());

/** The floor by a process that has only just begun, and what it posed and solved for it. */
async function freshFloor(db: ReturnType<typeof world>, code: string, later = 0) {
  vi.resetModules();
  vi.stubEnv('JORVIX_SOLVER', code);
  Object.assign(solves, { posed: 0, answered: 0 });
  const { loadFloor } = await import('@/server/floor');
  const uc = at(db);
  const floor = loadFloor({ ...uc, nowMs: uc.nowMs + later });
  return { floor, ...solves };
}

it('what was solved is not solved again after a restart, unless by other code', async () => {
  const db = world();
  const first = await freshFloor(db, 'one');
  expect(first.answered).toBeGreaterThan(5);
  const again = await freshFloor(db, 'one');
  expect(again.floor).toEqual(first.floor);
  expect([again.posed, again.answered]).toEqual([0, 0]);
  expect((await freshFloor(db, 'two')).answered).toBe(first.answered);
  const kept = () => (db.prepare('SELECT count(*) AS n FROM kept_solve').get() as { n: number }).n;
  const both = kept();
  // Without a name for the code nothing is kept.
  await freshFloor(db, '');
  expect(kept()).toBe(both);
  db.prepare('UPDATE kept_solve SET day = day - 31').run();
  const one = db.prepare('SELECT hash FROM kept_solve LIMIT 1').get() as { hash: string };
  db.prepare('DELETE FROM kept_solve WHERE hash = ?').run(one.hash);
  await freshFloor(db, 'two');
  await freshFloor(db, 'one');
  expect(kept()).toBeLessThan(both);
});

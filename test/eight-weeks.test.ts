import { beforeAll, describe, expect, it } from 'vitest';
import { DEMO_OWNER } from '../demo/people';
import { loadEightWeeks } from '../demo/eight-weeks';
import type { Truth } from '../demo/simulate';
import { REGULARS } from '../demo/weeks';
import type { Db } from '@/data/open-db';
import { findCare } from '@/data/queries/care';
import { foldsHold } from '@/data/queries/read-folds';
import { loadFloor } from '@/server/floor';
import { listLedgers, loadLedger } from '@/server/ledger';
import { demandsOf } from '@/features/ledger/course-demand';
import { loadCourse } from '@/server/movement-course';
import { asOwner, at, NOW, world } from './support/world';

let db: Db;
let truths: readonly Truth[];
beforeAll(() => {
  db = world();
  truths = loadEightWeeks(db, NOW);
}, 120_000);

describe('eight weeks of regulars', () => {
  it('causes that were set are judged so in at least four of five faults, whichever cause it was', () => {
    const table = (['set-up', 'load', 'cue'] as const).map((from) => {
      const own = truths.filter((t) => t.from === from);
      return [from, own.length, own.filter((t) => t.judged === from).length / own.length] as const;
    });

    for (const [from, n, share] of table) {
      expect([from, n > 5]).toEqual([from, true]);
      expect([from, share >= 0.8]).toEqual([from, true]);
    }
  });
  it('are told by every ledger: faults that clear and come back, corrections that fared', () => {
    const uc = asOwner(db);
    const ledgers = REGULARS.map(({ client }) => loadLedger(uc, client.id)!);
    const cells = ledgers.flatMap((l) => l.movements.flatMap((m) => m.faults.flatMap((f) => f.cells)));
    expect(new Set(cells.map((c) => c.turned))).toEqual(new Set([null, 'cleared', 'reopened']));
    expect(ledgers.every((l) => l.movements.some((m) => m.effects.length > 0))).toBe(true);
    expect(listLedgers(uc).filter((l) => l.sets > 100).length).toBe(REGULARS.length);
    expect(foldsHold(db, 40)).toBe(true);
  });
  it('loads go by the rule of progress, set-ups by what was computed; left and right are courses of their own', () => {
    const course = loadCourse(at(db), 'tevita', 'cable-row-level-one-arm', true)!;
    expect(course.courses.map((c) => c.side)).toEqual(['left', 'right']);
    const fly = loadCourse(at(db), 'tevita', 'cable-fly-high-to-low', true)!.courses[0]!;
    expect(fly.sessions).toHaveLength(16);
    expect(fly.sessions[0]!.setup).toContain('as computed');
    expect(fly.sessions.every((s) => s.placement !== null && s.pace.endsWith('asked'))).toBe(true);
    expect(fly.sessions.some((s) => s.next.includes('one step up'))).toBe(true);
    expect(loadCourse(at(db), 'tevita', 'cable-fly-high-to-low', false)).toMatchObject({ earlier: 4 });
    expect(loadCourse(at(db), 'tevita', 'no-such', false)).toBeNull();
  });
  it('what each session asked of the joint rises with its load; nobody waits for it twice', async () => {
    const [fly] = loadCourse(at(db), 'tevita', 'cable-fly-high-to-low', true)!.courses;
    const demands = await demandsOf(fly!.demandCase!, fly!.sessions, () => true);
    const most = (k: number) => demands[k]!;
    const byLoad = fly!.sessions.map((s, k) => [s.loadG, most(k)] as const).toSorted((a, b) => a[0] - b[0]);
    expect(byLoad.at(-1)![1]).toBeGreaterThan(1.1 * byLoad[0]![1]);
    expect(await demandsOf(fly!.demandCase!, fly!.sessions, () => false)).toEqual([]);
  });
  it('today has two on one station at once, and two trainers’ days', () => {
    const { sessions } = loadFloor(at(db));
    expect(sessions.some((s) => s.wanted !== null)).toBe(true);
    expect(loadFloor(at(db, NOW, DEMO_OWNER)).sessions.length).toBeGreaterThan(sessions.length);
  });
  it('one session is under way, and the owner trains somebody too', () => {
    const owners = loadFloor(at(db, NOW, DEMO_OWNER));
    const now = owners.sessions.find((s) => s.items.some((i) => i.state === 'under-way'))!;
    expect([now.clientId, owners.nextId]).toEqual(['elspeth', now.id]);
    expect(now.startsAtMs).toBeLessThan(NOW);
    // The yard's stack is stamped in tens of pounds.
    expect(now.items.flatMap((i) => i.settings.flatMap((s) => (s.kind === 'load' ? [s.value] : [])))).toEqual([
      '20',
      '30',
    ]);
    expect(findCare(db, 'yusuf')!.trainerId).toBe(DEMO_OWNER.id);
  });
  it('are loaded once, and the next day has its own sessions', () => {
    const sets = (): unknown => db.prepare('SELECT count(*) FROM set_fold').pluck().get();
    const before = sets();
    expect(loadEightWeeks(db, NOW + 86_400_000)).toEqual([]);
    expect(sets()).toBe(before);
    expect(loadFloor(asOwner(db, NOW + 86_400_000)).sessions.map((s) => s.clientId)).toContain('tevita');
  });
});

import { expect, it } from 'vitest';
import { loadEightWeeks } from '../demo/eight-weeks';
import { askedOf } from '@/data/prepared';
import { foldNews } from '@/data/queries/folds';
import { writeCalendar } from '@/server/calendar';
import { loadClientWeek } from '@/server/client-week';
import { loadClient } from '@/server/clients';
import { loadFloor } from '@/server/floor';
import { listLedgers, loadLedger } from '@/server/ledger';
import { loadCourse } from '@/server/movement-course';
import { loadHandOver, loadSummary } from '@/server/papers';
import { loadWhatWorks } from '@/server/what-works';
import { loadSet } from '@/server/set';
import { loadSetup } from '@/server/setup';
import { loadProposing } from '@/server/propose';
import { loadTogether, shareSession } from '@/server/together';
import { loadSessionPlan } from '@/server/session-plan';
import { loadSpotting } from '@/server/spotting';
import { loadWeek } from '@/server/week';
import { asOwner, NOW, world } from './support/world';

/**
 * What may be read from end to end: the query's own rows, a few newest, an index that counts, a gym's own, what is
 * set up once or a few times a year, news.
 */
const ONCE = 'client|client_(arm_path|cover)|kit_piece|gym|fold_state|stale_fold|week_rule';
const MAY = new RegExp(
  `^SCAN (json_each|recent$|\\w+ USING COVERING INDEX|(${ONCE})$|(plan_template|movement_variant) )`,
);

it('no page reads a table that grows from end to end', { timeout: 120_000 }, () => {
  const db = world();
  loadEightWeeks(db, NOW);
  foldNews(db, -1);
  db.exec('ANALYZE');
  const uc = asOwner(db);
  const item = 'tevita-2026-11-24-0';
  for (const page of [
    loadFloor(uc).sessions.length > 0,
    loadLedger(uc, 'tevita') !== null,
    loadLedger(uc, 'tevita', 'cable-fly-high-to-low') !== null,
    listLedgers(uc).length > 0,
    loadWhatWorks(uc).gyms.some((g) => g.faults.length > 3),
    loadCourse(uc, 'tevita', 'cable-fly-high-to-low', true) !== null,
    loadClient(uc, 'tevita') !== null,
    loadHandOver(uc, 'tevita') !== null,
    loadSummary(uc, 'tevita-week-5') !== null,
    loadSet(uc, item) !== null,
    loadSetup(uc, item) !== null,
    loadSpotting(uc, {}).answers.length === 0,
    loadWeek(uc, undefined).days[1]!.sessions.length > 3,
    loadClientWeek(uc, 'tevita', undefined)!.used.length > 1,
    writeCalendar(uc).length > 1000,
    loadSessionPlan(uc, item.replace(/-0$/, ''))!.blocks.length > 1,
    loadProposing(uc, item.replace(/-0$/, ''))!.known.length > 0,
    shareSession(uc, item.replace(/-0$/, ''), 'sefina').ok,
    loadTogether(uc, item.replace(/-0$/, ''))!.rows.length > 0,
  ])
    expect(page).toBe(true);
  const asked = askedOf(db).filter((sql) => /^\s*SELECT/i.test(sql));
  expect(asked.length).toBeGreaterThan(20);
  const whole = asked.flatMap((sql) => {
    const named = Object.fromEntries([...sql.matchAll(/@(\w+)/g)].map(([, name]) => [name!, '[]']));
    const given = Object.keys(named).length > 0 ? [named] : [...sql.matchAll(/\?/g)].map(() => '[]');
    const plan = db.prepare(`EXPLAIN QUERY PLAN ${sql}`).all(...given) as { detail: string }[];
    return plan.flatMap(({ detail }) => (/^SCAN /.test(detail) && !MAY.test(detail) ? [`${detail} in ${sql}`] : []));
  });
  expect(whole).toEqual([]);
});

import { MUSCLES, USUAL_RULES, type Muscle, type WeekRule } from '@/core/week/muscle';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** How sets are counted here: what was kept, else what the program begins with. */
export function listWeekRules(db: Db): Readonly<Record<Muscle, WeekRule>> {
  const rows = prepared(db, 'SELECT muscle, indirect, least, most FROM week_rule').all() as (WeekRule & {
    readonly muscle: string;
  })[];
  const kept = new Map(rows.map(({ muscle, ...rule }) => [muscle, rule]));
  return Object.fromEntries(MUSCLES.map((m) => [m, kept.get(m) ?? USUAL_RULES[m]])) as Record<Muscle, WeekRule>;
}

/** Keep how sets of a muscle are counted. */
export function saveWeekRule(db: Db, muscle: Muscle, { indirect, least, most }: WeekRule): void {
  prepared(
    db,
    `INSERT INTO week_rule (muscle, indirect, least, most) VALUES (?, ?, ?, ?)
     ON CONFLICT (muscle) DO UPDATE SET indirect = excluded.indirect, least = excluded.least, most = excluded.most`,
  ).run(muscle, indirect, least, most);
}

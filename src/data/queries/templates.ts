import { readRows, type ReadRows } from '@/contract/records/record';
import { readTemplate, type TemplateRow } from '@/contract/records/template-record';
import type { PlanTemplate } from '@/contract/views/plan';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

const TEMPLATE = 'SELECT id, name, account_id AS accountId, for_all AS forAll, minutes, movements FROM plan_template';

/** Templates that an account may plan by, its own and everybody's, by name. */
export const listTemplates = (db: Db, accountId: string): ReadRows<PlanTemplate> =>
  readRows(
    prepared(db, `${TEMPLATE} WHERE dropped_at_ms IS NULL AND (for_all = 1 OR account_id = ?) ORDER BY name, id`).all(
      accountId,
    ) as TemplateRow[],
    readTemplate,
    (r) => ({ table: 'plan_template', id: r.id, name: r.name }),
  );

/** Keep a template. */
export function addTemplate(db: Db, t: PlanTemplate, nowMs: number): void {
  prepared(
    db,
    `INSERT INTO plan_template (id, name, account_id, for_all, minutes, movements, kept_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(t.id, t.name, t.accountId, t.forAll ? 1 : 0, t.minutes, JSON.stringify(t.movements), nowMs);
}

/** Out of every list; what was planned by it stays. */
export function dropTemplate(db: Db, id: string, nowMs: number): void {
  prepared(db, 'UPDATE plan_template SET dropped_at_ms = ? WHERE id = ?').run(nowMs, id);
}

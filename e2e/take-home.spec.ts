import Database from 'better-sqlite3';
import { expect, itemId, test } from './support/app';

test('reps that the pacer counts stay on the device while the set runs, and leave with its end', async ({
  page,
  app,
}) => {
  const item = itemId('anselm', 1);
  const rows = (sql: string): Record<string, number>[] => {
    const db = new Database(app.database, { readonly: true });
    const found = db.prepare(sql).all(item) as Record<string, number>[];
    db.close();
    return found;
  };
  await page.goto(`${app.url}/set/${item}`);
  await page.getByRole('button', { name: /^Start set/ }).click();
  await expect(page.getByTestId('rep-count')).toHaveText('3', { timeout: 40_000 });
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  expect(rows("SELECT id FROM floor_event WHERE item_id = ? AND kind = 'rep'")).toEqual([]);
  await page.reload();
  await expect(page.getByTestId('rep-count')).toHaveText(/[23]/);
  // An end that is taken back leaves the count where it was, on another reload too.
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByTestId('undo').click();
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('rep-count')).toHaveText(/[23]/);
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  expect(rows("SELECT id FROM floor_event WHERE item_id = ? AND kind = 'rep'")).toHaveLength(1);
  const [set] = rows('SELECT reps FROM set_fold WHERE item_id = ?');
  expect(set!.reps).toBeGreaterThanOrEqual(2);
});

test('from the floor to what a client takes home, and from the ledger to what the next trainer gets', async ({
  page,
  app,
}) => {
  await page.goto(app.url);
  const anselm = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Anselm Okparaeke' }) });
  await anselm.getByRole('link', { name: 'Summary to take home' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Anselm Okparaeke: what we did');
  await expect(page.getByText('Feel it in the lower chest.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'One thing to practise' })).toBeVisible();
  const pdf = await page.request.get(
    app.url + (await page.getByRole('link', { name: 'As a PDF' }).getAttribute('href')),
  );
  expect([pdf.headers()['content-type'], (await pdf.body()).subarray(0, 5).toString()]).toEqual([
    'application/pdf',
    '%PDF-',
  ]);
  await page.goto(`${app.url}/ledger/tevita`);
  const mark = page.getByRole('button', { name: /: in [123] of 3 sets$/ }).first();
  const [, date] = /^(\d+ \w+),/.exec((await mark.getAttribute('aria-label'))!)!;
  await mark.click();
  await expect(page.getByRole('region', { name: `Sets of ${date}` }).getByRole('listitem')).toHaveCount(3);
  await page.getByRole('link', { name: 'Load, reps and settings over time' }).first().click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('how it went with Tevita');
  await expect(page.getByRole('table')).toContainText('one step up: two sessions clean at the top of the reps');
  await expect(page.locator('canvas')).toBeVisible();
  // What each session asked of the joint is worked out on the device; what a rep took stands beside its reps.
  await expect(page.getByRole('table').getByRole('cell', { name: /^\d+ Nm$/ })).toHaveCount(12);
  await expect(page.getByRole('table')).toContainText(/\d+\.\d s a rep, \d+ asked/);
  await page.getByRole('link', { name: 'Ledger' }).last().click();
  await page.getByRole('link', { name: 'Hand-over page' }).click();
  await expect(page.getByRole('img', { name: 'Code that opens this page' })).toBeVisible();
  await expect(page.getByText(/^works: /).first()).toBeVisible();
  await expect(page.getByText(/^watch: /).first()).toBeVisible();
});

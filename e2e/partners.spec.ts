import Database from 'better-sqlite3';
import { expect, itemId, test } from './support/app';

test('two clients share a column: a tap swaps them, each with their own load and settings, and rests go on', async ({
  page,
  app,
}) => {
  // The demo's clients come one after the other: here the second one comes half an hour earlier.
  const db = new Database(app.database);
  db.prepare('UPDATE session SET starts_at_ms = starts_at_ms - 1800000 WHERE client_id = ?').run('anselm');
  db.close();
  const [hers, his] = [itemId('sefina', 0), itemId('anselm', 0)];
  await page.goto(`${app.url}/set/${hers}`);
  const load = page.getByTestId('set-load');
  const own = (await load.textContent())!;
  await page.getByRole('button', { name: /^Start set/ }).click();
  await page.waitForTimeout(900);
  await page.getByRole('button', { name: 'End set' }).click();
  const ended = Date.now();
  await page.getByRole('button', { name: 'Keep this' }).click();
  const swap = page.getByRole('link', { name: /^Swap to Anselm Okparaeke, Cable fly, level/ });
  await expect(swap).toContainText('stack 7.5 to 15 kg');
  await expect(swap).toContainText(/hole 16 to \d+/);
  await swap.click();
  await expect(page).toHaveURL(new RegExp(his));
  await expect(load).toHaveText('15kg');
  await page.getByRole('button', { name: /^Start set/ }).click();
  await page.waitForTimeout(900);
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await page.getByRole('link', { name: /^Swap to Sefina Taualofa/ }).click();
  await expect(page).toHaveURL(new RegExp(hers));
  await expect(load).toHaveText(own);
  // Her rest went on while he worked.
  await expect(page.getByTestId('between')).toBeVisible();
  const atLeast = Math.floor((Date.now() - ended) / 1000) - 1;
  const rest = (await page.getByRole('region', { name: 'Rest' }).textContent())!;
  const [, minutes, seconds] = /(\d+):(\d\d)/.exec(rest)!;
  expect(Number(minutes) * 60 + Number(seconds)).toBeGreaterThanOrEqual(Math.max(1, atLeast));
});

test('two share a session: the partner’s is made, what is changed between them is listed, they part again', async ({
  page,
  app,
}) => {
  const session = itemId('sefina', 0).replace(/-0$/, '');
  await page.goto(`${app.url}/plan/${session}`);
  await page.getByText('Train together with somebody').click();
  await page.getByLabel('With whom').selectOption({ label: 'Wilhelmina Brandstrup-Kjeldgaard' });
  await page.getByRole('button', { name: 'Train together', exact: true }).dblclick();
  await page.getByRole('link', { name: 'What is changed between them' }).click();
  await expect(page.getByRole('heading', { name: 'Cable fly, high to low' })).toBeVisible();
  await expect(page.getByText(/^hole \d+ to \d+$/).first()).toBeVisible();
  await expect(page.getByText(/\d+ min of 60/)).toBeVisible();
  await page.getByRole('link', { name: 'Wilhelmina Brandstrup-Kjeldgaard: plan' }).click();
  await expect(page.getByText('Together with Sefina Taualofa')).toBeVisible();
  await page.getByRole('button', { name: 'Train alone again' }).click();
  await expect(page.getByText('Train together with somebody')).toBeVisible();
});

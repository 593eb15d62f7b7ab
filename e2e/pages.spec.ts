import { expect, itemId, quiet, test } from './support/app';

test('pages say whose they are and which place, and that the next one is on its way', async ({ page, app }) => {
  const asked: string[] = [];
  page.on('request', (r) => void (r.url().includes('_rsc=') && asked.push(r.url())));
  for (const [path, title] of [
    ['/', 'Floor | Jorvix'],
    [`/set/${itemId('anselm', 0)}`, 'Anselm Okparaeke, Cable fly, level: set | Jorvix'],
    [`/setup/${itemId('wilhelmina', 2)}`, /^Wilhelmina .*, One-arm level cable row, right side: set-up \| Jorvix$/],
    ['/clients/anselm', 'Anselm Okparaeke: sheet | Jorvix'],
    ['/ledger/anselm', 'Anselm Okparaeke: ledger | Jorvix'],
    ['/movements/cable-fly-level', 'Cable fly, level | Jorvix'],
  ] as const) {
    await page.goto(app.url + path);
    await expect(page).toHaveTitle(title);
    await quiet(page);
  }
  // No link asks for what it leads to before it is pressed.
  expect(asked).toEqual([]);
  await page.route(/\/kit/, async (route) => {
    await new Promise((r) => setTimeout(r, 1500));
    await route.continue();
  });
  await page.getByRole('link', { name: 'Kit' }).click();
  await expect(page.getByTestId('opening')).toBeVisible();
  await expect(page).toHaveTitle('Kit | Jorvix');
  await expect(page.getByTestId('opening')).toHaveCount(0);
});

test('where a client stood last time is one tap away', async ({ page, app }) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 1)}`);
  await page.getByRole('button', { name: 'Save as used' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.reload();
  const hole = page.getByTestId('drag-carriage');
  const was = (await hole.getAttribute('aria-valuenow'))!;
  await expect(page.getByTestId('as-last-time')).toHaveCount(0);
  for (let i = 0; i < 3; i++) await hole.press('ArrowDown');
  await expect(hole).not.toHaveAttribute('aria-valuenow', was);
  await page.getByTestId('as-last-time').click();
  await expect(hole).toHaveAttribute('aria-valuenow', was);
  await expect(page.getByTestId('as-last-time')).toHaveCount(0);
});

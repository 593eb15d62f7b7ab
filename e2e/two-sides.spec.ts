import type { Page } from '@playwright/test';
import { expect, itemId, test } from './support/app';

/** A set of a few reps, kept. */
async function doSet(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Start set' }).click();
  for (let i = 0; i < 3; i++) {
    await page.waitForTimeout(700);
    await page.getByTestId('rep-count').click();
  }
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
}

test('a one-arm movement is planned once, done side by side, and swapped by a tap', async ({ page, app }) => {
  await page.goto(app.url);
  const plan = page.locator('#plan');
  await plan.locator('summary').click();
  await plan.getByLabel('Client').selectOption({ label: 'Anselm Okparaeke' });
  await plan.getByLabel('Movement', { exact: true }).selectOption('preacher-curl-one-arm');
  await expect(plan.getByLabel('Working')).toHaveValue('each');
  await plan.getByLabel('Starts').fill('18:00');
  await plan.getByLabel('Sets').fill('1');
  await plan.getByLabel(/^Dumbbell/).fill('8');
  await plan.getByRole('button', { name: 'Add to today' }).click();
  await expect(plan.getByText('Added')).toBeVisible();

  const row = page.getByRole('listitem').filter({ hasText: 'Preacher curl, one arm standing, left side' });
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('left 0 of 1, right 0 of 1 sets');
  await row.getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('standing, left side');
  await page.getByRole('link', { name: 'To the right side' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('standing, right side');
  await page.getByRole('link', { name: 'To the left side' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('standing, left side');
  await page.getByRole('link', { name: 'To the set' }).click();
  await expect(page.getByText('set 1 of 1, left side')).toBeVisible();
  await doSet(page);
  await page.getByRole('link', { name: 'Now the right side' }).click();
  await expect(page.getByText('set 1 of 1, right side')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start set' })).toBeEnabled();

  await page.goto(app.url);
  // Under way: it is the movement that stands first.
  const now = page.getByRole('article').filter({ hasText: 'Preacher curl, one arm standing, right side' });
  await expect(now).toContainText('left 1 of 1, right 0 of 1 sets');
  // Both sides done: the next movement in one tap, with what is changed on the way.
  await now.getByRole('link', { name: 'To the set' }).click();
  await doSet(page);
  const next = page.getByRole('link', { name: /^Next: Cable fly, level/ });
  await expect(next).toContainText(/hole \d+/);
  await expect(next).toContainText('stack 15 kg');
  await expect(page.getByRole('link', { name: 'Now the left side' })).toHaveCount(0);
  await next.click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Cable fly, level');
});

test('on one column each side has a bench of its own: what was moved for the one is not the other’s', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  const hole = page.getByTestId('drag-carriage');
  const was = (await hole.getAttribute('aria-valuenow'))!;
  for (let i = 0; i < 3; i++) await hole.press('ArrowUp');
  await expect(hole).not.toHaveAttribute('aria-valuenow', was);
  await page.getByRole('link', { name: 'To the left side' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('row, left side');
  await expect(hole).toHaveAttribute('aria-valuenow', was);
});

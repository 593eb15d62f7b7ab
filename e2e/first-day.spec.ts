import type { Locator, Page } from '@playwright/test';
import { expect, test } from './support/app';

/** A hand that counts: each press of a finger, and each key of what is typed. */
function counting() {
  const count = { taps: 0, keys: 0 };
  return {
    count,
    tap: async (what: Locator): Promise<void> => {
      count.taps++;
      await what.click();
    },
    type: async (what: Locator, text: string): Promise<void> => {
      count.taps++;
      count.keys += text.length;
      await what.click();
      // What stands in the box is marked by the tap, or typed over.
      await what.fill('');
      await what.pressSequentially(text);
    },
    choose: async (what: Locator, value: string): Promise<void> => {
      count.taps += 2;
      await what.selectOption(value);
    },
  };
}

const MOST = { taps: 70, keys: 150 };

test('from an empty database to the second movement’s set-up in under 70 taps and 150 keystrokes', async ({
  page,
  emptyApp,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const { count, tap, type, choose } = counting();
  const button = (name: string | RegExp, on: Page | Locator = page) => on.getByRole('button', { name });
  const link = (name: string | RegExp, on: Page | Locator = page) => on.getByRole('link', { name });
  const add = page.getByRole('navigation', { name: 'Add kit' });
  await page.goto(emptyApp.url);
  await type(page.getByLabel('Your name'), 'Oriel');
  await type(page.getByRole('textbox', { name: 'Passphrase' }), 'salt wind over the quay');
  await tap(button('Begin as the owner'));

  await tap(link('Kit'));
  await tap(link('columns', add));
  await type(page.getByLabel('Name'), 'Twin');
  await type(page.getByLabel('Holes'), '20');
  for (const [i, hole, height] of [
    [0, '1', '25'],
    [1, '20', '215'],
  ] as const) {
    await type(page.getByLabel('Hole', { exact: true }).nth(i), hole);
    await type(page.getByLabel('Height').nth(i), height);
  }
  await type(page.getByLabel('Pulley to pulley'), '240');
  await type(page.getByLabel('Loads, each side'), '5-50 by 5');
  await tap(button('Save columns'));
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}$/);
  await tap(link('Kit'));
  await tap(link('handle', add));
  await type(page.getByLabel('Name'), 'D');
  await tap(button('Save handle'));
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}$/);

  await tap(link('Clients'));
  await tap(link('Add a client'));
  await type(page.getByLabel('Name'), 'Ilse');
  await type(page.getByLabel('Stature'), '172');
  await tap(button('Save client'));
  await expect(page).toHaveURL(/clients\/[0-9a-f-]{36}$/);
  await expect(page.getByText('estimated: 64', { exact: true })).toBeVisible();

  await tap(link('Floor'));
  await tap(page.getByText('Add a movement to today'));
  await type(page.getByLabel(/^Stack, each side/), '10');
  await tap(button('Add to today'));
  const card = page.getByTestId('floor-plates').first();
  await expect(card).toContainText('Hole');
  await tap(link('Set up').first());
  await tap(
    link(/To the set/)
      .or(button(/To the set/))
      .first(),
  );
  await tap(button(/^Start set/));
  await page.waitForTimeout(800);
  await tap(button('End set'));
  await tap(button('Keep this'));

  await tap(link('Floor'));
  await tap(page.getByText('Add a movement to today'));
  await choose(page.getByLabel('Movement'), 'cable-fly-low-to-high');
  await type(page.getByLabel(/^Stack, each side/), '5');
  await tap(button('Add to today'));
  await tap(link(/^Cable fly, low to high/));
  await expect(page.getByRole('complementary', { name: 'Answer' })).toContainText('Hole');
  console.log(`from nothing to the second set-up: ${count.taps} taps, ${count.keys} keystrokes`);
  expect(count.taps).toBeLessThan(MOST.taps);
  expect(count.keys).toBeLessThan(MOST.keys);
});

test('a client and a piece of kit are put away and taken back', async ({ page, app }) => {
  for (const [list, name] of [
    ['/clients', 'Wilhelmina Brandstrup-Kjeldgaard'],
    ['/kit', 'Short pair at the stairs'],
  ] as const) {
    await page.goto(app.url + list);
    const row = page.getByRole('main').getByRole('link', { name: new RegExp(name) });
    await row.click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    await page.getByRole('button', { name: 'Put away' }).click();
    await expect(page.getByRole('status').filter({ hasText: `${name} is put away` })).toBeVisible();
    await expect(row).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(row).toHaveCount(1);
    await row.click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
    await page.getByRole('button', { name: 'Put away' }).click();
    await page.getByText('Put away (1)').click();
    await page.getByRole('button', { name: `Take back ${name}` }).click();
    await expect(row).toHaveCount(1);
  }
});

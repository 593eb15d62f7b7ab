import { expect, measureHoles, test } from './support/app';

test('a new gym, step by step: owner, gym with common kit, column by two holes, client, set-up', async ({
  page,
  emptyApp,
}) => {
  await page.goto(emptyApp.url);
  await page.getByLabel('Your name').fill('Oriel');
  await page.getByRole('textbox', { name: 'Passphrase' }).fill('salt wind over the quay');
  await page.getByRole('button', { name: 'Begin as the owner' }).click();
  await expect(page).toHaveURL(/\/start$/);
  const step = (name: string) => page.locator(`li[data-step="${name}"]`);
  await expect(step('owner')).toContainText('done');
  await expect(step('gym')).toHaveAttribute('data-state', 'open');
  await page.getByRole('link', { name: 'Name the gym' }).click();
  const bar = page.getByRole('complementary', { name: 'First steps' });
  await expect(bar).toContainText('Step 2 of 5');
  await page.getByLabel('Gym', { exact: true }).fill('Quayside');
  await page.getByRole('button', { name: 'Add gym' }).click();
  await expect(page.getByRole('heading', { name: /Quayside/ })).toBeVisible();
  await expect(bar).toContainText('Step 3 of 5');

  // Kit that most gyms have, at once; it says that nobody measured it.
  for (const name of ['Handle', 'Rope', 'Flat bench']) await page.getByRole('checkbox', { name, exact: true }).check();
  await page.getByRole('button', { name: 'Add 3 pieces' }).click();
  await expect(page.getByText('usual sizes, not measured')).toHaveCount(3);
  await expect(page.getByText('1 notch, seat 44 cm')).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'Handle is there' })).toBeDisabled();

  await bar.getByRole('link', { name: 'Measure a column' }).click();
  await page.getByLabel('Name').fill('Twin');
  await page.getByLabel('Holes', { exact: true }).fill('20');
  await measureHoles(page, ['1', '25'], ['20', '215']);
  await page.getByLabel('Pulley to pulley').fill('240');
  await page.getByLabel('Loads, each side').fill('5-50 by 5');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(bar).toContainText('Step 4 of 5');
  await bar.getByRole('button', { name: 'Later' }).click();
  await expect(bar).toContainText('Step 5 of 5');
  await bar.getByRole('link', { name: 'All steps' }).click();
  await page.getByRole('button', { name: 'Take it up: A client' }).click();
  await page.getByRole('link', { name: 'Enter a client' }).click();
  await page.getByLabel('Name').fill('Ilse');
  await page.getByLabel('Stature').fill('172');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(bar).toContainText('Step 5 of 5');
  await bar.getByRole('link', { name: 'Plan a movement' }).click();
  await page.getByText('Add a movement to today').click();
  await page.getByLabel(/^Stack, each side/).fill('10');
  await page.getByRole('button', { name: 'Add to today' }).click();
  await expect(page.getByTestId('floor-plates').first()).toContainText('Hole');
  await expect(bar).toHaveCount(0);
  await page.goto(`${emptyApp.url}/start`);
  await expect(page.getByText('That was all.')).toBeVisible();
});

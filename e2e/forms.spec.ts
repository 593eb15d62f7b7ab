import { expect, itemId, measureHoles, test } from './support/app';

test(
  'client sheet: slips are told at their field, nothing typed is lost, and a measured height moves ' +
    'what hangs from it',
  async ({ page, app }) => {
    await page.goto(`${app.url}/clients/anselm`);
    const wrist = page.getByTestId('height-wristHeight');
    await expect(wrist).toContainText('85.0');
    await expect(page.getByTestId('height-shoulderHeight')).toHaveAttribute('data-source', 'estimated');
    await page.getByLabel('Stature').fill('260');
    await page.getByLabel('Note, shown on the floor').fill('Kept while other boxes are wrong');
    await page.getByLabel('Shoulder', { exact: true }).fill('150');
    await page.getByRole('button', { name: 'Save client' }).click();
    await expect(page.getByText('expected a number from 120 to 230 cm')).toBeVisible();
    await expect(page.getByLabel('Stature')).toBeFocused();
    await expect(page.getByLabel('Note, shown on the floor')).toHaveValue('Kept while other boxes are wrong');
    await page.getByLabel('Stature').fill('175');
    await expect(page.getByTestId('height-shoulderHeight')).toHaveAttribute('data-source', 'measured');
    await expect(wrist).toHaveAttribute('data-source', 'derived');
    await expect(wrist).toContainText('91.'); // 150 less upper arm and forearm by ratio
    await page.getByRole('button', { name: 'Save client' }).click();
    await expect(page.getByText('Saved')).toBeVisible();
    await page.goto(`${app.url}/setup/${itemId('anselm', 1)}`);
    await expect(page.getByText('measured').first()).toBeVisible();
    await expect(page.getByText('in the estimated shoulder height')).toHaveCount(0);
  },
);

test('client sheet: how far the joints go is typed side by side, told where it is wrong, and stands', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/clients/sefina`);
  const box = (name: string) => page.getByLabel(name, { exact: true });
  await box('Arm up ahead, left').fill('171');
  await box('Arm up ahead, right').fill('400');
  await box('Knee bend, right').fill('133');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(box('Arm up ahead, right')).toBeFocused();
  await expect(box('Arm up ahead, right')).toHaveAttribute('aria-invalid', 'true');
  await box('Arm up ahead, right').fill('165');
  await expect(box('Arm up ahead, right')).not.toHaveAttribute('aria-invalid', 'true');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  for (const [name, deg] of [
    ['Arm up ahead, left', '171°'],
    ['Arm up ahead, right', '165°'],
    ['Knee bend, right', '133°'],
    ['Knee bend, left', ''],
  ] as const)
    await expect(box(name)).toHaveValue(deg);
  // What no box can say is said over the form.
  const add = page.getByRole('button', { name: 'Add a clinician’s limit' });
  for (let n = 0; n < 21; n++) await add.click();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'expected at most 20 limits' })).toBeVisible();
});

test('kit: the fit and its residual are live; wrong columns are told where', async ({ page, app }) => {
  await page.goto(`${app.url}/kit/long-pair`);
  const fit = page.getByTestId('kit-fit');
  await expect(fit).toContainText('Hole 1 at 25.0 cm, 10.00 cm from hole to hole');
  await page.getByRole('button', { name: 'Another hole' }).click();
  await page.getByLabel('Hole', { exact: true }).nth(2).fill('10');
  await page.getByLabel('Height').nth(2).fill('116');
  await expect(fit).toContainText('Furthest reading 0.7 cm off the fit');
  await page.getByLabel('Hole', { exact: true }).nth(2).fill('40');
  await page.getByLabel('Pulley to pulley').fill('50');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page.getByText('expected a hole from 1 to 20')).toBeVisible();
  await page.getByLabel('Hole', { exact: true }).nth(2).fill('10');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page.getByText('wider than the shoulders of Tevita')).toBeVisible();
  await expect(page.getByLabel('Height').nth(2)).toHaveValue('116 cm');
});

test('a column that stops low blocks with its limit and the nearest that works', async ({ page, app }) => {
  await page.goto(`${app.url}/kit/new?kind=column`);
  await page.getByLabel('Name').fill('Low pair');
  await page.getByLabel('Holes').fill('8');
  await measureHoles(page, ['1', '20'], ['8', '90']);
  await page.getByLabel('Pulley to pulley').fill('240');
  await page.getByLabel('Loads, each side').fill('5 10 15');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}/);
  const low = page.url().split('/').pop()!;
  await page.goto(`${app.url}/setup/${itemId('anselm', 1)}?station=${low}`);
  const alert = page.getByRole('alert').filter({ hasText: 'Low pair cannot serve this' });
  await expect(alert).toContainText(/would rest for|No hole and place/);
  await expect(alert).toContainText(/Nearest that works here: cable fly, low to high, .*\d+ kg for the same peak/);
  await expect(alert.getByRole('link', { name: 'Plan it for today' })).toHaveAttribute(
    'href',
    '/?plan=cable-fly-low-to-high&client=anselm',
  );
  await page.goto(`${app.url}/setup/${itemId('anselm', 1)}?station=short-pair`);
  await expect(page.getByTestId('plate-hole')).toBeVisible();
});

test('a load too light for a pull says which step would do; changed in the plan it has its place', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/?plan=pulldown-one-arm-underhand&client=tevita`);
  await page.getByLabel('Stack, kg').fill('2.5');
  await page.getByRole('button', { name: 'Add to today' }).click();
  await page.getByRole('link', { name: /underhand pulldown/ }).click();
  const enough = page.getByTestId('enough-load');
  await expect(enough).toContainText('With 5 kg it works here, at hole 20.');
  const setup = page.url();
  await enough.getByRole('link', { name: 'Change the load in the plan' }).click();
  await page.getByRole('button', { name: /^Change .*underhand/ }).click();
  await page.getByLabel('Load, kg').fill('5');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/, 5 kg, each side/)).toBeVisible();
  await page.goto(setup);
  await expect(page.getByTestId('plate-hole')).toContainText('20');
  await expect(enough).toHaveCount(0);
});

test('the solver answers over HTTP as it does on the command line', async ({ context: { request }, app }) => {
  const question = {
    format: 'jorvix-case/1',
    client: { statureM: 1.75, massKg: 75 },
    attachment: { lengthM: 0.14 },
    movement: 'cable-fly-level',
    side: 'both',
    loadKg: 15,
    station: { column: { firstHoleM: 0.25, pitchM: 0.1, holes: 20, numberedFrom: 'bottom', twinSpacingM: 2.4 } },
  };
  const good = await request.post(`${app.url}/api/v1/solve`, { data: question });
  expect([good.status(), (await good.json()).best.hole]).toEqual([200, 12]);
  const bad = await request.post(`${app.url}/api/v1/solve`, { data: [question, { ...question, loadKg: -1 }] });
  expect([bad.status(), (await bad.json()).issues]).toEqual([
    400,
    [{ path: '1.loadKg', message: 'expected a number from 0 to 500 kg' }],
  ]);
});

test('from nothing: kit, client and plan through the interface alone', async ({ page, emptyApp }) => {
  await page.goto(emptyApp.url);
  await page.getByLabel('Your name').fill('Oriel Vantage');
  await page.getByRole('textbox', { name: 'Passphrase' }).fill('salt wind over the quay');
  await page.getByRole('button', { name: 'Begin as the owner' }).click();
  await expect(page.getByRole('heading', { name: 'First steps' })).toBeVisible();
  await page.goto(emptyApp.url);
  await expect(page.getByText('Nobody is planned for today')).toBeVisible();
  await page.goto(`${emptyApp.url}/kit/new?kind=column`);
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page.getByText('expected 1 to 60 characters')).toBeVisible();
  await page.getByLabel('Name').fill('Twin');
  await page.getByLabel('Holes').fill('20');
  await measureHoles(page, ['1', '25'], ['20', '215']);
  await page.getByLabel('Pulley to pulley').fill('240');
  await page.getByLabel('Loads, each side').fill('5-15 by 5, twenty');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page.getByText('“twenty”: expected numbers from')).toBeVisible();
  await expect(page.getByLabel('Loads, each side')).toHaveValue('5-15 by 5, twenty');
  await page.getByLabel('Loads, each side').fill('5-15 by 5');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page).toHaveURL(/[0-9a-f-]{36}$/);
  await page.goto(`${emptyApp.url}/kit`);
  await page.getByRole('navigation', { name: 'Add kit' }).getByRole('link', { name: 'handle' }).click();
  await page.getByLabel('Name').fill('D-handle');
  // What it usually measures stands there and saves as it is.
  await expect(page.getByLabel('Cable end to grip')).toHaveValue('14 cm');
  await page.getByRole('button', { name: 'Save handle' }).click();
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}$/);
  await page.goto(`${emptyApp.url}/clients/new`);
  await page.getByLabel('Name').fill('Oyelaran Petrescu');
  await page.getByLabel('Stature').fill(`5'11"`);
  await page.getByLabel('Mass').fill('180 lb');
  await page.getByLabel('Name').focus();
  await expect(page.getByLabel('Stature')).toHaveValue('180.3 cm');
  await expect(page.getByText('5 ft 11 in')).toBeVisible();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page).toHaveURL(/clients\/[0-9a-f-]{36}$/);
  await expect(page.getByLabel('Mass')).toHaveValue('81.6 kg');
  // As it is said of this client: a bare number is inches or pounds, and stays so.
  await page.getByLabel('Units').selectOption('feet and pounds');
  await expect(page.getByLabel('Stature')).toHaveValue('5 ft 11 in');
  await page.getByLabel('Stature').fill('70');
  await page.getByLabel('Mass').fill('176');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Stature')).toHaveValue('5 ft 10 in');
  await expect(page.getByLabel('Mass')).toHaveValue('176 lb');
  await expect(page.getByText('177.8 cm').first()).toBeVisible();
  await page.goto(emptyApp.url);
  await page.getByText('Add a movement to today').click();
  await page.getByLabel('Starts').fill('9:30');
  await page.getByLabel('Stack, each side, kg').fill('12');
  await page.getByRole('button', { name: 'Add to today' }).click();
  await expect(page.getByText('the nearest is 10 kg')).toBeVisible();
  await page.getByLabel('Stack, each side, kg').fill('10');
  await page.getByRole('button', { name: 'Add to today' }).click();
  await expect(page.getByRole('heading', { name: 'Oyelaran Petrescu' })).toBeVisible();
  await expect(page.getByTestId('floor-plates')).toContainText('Hole');
});

import Database from 'better-sqlite3';
import { expect, itemId, measureHoles, test } from './support/app';

test('a bench: fit and drawing as it is typed, left half-filled, back again, saved, nearest notches', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/kit`);
  await page.getByRole('navigation', { name: 'Add kit' }).getByRole('link', { name: 'bench', exact: true }).click();
  await page.getByLabel('Name').fill('Green bench');
  await page.getByLabel('Notches of the back').fill('6');
  await page.getByLabel('Notch', { exact: true }).fill('1');
  await page.getByLabel('Above level').fill('0');
  await page.goto(`${app.url}/kit`);
  await page.goto(`${app.url}/kit/new?kind=bench`);
  await expect(page.getByText('What you had typed here and not saved is back')).toBeVisible();
  await expect(page.getByLabel('Name')).toHaveValue('Green bench');
  await page.getByRole('button', { name: 'Another notch' }).click();
  await page.getByLabel('Notch', { exact: true }).nth(1).fill('6');
  await page.getByLabel('Above level').nth(1).fill('80');
  await expect(page.getByTestId('kit-fit')).toContainText('1: 0°, 2: 16°, 3: 32°, 4: 48°, 5: 64°, 6: 80°');
  await page.getByRole('button', { name: 'Save bench' }).click();
  await expect(page.getByLabel('Seat above the floor')).toBeFocused();
  await expect(page.getByText('expected a number from 20 to 80 cm')).toBeVisible();
  await page.getByLabel('Seat above the floor').fill('45');
  await page.getByLabel('Foot to foot').fill('110');
  await page.getByLabel('Blocks and plates').fill('5.5');
  await expect(page.getByRole('img', { name: 'bench, to scale' })).toContainText('2.9° down');
  await expect(page.getByRole('row', { name: /incline curl, 60°/ })).toContainText('notch 5');
  await page.getByRole('button', { name: 'Save bench' }).click();
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}$/);
  await page.goto(`${app.url}/kit/new?kind=bench`);
  await expect(page.getByText('What you had typed')).toHaveCount(0);
  await expect(page.getByLabel('Name')).toHaveValue('');
});

test('a column with swinging arms, and a left column with numbers of its own', async ({ page, app }) => {
  await page.goto(`${app.url}/kit/new?kind=column`);
  await page.getByLabel('Name').fill('Arms by the door');
  await page.getByLabel('Kind').selectOption('arms');
  await page.getByLabel('Holes', { exact: true }).fill('9');
  await page.getByLabel('Floor to the arm’s pivot').fill('100');
  await page.getByLabel('Pivot to pulley').fill('80');
  await measureHoles(page, ['1', '60'], ['9', '140']);
  await expect(page.getByTestId('kit-fit')).toContainText('Notch 1 at -30.0 °, 7.50 ° from notch to notch');
  await page.getByLabel('Kind').selectOption('twin');
  await page.getByLabel('Left column’s numbers').selectOption('own');
  await page.getByLabel('Holes, left').fill('12');
  await page.getByLabel('Left hole', { exact: true }).nth(0).fill('1');
  await page.getByLabel('Left height').nth(0).fill('140');
  await page.getByRole('button', { name: 'Save columns' }).click();
  await expect(page.getByText('expected two measured holes')).toBeVisible();
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}?station=odd-pair`);
  // Holes are named by the right column; the left one's own number stands beside it. Its holes run the other way, so
  // that one of them has the same number.
  await page.getByRole('button', { name: 'Lower hole number' }).first().click();
  await expect(page.getByTestId('plate-hole')).toHaveText(/^\d+ \| \d+$/);
});

test('client sheet: measure what matters first, test the arm path, note, limit and screen; the set-up obeys', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/clients/anselm`);
  const guide = page.getByRole('list', { name: 'Measure next' });
  await expect(guide.getByRole('button').first()).toContainText('Shoulder');
  await expect(guide.getByRole('button').first()).toContainText(/2 cm: (same hole|one hole|\d holes)/);
  await guide.getByRole('button').first().click();
  await expect(page.getByTestId('tape')).toBeVisible();
  await expect(page.getByLabel('Shoulder', { exact: true })).toBeFocused();
  await page.getByLabel('Knuckles above the kneecaps').fill('0');
  await expect(page.getByTestId('hinge-seen')).toHaveText(/^Trunk (3|4)\d° up\.$/);
  await expect(page.getByTestId('arm-path-right')).toContainText(/Furthest at 2\d° below level/);
  await page.getByLabel('Elbow behind the back, left, 20 degrees below level').fill('');
  await page.getByLabel('Elbow behind the back, left, 30 degrees below level').fill('');
  await expect(page.getByTestId('arm-path-left')).toContainText('2 of 3 paths tried');
  await page.getByRole('switch', { name: /^Shoulder/ }).click();
  await page.getByRole('button', { name: 'Add a clinician’s limit' }).click();
  await page.getByLabel('At most').fill('10');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('expected 1 to 80 characters')).toBeVisible();
  await page.getByLabel('Set by (role)').fill('physiotherapist');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  await expect(page.getByText('Clinician’s limit: 10 kg in the hand')).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'cannot serve this' })).toContainText(
    '15 kg in the hand: the clinician’s limit is 10 kg',
  );
  await page.goto(`${app.url}/set/${itemId('anselm', 0)}`);
  await expect(page.getByRole('button', { name: 'Start set' })).toBeDisabled();

  await page.goto(`${app.url}/clients/anselm`);
  await page.getByRole('button', { name: 'Remove limit 1' }).click();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  await expect(page.getByText('Clinician’s limit')).toHaveCount(0);
  await expect(page.getByTestId('verdicts')).toContainText('for the shoulder note');
  // The other journeys know this client without the note.
  await page.goto(`${app.url}/clients/anselm`);
  await page.getByRole('switch', { name: /^Shoulder/ }).click();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('an old screening warns wherever loading is near, until a new one is on record', async ({ page, app }) => {
  const set = `${app.url}/set/${itemId('wilhelmina', 0)}`;
  await page.goto(app.url);
  await expect(page.getByTestId('screening-warning')).toHaveCount(1);
  await page.goto(set);
  await page.getByTestId('screening-warning').getByRole('link').click();
  await expect(page).toHaveURL(/clients\/wilhelmina#screening/);
  await page.getByRole('button', { name: 'Add to the record' }).click();
  await expect(page.getByText('expected 1 to 80 characters')).toBeVisible();
  await page.getByLabel('Done by').fill('Ngaire Castellanos');
  await page.getByLabel('By which procedure').fill('questionnaire on paper');
  await page.getByRole('button', { name: 'Add to the record' }).click();
  await expect(page.getByText(/Last done .* by Ngaire Castellanos: questionnaire on paper/)).toBeVisible();
  await page.goto(set);
  await expect(page.getByTestId('screening-warning')).toHaveCount(0);
});

test('a column that is out of order is passed over, and the floor says what stands in', async ({ page, app }) => {
  const mark = async (state: string) => {
    await page.goto(`${app.url}/kit/short-pair`);
    await page.getByLabel('Out of order').selectOption(state);
    await page.getByRole('button', { name: 'Save columns' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  };
  await mark('yes');
  await expect(page.getByText('Stands in meanwhile')).toBeVisible();
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 0)}`);
  await expect(
    page.getByText('Short pair at the stairs is out of order. Set up on Long pair by the window instead.'),
  ).toBeVisible();
  await expect(page.getByTestId('plate-hole')).toHaveText(/^\d+$/);
  await mark('no');
  const db = new Database(app.database, { readonly: true });
  expect(db.prepare("SELECT out_of_order AS o FROM kit_piece WHERE id = 'short-pair'").get()).toEqual({ o: 0 });
  db.close();
});

test('kit and client sheets by keyboard alone', async ({ page, app }) => {
  await page.goto(`${app.url}/kit/new?kind=strap-anchor`);
  await expect(page.getByLabel('Name')).toBeEnabled();
  await page.getByLabel('Name').focus();
  await page.keyboard.type('Hook');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('250');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/kit\/[0-9a-f-]{36}$/);
  await page.goto(`${app.url}/clients/sefina`);
  await expect(page.getByRole('switch', { name: /^Knee/ })).toBeEnabled();
  await page.getByRole('switch', { name: /^Knee/ }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByRole('switch', { name: /^Knee/ })).toHaveAttribute('aria-checked', 'true');
});

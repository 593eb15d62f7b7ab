import { expect, itemId, openSection, test } from './support/app';

test('a variant of one’s own: changed, seen, named, kept, planned, set up and run', async ({ page, app }) => {
  await page.goto(`${app.url}/movements/rear-delt-cable-fly-one-arm?client=anselm`);
  const facts = page.getByRole('complementary', { name: 'Facts' });
  await facts.getByText('Make it your own').click();
  // Anselm’s right side was measured: the path is his own until it is changed.
  const path = facts.getByRole('slider', { name: 'Arm path, below shoulder level' });
  await expect(path).toHaveAttribute('aria-valuetext', /, the client’s/);
  const curve = page.getByRole('img', { name: /^Resistance over the rep/ });
  const before = await curve.getAttribute('aria-label');
  await path.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowLeft');
  await expect(path).toHaveAttribute('aria-valuetext', /^\d+°$/);
  await expect(curve).not.toHaveAttribute('aria-label', before!);
  await facts.getByLabel('Cue, one breath').fill('one two three four five six seven eight nine ten eleven');
  await facts.getByRole('button', { name: 'Keep as a new variant' }).click();
  await expect(facts.getByText('expected 1 to 60 characters')).toBeVisible();
  await expect(facts.getByText('expected at most 10 words: one breath')).toBeVisible();
  await facts.getByLabel('Cue, one breath').fill('Reach round the barrel');
  await facts.getByLabel('Name of your variant').fill('Higher path');
  await facts.getByRole('button', { name: 'Keep as a new variant' }).click();
  await expect(facts.getByRole('radio', { name: 'Higher path' })).toHaveAttribute('aria-checked', 'true');
  await page.reload();
  await facts.getByRole('radio', { name: 'Higher path' }).click();
  await expect(facts.getByText('“Reach round the barrel”')).toBeVisible();
  await facts.getByRole('link', { name: 'Add it to today' }).click();

  await expect(page).toHaveURL(/plan=rear-delt/);
  await expect(page.getByRole('combobox', { name: 'Movement' })).toHaveValue('rear-delt-cable-fly-one-arm');
  await expect(page.getByLabel('Variant', { exact: true })).toHaveValue(/.{36}/);
  await page.getByLabel('Starts').fill('18:30');
  await page.getByLabel('Stack, kg').fill('7.5');
  await page.getByRole('button', { name: 'Add to today' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Added' })).toBeVisible();
  const line = page.getByRole('link', { name: /rear-deltoid cable fly, Higher path/ });
  await line.click();

  await expect(page.getByRole('heading', { name: /One-arm rear-deltoid cable fly, Higher path/ })).toBeVisible();
  await expect(page.getByTestId('region')).toContainText('rear deltoid');
  await openSection(page, 'Choices');
  await expect(page.getByLabel('Arm path, below shoulder level')).not.toHaveValue('');
  const hole = Number(await page.getByTestId('drag-carriage').getAttribute('aria-valuenow'));
  for (let i = 0; i < 5; i++) await page.getByTestId('drag-carriage').press('ArrowDown');
  await expect(page.getByTestId('drag-carriage')).toHaveAttribute('aria-valuenow', String(hole - 5));
  await page.getByTestId('least-change').click();
  await page.getByRole('button', { name: 'Save as used' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
  await page.getByRole('link', { name: 'To the set' }).click();
  await expect(page.getByTestId('cue')).toHaveText('Reach round the barrel');
  await expect(page.getByTestId('breath')).toContainText('Breathe');
  await page.getByRole('button', { name: 'Start set' }).click();
  await page.locator('[data-fault="arm-tucks"]').click();
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
  await page.goto(`${app.url}/ledger/anselm`);
  await expect(page.getByRole('heading', { name: 'One-arm rear-deltoid cable fly' })).toBeVisible();
});

test(
  'a movement without a cable: seat by fit, options change the answer, saved as used, run with its ' + 'own load steps',
  async ({ page, app }) => {
    await page.goto(`${app.url}/setup/${itemId('wilhelmina', 3)}`);
    await expect(page.getByTestId('plate-seat-hole')).toContainText('3');
    await expect(page.getByTestId('plate-load')).toContainText('9');
    await expect(page.getByText('Stop short of a straight elbow')).toBeVisible();
    const range = page.getByTestId('plate-stops');
    const whole = await range.textContent();
    await openSection(page, 'Choices');
    await page.getByLabel('How far up', { exact: true }).selectOption('stop-at-ninety');
    await expect(range).not.toHaveText(whole!);
    await page.getByRole('button', { name: 'Save as used' }).click();
    await expect(page.getByRole('button', { name: 'Saved' })).toBeDisabled();
    await page.reload();
    await expect(page.getByLabel('How far up', { exact: true })).toHaveValue('stop-at-ninety');
    await page.getByRole('link', { name: 'To the set' }).click();
    await expect(page.getByRole('region', { name: 'Settings' })).toContainText('Seat');
    await expect(page.getByTestId('set-load')).toHaveText('9kg');
    await page.getByRole('button', { name: 'One step heavier' }).click();
    await expect(page.getByTestId('set-load')).toHaveText('10kg');
    await page.getByRole('button', { name: 'One step heavier' }).click();
    await expect(page.getByTestId('set-load')).toHaveText('12kg');
    await page.goto(app.url);
    await expect(page.getByRole('link', { name: /Preacher curl, neutral/ })).toBeVisible();
  },
);

test('legs and hinges: the knee to the axis, the knuckles over the kneecaps, faults with what they cost', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 4)}`);
  await expect(page.getByText(/^knee (on the axis|\d+ cm (past|short of))/)).toBeVisible();
  await expect(page.getByText('Knee on the machine’s axis')).toBeVisible();
  // Its stack is stamped in pounds.
  await expect(page.getByTestId('plate-load')).toHaveText(/^\d+lb$/);
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 5)}`);
  await expect(page.getByTestId('plate-hinge')).toContainText('kneecaps');
  await page.goto(`${app.url}/movements/barbell-curl?client=wilhelmina`);
  await page.getByText('What goes wrong, what it costs').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'elbow drifts back' })).toContainText(
    /20° of it costs \d+ % of the resistance/,
  );
});

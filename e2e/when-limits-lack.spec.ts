import { expect, itemId, test } from './support/app';

// Among the last of the journeys: the note that it takes would stop the others.
test('a note that asks for a clinician’s limit stops the set until one is entered or a reason is on record', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/clients/wilhelmina`);
  await page.getByRole('switch', { name: /^Pregnan/ }).click();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();

  await page.goto(`${app.url}/set/${itemId('wilhelmina', 5)}`);
  const panel = page.getByRole('alert', { name: 'Clinician’s limit missing' });
  await expect(panel).toContainText('No clinician’s limit covers this movement');
  await expect(page.getByRole('button', { name: /^Start set/ })).toBeDisabled();
  await expect(panel.getByRole('button', { name: 'Record and go ahead' })).toBeDisabled();
  await panel.getByLabel('Why it goes ahead today').fill('the midwife cleared rows this morning');
  await panel.getByRole('button', { name: 'Record and go ahead' }).click();
  await expect(page.getByRole('button', { name: /^Start set/ })).toBeEnabled();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Start set/ })).toBeEnabled();
  await page.getByTestId('undo').click();
  await expect(panel).toBeVisible();

  await panel.getByRole('link', { name: 'Enter a limit' }).click();
  await page.getByRole('button', { name: 'Add a clinician’s limit' }).click();
  await page.getByLabel('Limits').last().selectOption('load-in-hand');
  await page.getByLabel('At most').last().fill('4');
  await page.getByLabel('Set by (role)').last().fill('midwife');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 5)}`);
  await expect(panel).toBeHidden();
  // The limit is there now, and what is planned is more than it allows.
  await expect(page.getByRole('button', { name: /^Start set/ })).toBeDisabled();
});

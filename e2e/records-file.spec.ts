import Database from 'better-sqlite3';
import { readFileSync } from 'node:fs';
import type { Browser, Page } from '@playwright/test';
import type { App } from '../scripts/launch-app';
import { expect, test } from './support/app';

/** The records as the owner opens them. */
async function openRecords(browser: Browser, app: App): Promise<Page> {
  const context = await browser.newContext();
  await app.signIn(context, 'owner');
  const page = await context.newPage();
  await page.goto(`${app.url}/records`);
  return page;
}

test('records leave as a file and tables; a file with a wrong row is looked at and taken without it', async ({
  browser,
  app,
}) => {
  const page = await openRecords(browser, app);
  const saved = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take the records along' }).click();
  const text = readFileSync(await (await saved).path(), 'utf8');
  const doc = JSON.parse(text) as { tables: Record<string, Record<string, unknown>[]> };
  expect(doc.tables.client!.length).toBeGreaterThan(5);
  const table = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Sets', exact: true }).click();
  expect(readFileSync(await (await table).path(), 'utf8')).toMatch(/^client,client id,movement,/);

  const look = async (file: string, name: string): Promise<void> => {
    const chosen = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Look at a file of records' }).click();
    await (await chosen).setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(file) });
  };
  await look('{"a": 1}', 'other.json');
  await expect(page.getByText(/^Expected a file of records/)).toBeVisible();
  const [first, second] = doc.tables.client! as [Record<string, unknown>, Record<string, unknown>];
  first.note = 'Came back from a file';
  second.stature_m = 9;
  await look(JSON.stringify(doc), 'records.json');
  const clients = page.locator('tr[data-table="client"]');
  await expect(clients.locator('td')).toHaveText([/^client /, '0', '1', /^\d+$/, '1']);
  await expect(page.getByRole('cell', { name: 'stature_m', exact: true })).toBeVisible();
  const noteOf = (): unknown => {
    const db = new Database(app.database, { readonly: true });
    const note = db.prepare('SELECT note FROM client WHERE id = ?').pluck().get(first.id);
    db.close();
    return note;
  };
  expect(noteOf()).not.toBe(first.note);
  await page.getByRole('button', { name: 'Take 1 row', exact: true }).click();
  await expect(page.getByText('Taken. What it did is with the changes.')).toBeVisible();
  expect(noteOf()).toBe(first.note);
  await expect(page.getByRole('cell', { name: 'Records taken in from a file' })).toBeVisible();

  // One client's alone, and then erased for good: their name has to be typed.
  await page.goto(`${app.url}/clients/iolana`);
  const alone = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take this client’s records along' }).click();
  const own = JSON.parse(readFileSync(await (await alone).path(), 'utf8')) as typeof doc;
  expect(own.tables.client!.map((c) => c.id)).toEqual(['iolana']);
  await page.getByText('Erase for good', { exact: true }).first().click();
  const erase = page.getByRole('button', { name: 'Erase for good' });
  await page.getByLabel('Type the client’s name to erase').fill('Iolana');
  await erase.click();
  await expect(page.getByText('expected the client’s name as it stands above')).toBeVisible();
  await page.getByLabel('Type the client’s name to erase').fill('Iolana Brzezicki');
  await erase.click();
  await expect(page).toHaveURL(/\/clients$/);
  await expect(page.getByText('Iolana Brzezicki')).toHaveCount(0);
  expect((await page.request.get(`${app.url}/clients/iolana`)).status()).toBe(404);
  await page.context().close();
});

test('a stranger’s spreadsheet: columns and names matched by hand, wrong rows told; the next is known', async ({
  browser,
  app,
}) => {
  const page = await openRecords(browser, app);
  const lines = [
    'How it felt;Kilos;Did;Lift;When;Whom',
    'easy;12,5;3x10;Fly from below;3.9.2026;Sefina T.',
    ';15;9/8;Fly from below;10.9.2026;Sefina T.',
    ';fifteen;8;Fly from below;11.9.2026;Sefina T.',
    ';20;8;Something else;11.9.2026;Sefina T.',
  ];
  const choose = async (text: string): Promise<void> => {
    const chosen = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: /Choose a CSV file|Another file/ }).click();
    await (await chosen).setFiles({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  };
  await choose('nothing');
  await expect(page.getByText(/^Expected a table saved as CSV/)).toBeVisible();
  await choose(lines.join('\r\n'));
  const part = page.getByRole('region', { name: 'From a spreadsheet' });
  await part.getByLabel('Movement').selectOption('Lift');
  await part.getByRole('button', { name: 'Go on' }).click();
  await expect(part.getByText('choose the column that holds it', { exact: true }).first()).toBeVisible();
  for (const [field, header] of [
    ['Client', 'Whom'],
    ['Day', 'When'],
    ['Load', 'Kilos'],
    ['Reps', 'Did'],
    ['Note', 'How it felt'],
  ] as const)
    await part.getByRole('combobox', { name: field, exact: true }).selectOption(header);
  await part.getByLabel('Days are written like').selectOption('24.11.2026');
  await part.getByRole('button', { name: 'Go on' }).click();
  await part.getByLabel('Here that is: Fly from below').selectOption('Cable fly, low to high');
  await part
    .getByRole('listitem')
    .filter({ hasText: 'Sefina T.' })
    .getByRole('button', { name: 'Sefina Taualofa' })
    .click();
  await part.getByRole('button', { name: 'Look at what it would do' }).click();
  await expect(part.locator('tr[data-table="sets"] td')).toHaveText(['sets', '5', '0', '0', '2']);
  await expect(part.getByText('“fifteen”: expected a load')).toBeVisible();
  await part.getByRole('button', { name: 'Take 5 sets, 2 sessions' }).click();
  await expect(part.getByText('Taken. What it did is with the changes.')).toBeVisible();
  await choose([...lines, ';17,5;8;Fly from below;17.9.2026;Sefina T.'].join('\r\n'));
  await expect(part.getByText('Read as the last one with these headers.')).toBeVisible();
  await part.getByRole('button', { name: 'Go on' }).click();
  await expect(part.getByText('1 name is left out.')).toBeVisible();
  await part.getByRole('button', { name: 'Look at what it would do' }).click();
  await expect(part.locator('tr[data-table="sets"] td')).toHaveText(['sets', '1', '0', '5', '2']);
  await page.context().close();
});

import { expect, itemId, test, type App } from './support/app';
import Database from 'better-sqlite3';

const TODAY = itemId('sefina', 0).replace(/-0$/, '');
/** Like 2026-11-24. */
const dayFromNow = (days: number): string => new Date(Date.now() + days * 86_400_000).toLocaleDateString('sv-SE');
function sessionsOf(app: App, clientId: string) {
  const db = new Database(app.database, { readonly: true });
  const rows = db
    .prepare(
      'SELECT id, starts_at_ms AS ms, called_off_at_ms AS off FROM session WHERE client_id = ? ORDER BY rowid DESC',
    )
    .all(clientId) as { id: string; ms: number; off: number | null }[];
  db.close();
  return rows;
}

test('a session is made as the last one was, changed, moved, repeated, kept as a template and called off', async ({
  page,
  app,
}) => {
  const before = sessionsOf(app, 'sefina').length;
  await page.goto(`${app.url}/plan?day=${dayFromNow(2)}#new`);
  await page.getByLabel('Client', { exact: true }).selectOption('sefina');
  await page.getByLabel('Starts', { exact: true }).fill('26:00');
  await page.getByRole('button', { name: 'Plan it', exact: true }).click();
  await expect(page.getByText('expected a time like 14:30')).toBeVisible();
  await page.getByLabel('Starts', { exact: true }).fill('18:30');
  await page.getByLabel('Minutes', { exact: true }).fill('45');
  // Twice in a hurry it is one session.
  await page.getByRole('button', { name: 'Plan it', exact: true }).dblclick();
  const ribbon = page.getByRole('list', { name: 'Movements in their order' });
  await expect(ribbon.locator('[data-block]')).toHaveCount(2);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('18:30');
  expect(sessionsOf(app, 'sefina')).toHaveLength(before + 1);
  const made = sessionsOf(app, 'sefina')[0]!.id;

  // Its movements: changed, skipped and done after all, taken out and put back.
  const first = ribbon.locator('[data-block]').first();
  const name = (await first.locator('b').innerText()).trim();
  await first.getByRole('button', { name: `Change ${name}` }).click();
  await first.getByLabel('Sets').fill('4');
  await first.getByLabel('Load, kg').fill('6.13');
  await first.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(first.getByText(/expected a load that is here/)).toBeVisible();
  await first.getByLabel('Load, kg').fill('5');
  await first.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(first).toContainText('4 × 12');
  await first.getByRole('button', { name: `Change ${name}` }).click();
  await first.getByRole('button', { name: 'station taken' }).click();
  await expect(page.getByRole('region', { name: 'Skipped this time' })).toContainText('Skipped: station taken');
  await expect(ribbon.locator('[data-block]')).toHaveCount(1);
  await page.getByRole('button', { name: `Do ${name} after all` }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(2);
  await ribbon.getByRole('button', { name: `Change ${name}` }).click();
  await page.getByRole('button', { name: 'Take it out of the plan' }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(1);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(2);
  await page.getByText('Add a movement', { exact: true }).click();
  await page.getByLabel('Movement', { exact: true }).selectOption('dumbbell-row-hinged');
  await page.getByLabel('Dumbbell, each hand, kg').fill('10');
  await page.getByRole('button', { name: 'Add to this session' }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(3);

  // Another day, the same again a week later, and a template for somebody else.
  await page.getByText('Day and time', { exact: true }).click();
  await page.getByLabel('Day', { exact: true }).fill(dayFromNow(3));
  await page.getByRole('button', { name: 'Keep the time' }).click();
  await expect
    .poll(() => new Date(sessionsOf(app, 'sefina')[0]!.ms).getDate())
    .toBe(new Date(dayFromNow(3)).getUTCDate());
  await page.getByText('Keep as a template', { exact: true }).click();
  await page.getByLabel('Name', { exact: true }).fill('Flies and a row');
  await page.getByRole('button', { name: 'Keep it', exact: true }).click();
  // The time above says so as well: it is the template's own word that counts.
  const template = page.locator('details', { hasText: 'Keep as a template' });
  await expect(template.getByText('Kept', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Plan it again' }).click();
  await expect(page.getByLabel('Day', { exact: true })).toHaveValue(dayFromNow(10));
  await page.getByRole('button', { name: 'Plan it', exact: true }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(3);
  await page.goto(`${app.url}/plan?day=${dayFromNow(1)}#new`);
  await page.getByLabel('Client', { exact: true }).selectOption('anselm');
  await page.getByLabel('Begins as', { exact: true }).selectOption({ label: 'template: Flies and a row, 45 min' });
  await expect(page.getByLabel('Minutes', { exact: true })).toHaveValue('45');
  await page.getByRole('button', { name: 'Plan it', exact: true }).click();
  await expect(ribbon.locator('[data-block]')).toHaveCount(3);

  // Out as a calendar and in again: as it is here; an event of another calendar becomes a session once it is kept.
  const out = await (await page.request.get(`${app.url}/api/v1/calendar`)).text();
  expect(out).toContain(`UID:${made}@jorvix`);
  await page.goto(`${app.url}/plan`);
  await page.getByText('Calendar file', { exact: true }).click();
  const start = `${dayFromNow(4).replaceAll('-', '')}T07`;
  const foreign =
    'BEGIN:VEVENT\r\nUID:elsewhere\r\nSUMMARY:Anselm Okparaeke\r\n' +
    `DTSTART:${start}0000Z\r\nDTEND:${start}4500Z\r\nEND:VEVENT\r\nEND:VCALENDAR`;
  const chosen = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Look at a calendar file' }).click();
  const buffer = Buffer.from(out.replace('END:VCALENDAR', foreign));
  await (await chosen).setFiles({ name: 'sessions.ics', mimeType: 'text/calendar', buffer });
  await expect(page.getByRole('cell', { name: 'new', exact: true })).toHaveCount(1);
  // Left out by its tick nothing of it is kept.
  const tick = page.getByRole('checkbox', { name: /^Keep Anselm Okparaeke/ });
  await tick.uncheck();
  await expect(page.getByRole('button', { name: /^Keep \d/ })).toHaveCount(0);
  await tick.check();
  const anselms = sessionsOf(app, 'anselm').length;
  await page.getByRole('button', { name: 'Keep 1 session' }).click();
  await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
  expect(sessionsOf(app, 'anselm')).toHaveLength(anselms + 1);

  // Called off it is out of the week, and can be had again.
  await page.goto(`${app.url}/plan/${made}`);
  await page.getByRole('button', { name: 'Call it off' }).click();
  await expect(page.getByText('This session is called off.')).toBeVisible();
  await page.getByRole('link', { name: 'Its week' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Week of/ })).toBeVisible();
  await expect(page.locator(`a[href="/plan/${made}"]`)).toHaveCount(0);
  await page.goto(`${app.url}/plan/${made}`);
  await page.getByRole('button', { name: 'Have it again' }).click();
  await page.getByRole('link', { name: 'Its week' }).click();
  await expect(page.locator(`a[href="/plan/${made}"]`)).toBeVisible();
});

test('a session is cut short on the floor: what is skipped says why, and finished it is done', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/set/${itemId('sefina', 0)}`);
  await page.getByRole('button', { name: 'Start set' }).click();
  await page.locator('[data-fault="shrugs"]').click();
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.goto(`${app.url}/plan/${TODAY}`);
  await page
    .locator('[data-block]')
    .nth(1)
    .getByRole('button', { name: /^Change/ })
    .click();
  await page.getByRole('button', { name: 'no time left' }).click();
  await expect(page.getByText('Skipped: no time left')).toBeVisible();
  await page.goto(`${app.url}/`);
  await expect(page.locator(`#${TODAY}`)).toContainText('skipped: no time left');
  await page.locator(`#${TODAY}`).getByRole('link', { name: 'Plan', exact: true }).click();
  await page.getByRole('button', { name: 'Finish the session' }).click();
  await expect(page.getByText('Finished before everything was done.')).toBeVisible();
  await page.goto(`${app.url}/`);
  await expect(page.locator(`nav a[href="#${TODAY}"]`)).toContainText('done');
});

test('two want one column at once: begun when the other one has left it, with a tap', async ({ page, app }) => {
  const plan = async (client: string): Promise<void> => {
    await page.goto(`${app.url}/plan?day=${dayFromNow(6)}#new`);
    await page.getByLabel('Client', { exact: true }).selectOption(client);
    await page.getByLabel('Starts', { exact: true }).fill('12:00');
    await page.getByLabel('Begins as', { exact: true }).selectOption({ label: 'the same as last time' });
    await page.getByRole('button', { name: 'Plan it', exact: true }).click();
    await expect(page.locator('[data-block]').first()).toBeVisible();
  };
  await plan('sefina');
  await plan('anselm');
  const wanted = page.getByRole('group', { name: 'Stations that are wanted twice' });
  await expect(wanted).toContainText('Long pair by the window is wanted by Sefina Taualofa too, from about 12:00.');
  await expect(wanted.getByRole('button', { name: /^Use / }).first()).toBeVisible();
  const begin = wanted.getByRole('button', { name: /^Begin at/ });
  const start = (await begin.innerText()).slice(-5);
  await begin.click();
  await expect(wanted).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(start);
});

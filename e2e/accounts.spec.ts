import { readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import Database from 'better-sqlite3';
import { expect, itemId, test } from './support/app';

test.use({ serviceWorkers: 'allow' });

const OWNERS = 'salt wind over the quay';
const TRAINERS = 'seven lanterns at noon';

/** A tablet on which nobody is signed in. */
async function tablet(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  return context.newPage();
}
async function signIn(page: Page, url: string, name: string, passphrase: string): Promise<void> {
  await page.goto(url);
  await page.getByLabel('Your name').fill(name);
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(passphrase);
  await page.getByRole('button', { name: /^Sign in$|^Begin as the owner$/ }).click();
  await expect(page).toHaveURL((u) => !u.pathname.startsWith('/sign-in'));
}
const keptPages = (page: Page): Promise<string[]> =>
  page.evaluate(async () => (await (await caches.open('pages')).keys()).map((r) => new URL(r.url).pathname));
const cookieOf = async (context: BrowserContext) => (await context.cookies()).find((c) => c.name === 'jorvix')!;

test('from nothing: an owner begins, lets a trainer in, and gives them a client to stand in for', async ({
  browser,
  emptyApp,
}) => {
  const { url } = emptyApp;
  const owner = await tablet(browser);
  await owner.goto(`${url}/clients`);
  await expect(owner.getByRole('heading', { name: 'Begin' })).toBeVisible();
  await expect(owner.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveCount(0);
  await owner.getByLabel('Your name').fill('Oriel');
  await owner.getByRole('textbox', { name: 'Passphrase' }).fill('short');
  await owner.getByRole('button', { name: 'Begin as the owner' }).click();
  await expect(owner.getByText('expected at least 15 characters')).toBeVisible();
  await expect(owner.getByLabel('Your name')).toHaveValue('Oriel');
  await signIn(owner, `${url}/clients`, 'Oriel', OWNERS);
  await expect(owner).toHaveURL(`${url}/clients`);
  expect(await cookieOf(owner.context())).toMatchObject({ httpOnly: true, sameSite: 'Lax', path: '/' });

  await owner.goto(`${url}/clients/new`);
  await owner.getByLabel('Name', { exact: true }).fill('Ilse Vantongeren');
  await owner.getByLabel('Stature').fill('168');
  await owner.getByLabel('Mass').fill('61');
  await owner.getByRole('button', { name: 'Save client' }).click();
  await expect(owner).toHaveURL(/clients\/[0-9a-f-]{36}$/);
  const sheet = owner.url();
  await owner.goto(`${url}/people`);
  await owner.getByLabel('Name', { exact: true }).fill('Bram');
  await owner.getByRole('textbox', { name: 'First passphrase' }).fill(TRAINERS);
  await owner.getByRole('button', { name: 'Let in' }).click();
  await expect(owner.getByRole('heading', { name: 'Bram' })).toBeVisible();

  const trainer = await tablet(browser);
  await trainer.goto(sheet);
  await trainer.getByLabel('Your name').fill('Bram');
  await trainer.getByRole('textbox', { name: 'Passphrase' }).fill(OWNERS);
  await trainer.getByRole('button', { name: 'Sign in' }).click();
  await expect(trainer.getByText('Name and passphrase do not belong together.')).toBeVisible();
  await trainer.getByRole('textbox', { name: 'Passphrase' }).fill(TRAINERS);
  await trainer.getByRole('button', { name: 'Sign in' }).click();
  // Back at the sheet that was asked for: it is not theirs.
  await expect(trainer.getByText('Nothing on this sheet')).toBeVisible();
  await trainer.goto(`${url}/records`);
  await expect(trainer.getByText('Nothing on this sheet')).toBeVisible();

  await owner.goto(sheet);
  const care = owner.getByRole('region', { name: 'In whose care' });
  await care.getByRole('button', { name: 'Let stand in' }).click();
  await expect(care.getByText(/Bram stands in until/)).toBeVisible();
  await trainer.goto(sheet);
  await expect(trainer.getByRole('heading', { name: 'Ilse Vantongeren' })).toBeVisible();
  await trainer.getByLabel('Note, shown on the floor').fill('Left knee: ask first.');
  await trainer.getByRole('button', { name: 'Save client' }).click();
  await expect(trainer.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await care.getByRole('button', { name: 'Call off' }).click();
  await expect(care.getByText(/stands in until/)).toHaveCount(0);
  await trainer.goto(sheet);
  await expect(trainer.getByText('Nothing on this sheet')).toBeVisible();
  await owner.goto(`${url}/records`);
  const row = owner.getByRole('row', { name: /Bram .*Left knee: ask first/ });
  await expect(row).toContainText('Client: Ilse Vantongeren');
  // Shut out on every device at once.
  await owner.goto(`${url}/people`);
  await owner.getByRole('button', { name: 'Shut out' }).click();
  await expect(owner.getByText('may not sign in')).toBeVisible();
  await trainer.goto(`${url}/clients`);
  await expect(trainer.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await Promise.all([owner.context().close(), trainer.context().close()]);
});

test('the demo is entered with a tap, and says so', async ({ browser, app }) => {
  const page = await tablet(browser);
  await page.goto(`${app.url}/ledger`);
  await expect(page.getByText('The demo is entered with a tap')).toBeVisible();
  await page.getByRole('button', { name: /^Go in as .*, owner$/ }).click();
  await expect(page).toHaveURL(`${app.url}/ledger`);
  await expect(page.getByRole('link', { name: 'Records' })).toBeVisible();
  await page.context().close();
});

test('taps of a trainer who signs out wait for them, unsent and unseen by the next one', async ({ browser, app }) => {
  const page = await tablet(browser);
  await app.signIn(page.context());
  await page.goto(`${app.url}/set/${itemId('anselm', 1)}`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(() => keptPages(page)).toContain(`/set/${itemId('anselm', 1)}`);
  await page.route('**/api/v1/floor-events', (route) => route.abort());
  await page.getByRole('button', { name: /^Start set/ }).click();
  await page.locator('[data-fault]').first().click();
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('waiting')).toContainText('3 taps waiting');
  await page.getByRole('link', { name: /^Marit/ }).click();
  await expect(page.getByText('3 taps are not sent yet')).toBeVisible();
  // Without a way to the server nobody is signed out there, and it says so.
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('there is no way to the server')).toBeVisible();
  await page.context().setOffline(false);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(`${app.url}/sign-in`);
  await expect.poll(() => keptPages(page)).toEqual([]);
  await page.unroute('**/api/v1/floor-events');

  await page.getByRole('button', { name: /^Go in as Tindra/ }).click();
  await expect(page.getByTestId('others')).toContainText('3 taps of somebody else');
  await expect(page.getByTestId('waiting')).toContainText('all sent');
  const db = new Database(app.database, { readonly: true });
  const here = (): unknown[] =>
    db.prepare('SELECT actor_id FROM floor_event WHERE item_id = ?').pluck().all(itemId('anselm', 1));
  expect(here()).toEqual([]);
  await page.getByRole('link', { name: /^Tindra/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: /^Go in as Marit/ }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent', { timeout: 15_000 });
  await expect(page.getByTestId('others')).toHaveCount(0);
  expect(here()).toEqual(['marit', 'marit', 'marit']);
  db.close();
  await page.context().close();
});

test('a tablet that slept asks for its PIN; what was tapped before is sent all the same', async ({
  browser,
  emptyApp,
  app,
}) => {
  const page = await tablet(browser);
  await signIn(page, `${emptyApp.url}/account`, 'Oriel', OWNERS);
  await page.getByRole('textbox', { name: 'New PIN' }).fill('1111');
  await page.getByRole('button', { name: 'Save PIN' }).click();
  await expect(page.getByText('those are tried first')).toBeVisible();
  await page.getByRole('textbox', { name: 'New PIN' }).fill('4071');
  await page.getByRole('button', { name: 'Save PIN' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  const sleep = (file: string): void => {
    const db = new Database(file);
    db.prepare(
      'UPDATE account_session SET seen_at_ms = seen_at_ms - 1000000, begun_at_ms = begun_at_ms - 1000000',
    ).run();
    db.close();
  };
  sleep(emptyApp.database);
  await page.goto(`${emptyApp.url}/clients`);
  await expect(page.getByRole('heading', { name: 'Oriel is signed in here' })).toBeVisible();
  await page.getByRole('textbox', { name: 'PIN, or passphrase' }).fill('4072');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('That is not it.')).toBeVisible();
  await page.getByRole('textbox', { name: 'PIN, or passphrase' }).fill('4071');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page).toHaveURL(`${emptyApp.url}/clients`);
  await page.context().close();

  const other = await tablet(browser);
  await app.signIn(other.context());
  await other.goto(`${app.url}/set/${itemId('anselm', 0)}`);
  await expect(other.getByRole('button', { name: /^Start set/ })).toBeEnabled();
  sleep(app.database);
  await other.getByRole('button', { name: /^Start set/ }).click();
  await expect(other.getByTestId('waiting')).toHaveText('all sent');
  await other.reload();
  await expect(other.getByRole('heading', { name: /is signed in here/ })).toBeVisible();
  await other.context().close();
});

test('a form of who was signed out meanwhile says so and loses nothing; sent twice it makes one client', async ({
  browser,
  app,
}) => {
  const page = await tablet(browser);
  await app.signIn(page.context(), 'owner');
  await page.goto(`${app.url}/clients/new`);
  await page.getByLabel('Name', { exact: true }).fill('Twice Sent');
  await page.getByLabel('Stature').fill('168');
  await page.getByLabel('Mass').fill('61');
  const { value } = await cookieOf(page.context());
  await page.context().clearCookies();
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Not saved: you are signed out here.')).toBeVisible();
  await page.context().addCookies([{ name: 'jorvix', value, url: app.url }]);
  // The server does it, and the answer is lost on the way.
  let lost = 0;
  await page.route('**/clients/new', async (route) => {
    if (route.request().method() !== 'POST' || lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    await route.abort();
  });
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Not saved: there is no way to the server.')).toBeVisible();
  // A page from before an upgrade: the server knows no such action any more.
  await page.route('**/clients/new', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({ status: 404, headers: { 'x-nextjs-action-not-found': '1' }, body: 'Server action not found.' })
      : route.continue(),
  );
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByText('Not saved: the server was renewed')).toBeVisible();
  await page.unrouteAll();
  await page.reload();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Twice Sent');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page).toHaveURL(/clients\/[0-9a-f-]{36}$/);
  await page.goto(`${app.url}/clients`);
  await expect(page.getByText('Twice Sent')).toHaveCount(1);
  await page.context().close();
});

test('back to a backup from the interface: what came since is kept aside, and everybody signs in anew', async ({
  browser,
  app,
}) => {
  const page = await tablet(browser);
  await app.signIn(page.context(), 'owner');
  await page.goto(`${app.url}/records`);
  const backups = page.getByRole('region', { name: 'Backups' }).getByRole('row');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(backups).toHaveCount(2);
  await page.goto(`${app.url}/clients/sefina`);
  await page.getByLabel('Note, shown on the floor').fill('Typed after the backup.');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.goto(`${app.url}/records`);
  await backups.first().getByRole('button', { name: 'Restore' }).click();
  await page.getByRole('button', { name: 'Restore it' }).click();
  await expect(page).toHaveURL(`${app.url}/sign-in`);
  await page.getByRole('button', { name: /^Go in as .*, owner$/ }).click();
  // The page that is entered is loaded whole, before another one is asked for.
  await expect(page.getByRole('link', { name: 'Records' })).toBeVisible();
  await page.waitForLoadState();
  await page.goto(`${app.url}/clients/sefina`);
  await expect(page.getByLabel('Note, shown on the floor')).toHaveValue(/^First month/);
  await page.goto(`${app.url}/records`);
  await expect(backups).toHaveCount(3);
  await expect(page.getByRole('row', { name: /Restored/ })).toBeVisible();
  expect(readdirSync(dirname(app.database)).some((f) => f.includes('.replaced-'))).toBe(true);
  expect(readdirSync(join(dirname(app.database), 'backups'))).toHaveLength(3);
  await page.context().close();
});

test('a program is given a token, asks with it, and no more once it is ended', async ({ page, app, playwright }) => {
  await page.goto(`${app.url}/account`);
  const programs = page.getByRole('region', { name: 'Programs' });
  await programs.getByRole('button', { name: 'Make a token' }).click();
  await expect(programs.getByText(/expected 1 to 60 characters/)).toBeVisible();
  await programs.getByLabel('Name of the program').fill('Front desk');
  await programs.getByLabel('see clients').check();
  await programs.getByRole('button', { name: 'Make a token' }).click();
  const token = await programs.getByLabel('Token', { exact: true }).inputValue();
  expect(token).toMatch(/^[\w-]{43}$/);
  const program = await playwright.request.newContext({ extraHTTPHeaders: { authorization: `Bearer ${token}` } });
  const clients = await program.get(`${app.url}/api/v1/clients`);
  expect([clients.status(), JSON.stringify(await clients.json()).includes('Sefina')]).toEqual([200, true]);
  expect((await program.get(`${app.url}/api/v1/kit`)).status()).toBe(403);
  expect((await program.get(`${app.url}/api/v1/openapi.json`)).status()).toBe(200);
  // Pages are not for programs.
  expect((await program.get(`${app.url}/clients`, { maxRedirects: 0 })).status()).toBe(303);
  expect((await program.get(`${app.url}/api/v1/records`, { maxRedirects: 0 })).status()).not.toBe(200);
  await programs.getByRole('button', { name: 'End the token of Front desk' }).click();
  await expect(programs.getByText('No program has a token.')).toBeVisible();
  expect((await program.get(`${app.url}/api/v1/clients`)).status()).toBe(401);
  await program.dispose();
});

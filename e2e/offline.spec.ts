import { readFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import Database from 'better-sqlite3';
import { expect, itemId, test } from './support/app';

test.use({ serviceWorkers: 'allow' });

test('the set screen opens and works after a full reload without a server; everything arrives once it is back', async ({
  page,
  app,
}) => {
  const item = itemId('sefina', 1);
  await page.goto(`${app.url}/set/${item}`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.getByRole('button', { name: 'Start set' }).click();
  await page.locator('[data-fault="shrugs"]').click();
  await expect(page.locator('[data-fault="shrugs"]')).toContainText('rep 1');
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  // Kept once the worker has this page's files.
  await expect
    .poll(
      () => page.evaluate(async () => (await (await caches.open('pages')).keys()).some((r) => r.url === location.href)),
      { timeout: 20_000 },
    )
    .toBe(true);
  await app.stop('SIGKILL');

  await page.reload();
  await expect(page.getByText('This set stands at rep 0')).toBeVisible();
  await expect(page.getByTestId('kept-page')).toContainText(/is from \d\d:\d\d/);
  // The page is older than the tap: this device still has it.
  await expect(page.locator('[data-fault="shrugs"]')).toContainText('rep 1');
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.locator('[data-fault="chin-forward"]').click();
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toContainText('3 taps waiting');
  await page.goto(`${app.url}/ledger?client=nobody-here`);
  await expect(page.getByRole('heading', { name: /No network/ })).toBeVisible();

  await app.start();
  await page.goto(`${app.url}/set/${item}`);
  await expect(page.getByTestId('waiting')).toHaveText('all sent', { timeout: 35_000 });
  await expect(page.getByTestId('kept-page')).toHaveCount(0);
  const db = new Database(app.database, { readonly: true });
  const kinds = db
    .prepare('SELECT kind, count(*) AS n FROM floor_event WHERE item_id = ? AND kind <> ? GROUP BY kind')
    .all(item, 'rep') as { kind: string; n: number }[];
  db.close();
  expect(Object.fromEntries(kinds.map((k) => [k.kind, k.n]))).toEqual({
    'set-started': 1,
    fault: 2,
    'set-ended': 1,
    'set-confirmed': 1,
  });
});

test('a tap for what the server no longer has is kept here and said, and holds up no other', async ({ page, app }) => {
  await page.goto(`${app.url}/set/${itemId('sefina', 0)}`);
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  // As an older device might: an event of a session that was taken away, first in the outbox.
  await page.evaluate(async () => {
    const open = indexedDB.open('jorvix');
    const db = await new Promise<IDBDatabase>((resolve) => (open.onsuccess = () => resolve(open.result)));
    const event = {
      id: crypto.randomUUID(),
      deviceId: 'old',
      seq: 0,
      atMs: Date.now(),
      clientId: 'sefina',
      itemId: 'gone',
      movement: 'cable-fly-level',
      kind: 'rep',
      setId: 's',
      rep: 1,
    };
    await new Promise((resolve) => {
      const tx = db.transaction('outbox', 'readwrite');
      tx.objectStore('outbox').put({ event, order: 0 });
      tx.oncomplete = resolve;
    });
    db.close();
  });
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByTestId('waiting')).toContainText('all sent');
  await expect(page.getByTestId('waiting')).toContainText('1 kept here only');
  await page.waitForTimeout(850);
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await page.getByRole('button', { name: 'Keep this' }).waitFor({ state: 'hidden' });
  await expect(page.getByTestId('waiting')).toContainText('all sent');

  await page.getByRole('link', { name: '1 kept here only' }).click();
  const row = page.getByRole('row', { name: /sefina/ });
  await expect(row).toContainText('expected a client and a planned movement that this server has');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save them as a file' }).click();
  const taps = JSON.parse(await readFile((await (await saved).path())!, 'utf8')) as { events: { itemId: string }[] };
  expect(taps.events.map((e) => e.itemId)).toEqual(['gone']);
  // Sent again it is refused again, and still here; once the server takes it, it is gone from the list.
  await page.getByRole('button', { name: 'Try again now' }).click();
  await expect(row).toBeVisible();
  await page.route('**/api/v1/floor-events', async (route) => {
    const { events } = route.request().postDataJSON() as { events: { id: string }[] };
    await route.fulfill({ json: { nowMs: Date.now(), kept: events.map((e) => e.id), refused: [] } });
  });
  await page.reload();
  await expect(page.getByText('Every tap of this tablet is with the server.')).toBeVisible();
  // The file on another tablet: one tap of it is for what is there, the other is refused again.
  await page.unrouteAll();
  const own = { ...taps.events[0]!, id: 'from-a-file', itemId: itemId('sefina', 0), movement: 'cable-fly-high-to-low' };
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Choose a file' }).click();
  const file = JSON.stringify({ events: [...taps.events, own] });
  await (await choosing).setFiles({ name: 'taps.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(page.getByText('1 tap is on record; 1 the server would not take.')).toBeVisible();
});

test('a server at fault is as good as none: the kept page opens, and taps wait', async ({ page, app }) => {
  const url = `${app.url}/set/${itemId('sefina', 1)}`;
  await page.goto(url);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await app.stop();
  const fault = createServer((_, response) => response.writeHead(500).end('fault'));
  await new Promise<void>((done) => fault.listen(Number(new URL(app.url).port), '127.0.0.1', done));
  await page.reload();
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  await expect(page.getByTestId('waiting')).toContainText('1 tap waiting');
  fault.closeAllConnections();
  await new Promise((done) => fault.close(done));
  await app.start();
  // A server that has just begun may be later with its first page than a page that is kept: then that one opens.
  await expect(async () => {
    await page.reload();
    await expect(page.getByTestId('waiting')).toHaveText('all sent', { timeout: 5000 });
  }).toPass();
});

test('a server too slow: the page as it was kept says how old it is, also once the late answer came', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/ledger`);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  const age = page.getByTestId('kept-page');
  await expect(age).toHaveCount(0);
  app.pause();
  try {
    await page.reload();
    await expect(age).toContainText(/is from \d\d:\d\d/);
  } finally {
    app.goOn();
  }
  // The answer comes now, and is kept for the next time; what is shown is as old as before.
  await expect(page.getByTestId('waiting')).toContainText('all sent');
  await page.waitForTimeout(3000);
  await expect(age).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Ledger' })).toBeVisible();
  await expect(age).toHaveCount(0);
});

test('a tablet whose clock is wrong says so, and its sets can be ended', async ({ browser, app }) => {
  const page = await browser.newPage();
  await app.signIn(page.context());
  for (const [off, says] of [
    [-7 * 60_000, 'clock 7 min slow'],
    [365 * 24 * 3_600_000, 'clock 365 days fast'],
  ] as const) {
    await page.clock.setSystemTime(Date.now() + off);
    await page.goto(`${app.url}/set/${itemId('anselm', 1)}`);
    await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
    await expect(page.getByTestId('clock-off')).toHaveText(says);
    await page.locator('[data-fault]').first().click();
    await page.clock.setSystemTime(Date.now() + off - 3_600_000);
    await page.waitForTimeout(850);
    await page.getByRole('button', { name: 'End set' }).click();
    await expect(page.getByTestId('between')).toBeVisible();
    await expect(page.getByTestId('waiting')).toContainText('all sent');
    await page.reload();
    await expect(page.getByTestId('between')).toBeVisible();
  }
  await page.close();
});

test('storage that is cleared or full under an open page: the tap is kept anew, or it says that it is not', async ({
  page,
  app,
}) => {
  const item = itemId('anselm', 0);
  await page.goto(`${app.url}/set/${item}`);
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  // Only what was kept can be on its way: before that, all is sent because nothing waits yet.
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  const browser = await page.context().newCDPSession(page);
  await browser.send('Storage.clearDataForOrigin', { origin: app.url, storageTypes: 'indexeddb' });
  await page.locator('[data-fault]').first().click();
  await expect(page.locator('[data-seen]')).toHaveCount(1);
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.waitForTimeout(850);
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  const db = new Database(app.database, { readonly: true });
  const kinds = db.prepare("SELECT kind FROM floor_event WHERE item_id = ? AND kind <> 'rep'").pluck().all(item);
  db.close();
  expect(kinds).toEqual(['set-started', 'fault', 'set-ended']);

  await page.waitForTimeout(850);
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    (window as unknown as { roomAgain: () => void }).roomAgain = () => (IDBObjectStore.prototype.put = put);
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByRole('button', { name: 'Start set 2' }).click();
  await expect(page.getByText('That tap could not be kept on this device.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'End set' })).toHaveCount(0);
  await page.evaluate(() => (window as unknown as { roomAgain: () => void }).roomAgain());
  await page.getByRole('button', { name: 'Start set 2' }).click();
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
});

test('a tablet that meets another database says so, keeps its taps, and sends them once the right one is back', async ({
  page,
  app,
}) => {
  const rename = (id: string | null): string => {
    const db = new Database(app.database);
    const was = db.prepare('SELECT id FROM identity').pluck().get() as string;
    if (id !== null) db.prepare('UPDATE identity SET id = ?').run(id);
    db.close();
    return was;
  };
  const right = rename(null);
  await page.goto(`${app.url}/set/${itemId('anselm', 1)}`);
  rename('another-one');
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByTestId('waiting')).toContainText('this server has another database');
  await page.reload();
  await expect(page.getByTestId('others')).toContainText('1 tap of somebody else, or of another database');
  rename(right);
  await page.reload();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await expect(page.getByTestId('others')).toHaveCount(0);
});

test('plain http under a name of the gym’s network: a set runs, and nothing fails silently', async ({
  app,
  browser,
}) => {
  const url = app.url.replace('127.0.0.1', 'jorvix.test');
  const page = await browser.newPage();
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  await page.goto(`${url}/set/${itemId('wilhelmina', 3)}`);
  await page.getByRole('button', { name: /^Go in as Marit/ }).click();
  await expect(page.getByRole('button', { name: /^Start set/ })).toBeEnabled();
  expect(await page.evaluate(() => [window.isSecureContext, typeof crypto.randomUUID])).toEqual([false, 'undefined']);
  await page.getByRole('button', { name: /^Start set/ }).click();
  await page.locator('[data-fault]').first().click();
  await page.waitForTimeout(850);
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.goto(`${url}/clients/wilhelmina`);
  await page.getByLabel('Note, shown on the floor').fill('Over plain http.');
  await page.getByRole('button', { name: 'Save client' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.goto(`${url}/kit`);
  await page.locator('summary').getByText('Common kit').click();
  await page.getByRole('checkbox', { name: 'V-bar' }).check();
  await page.getByRole('button', { name: 'Add 1 piece' }).click();
  await expect(page.getByRole('link', { name: 'V-bar' })).toBeVisible();
  expect(faults).toEqual([]);
  await page.close();
});

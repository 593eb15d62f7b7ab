import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import Database from 'better-sqlite3';
import { App, demoDatabase, ONE_MORE_PORT } from '../scripts/launch-app';
import { expect, test } from './support/app';

const [HOUR_MS, MINUTE_MS] = [3_600_000, 60_000];
/** A zone in which it is between eleven and twelve at night, and how far it is to a quarter to twelve there. */
function lateZone(): { readonly zone: string; readonly toQuarterMs: number } {
  const now = new Date();
  const ahead = 23 - now.getUTCHours();
  // Zones are named the other way round than they are counted, and reach from 12 behind to 14 ahead.
  const hours = ahead > 14 ? ahead - 24 : ahead;
  const quarter = 45 * MINUTE_MS - (now.getTime() % HOUR_MS);
  return { zone: `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`, toQuarterMs: quarter };
}

const open: App[] = [];
test.afterAll(async () => {
  for (const app of open) await app.stop();
});

/** The application and a tablet in a zone, both with their clocks off by so much. */
async function openAt(browser: Browser, file: string, zone: string, byMs: number) {
  const shift = `--import=${resolve('e2e/support/shift-clock.mjs')}`;
  const clock = { TZ: zone, SHIFT_CLOCK_MS: String(byMs), NODE_OPTIONS: shift };
  const app = new App(false, file, { ...clock, PORT: String(ONE_MORE_PORT) });
  open.push(app);
  await app.start();
  const context = await browser.newContext({ timezoneId: zone });
  await app.signIn(context, 'marit', Date.now() + byMs);
  const page = await context.newPage();
  await page.clock.setSystemTime(Date.now() + byMs);
  return { app, page };
}

/** One set with a fault in it. */
async function doSet(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Start set/ }).click();
  await page.locator('[data-fault]').first().click();
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
}

test('a session runs past midnight: begun before, on the floor until it is finished, and then no more', async ({
  browser,
}) => {
  const file = join(mkdtempSync(join(tmpdir(), 'jorvix-night-')), 'app.db');
  copyFileSync(demoDatabase(), file);
  // The demo's own day lies where this one is looked at, whatever hour it is: it was some days before, and what the
  // demo plans for the days after comes weeks later.
  const db = new Database(file);
  db.prepare('UPDATE session SET starts_at_ms = starts_at_ms + iif(starts_at_ms > ?, ?, ?) WHERE starts_at_ms > ?').run(
    ...[Date.now() + 18 * HOUR_MS, 28 * 24 * HOUR_MS, -3 * 24 * HOUR_MS],
    Date.now() - 18 * HOUR_MS,
  );
  db.close();
  const { zone, toQuarterMs } = lateZone();
  const before = await openAt(browser, file, zone, toQuarterMs);
  const { page } = before;
  const day = new Date(Date.now() + toQuarterMs).toLocaleDateString('sv-SE', { timeZone: zone });
  await page.goto(`${before.app.url}/plan?day=${day}#new`);
  await page.getByLabel('Client', { exact: true }).selectOption('sefina');
  await page.getByLabel('Starts', { exact: true }).fill('23:30');
  await page.getByLabel('Begins as', { exact: true }).selectOption({ label: 'the same as last time' });
  await page.getByRole('button', { name: 'Plan it', exact: true }).click();
  await expect(page.locator('[data-block]').first()).toBeVisible();
  const session = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.goto(before.app.url);
  const board = page.locator(`section[id="${session}"]`);
  await board.getByRole('link', { name: 'To the set' }).first().click();
  await doSet(page);
  await before.app.stop();

  const after = await openAt(browser, file, zone, toQuarterMs + 30 * MINUTE_MS);
  await after.page.goto(after.app.url);
  const still = after.page.locator(`section[id="${session}"]`);
  await expect(still).toContainText('1 of 3 sets');
  await still.getByRole('link', { name: 'To the set' }).first().click();
  await doSet(after.page);
  await after.page.goto(`${after.app.url}/plan/${session}`);
  await after.page.getByRole('button', { name: 'Finish the session' }).click();
  await expect(after.page.getByText('Finished before everything was done.')).toBeVisible();
  await after.page.goto(after.app.url);
  await expect(after.page.locator(`section[id="${session}"]`)).toHaveCount(0);
});

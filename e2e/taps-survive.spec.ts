import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { JOURNEYS_IN } from '../scripts/launch-app';
import { seeded } from '../test/support/fixtures';
import { expect, itemId, test } from './support/app';

test.use({ serviceWorkers: 'allow' });

/** Fewer with every run of all tests, to keep them short; `npm run kills` makes 200 of them. */
const SETS = Number(process.env.JORVIX_KILL_SETS ?? 16);
const ITEMS = [
  ['anselm', 0],
  ['anselm', 1],
  ['sefina', 0],
  ['sefina', 1],
] as const;

test(
  'browser closed, server killed and network cut at random over many scripted sets: every ' +
    'confirmed tap is in the database exactly once',
  async ({ app }) => {
    test.setTimeout(60_000 + SETS * 6000);
    const random = seeded(20261125);
    const profile = mkdtempSync(join(tmpdir(), 'jorvix-profile-'));
    const launch = async (): Promise<BrowserContext> => {
      const made = await chromium.launchPersistentContext(profile, {
        ...JOURNEYS_IN,
        viewport: { width: 1280, height: 800 },
      });
      made.setDefaultTimeout(20_000);
      if ((await made.cookies(app.url)).length === 0) await app.signIn(made);
      return made;
    };
    let context = await launch();
    let page: Page = context.pages()[0]!;
    let item = '';
    let up = true;
    /** Faults marked in the set under way. */
    let seen = 0;
    const taps = new Map<string, number>();
    const confirmed = (kind: string): void => void taps.set(kind, (taps.get(kind) ?? 0) + 1);
    const open = async (id: string): Promise<void> => {
      item = id;
      // Without a server only what the device keeps can open.
      await page.goto(`${app.url}/set/${id}`, { timeout: 20_000 });
      await page.getByTestId('fault-pad').waitFor();
    };
    const left = () => page.getByRole('button', { name: 'End set' });
    /** The browser dies as a dead battery would have it; the profile on disk is all that is left. */
    const killBrowser = async (): Promise<void> => {
      const gone = new Promise((resolve) => context.once('close', resolve));
      const pids = spawnSync('pgrep', ['-f', `user-data-dir=${profile}`], { encoding: 'utf8' })
        .stdout.split('\n')
        .filter(Boolean)
        .map(Number);
      for (const pid of pids) {
        try {
          process.kill(pid, 'SIGKILL');
        } catch {
          // Already gone with its parent.
        }
      }
      await gone;
      context = await launch();
      page = context.pages()[0]!;
      await open(item);
      // What was confirmed is there again, whatever the server has.
      await expect(page.locator('[data-seen]')).toHaveCount(seen);
    };
    const disturb = async (): Promise<void> => {
      const dice = random();
      if (dice < 0.03 && up) {
        await app.stop('SIGKILL');
        up = false;
      } else if (dice < 0.12 && !up) {
        await app.start();
        up = true;
      } else if (dice < 0.14) await killBrowser();
      else if (dice < 0.17) await context.setOffline(true);
      else if (dice < 0.25) await context.setOffline(false);
    };
    for (const [client, index] of ITEMS) {
      await open(itemId(client, index));
      await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
      await expect
        .poll(
          () =>
            page.evaluate(async () => (await (await caches.open('pages')).keys()).some((r) => r.url === location.href)),
          { timeout: 20_000 },
        )
        .toBe(true);
    }
    for (let set = 0; set < SETS; set++) {
      if (process.env.JORVIX_KILL_SETS) console.log(set, Math.round(performance.now()), up ? 'up' : 'down');
      if (set % 10 === 0) {
        const [client, index] = ITEMS[(set / 10) % ITEMS.length]!;
        await open(itemId(client, index));
      }
      await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
      await left().waitFor();
      confirmed('set-started');
      seen = 0;
      await disturb();
      for (let k = Math.floor(random() * 3); k >= 0; k--) {
        const fresh = page.locator('[data-fault]:not([data-seen])');
        await fresh.nth(Math.floor(random() * (await fresh.count()))).click();
        // Confirmed is what the interface shows.
        await expect(page.locator('[data-seen]')).toHaveCount(++seen);
        await expect(page.getByTestId('undo')).toContainText('Undo');
        confirmed('fault');
        await disturb();
      }
      await left().click();
      await left().waitFor({ state: 'hidden' });
      confirmed('set-ended');
      await disturb();
      await page.getByRole('button', { name: 'Keep this' }).click();
      await page.getByRole('button', { name: 'Keep this' }).waitFor({ state: 'hidden' });
      confirmed('set-confirmed');
    }
    if (!up) await app.start();
    await context.setOffline(false);
    await page.goto(app.url);
    await expect(page.getByTestId('waiting')).toHaveText('all sent', { timeout: 60_000 });
    await context.close();
    const db = new Database(app.database, { readonly: true });
    const count = db
      .prepare(
        `SELECT kind, count(*) AS n, count(DISTINCT id) AS ids FROM floor_event WHERE device_id IN ` +
          `(SELECT device_id FROM floor_event ORDER BY received_at_ms DESC LIMIT 1) AND kind <> 'rep' ` +
          `GROUP BY kind`,
      )
      .all() as { kind: string; n: number; ids: number }[];
    db.close();
    expect(Object.fromEntries(count.map((c) => [c.kind, c.n]))).toEqual(Object.fromEntries(taps));
    expect(count.every((c) => c.n === c.ids)).toBe(true);
  },
);

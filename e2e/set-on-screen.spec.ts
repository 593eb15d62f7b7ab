import Database from 'better-sqlite3';
import type { Locator, Page } from '@playwright/test';
import { BOOK } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { faultsOf } from '@/core/book/entry-faults';
import { PAD_ROWS, padColumns, padOrder } from '@/features/set/pad-columns';
import { expect, itemId, test } from './support/app';

/** Whether all of it is on the screen. */
async function isShown(page: Page, what: Locator): Promise<boolean> {
  const box = (await what.boundingBox())!;
  const { width, height } = page.viewportSize()!;
  return box.x > -1 && box.y > -1 && box.x + box.width < width + 1 && box.y + box.height < height + 1;
}

for (const [width, height, index] of [
  [390, 844, 0],
  [360, 740, 1],
] as const) {
  test(`a set on a phone ${width} x ${height}: all of it on the screen, the rest of the pad a swipe away`, async ({
    page,
    app,
  }) => {
    await page.setViewportSize({ width, height });
    await page.goto(`${app.url}/set/${itemId('sefina', index)}`);
    await page.getByRole('button', { name: 'Start set' }).click();
    const faults = page.locator('[data-fault]');
    const pad = page.getByTestId('fault-pad');
    await faults.first().click();
    await expect(page.getByRole('button', { name: /^Undo: / })).toBeVisible();
    const ways = [
      page.getByTestId('rep-count'),
      page.getByTestId('phase'),
      page.getByRole('button', { name: 'Pain: stop' }),
      page.getByTestId('undo'),
      page.getByRole('button', { name: 'End set' }),
    ];
    for (const what of ways) expect(await isShown(page, what)).toBe(true);
    expect(await page.evaluate(() => document.documentElement.scrollHeight <= window.innerHeight)).toBe(true);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    const shown = async (): Promise<string[]> => {
      const all = await faults.all();
      const seen = await Promise.all(all.map((f) => isShown(page, f)));
      return Promise.all(all.filter((_, i) => seen[i]).map(async (f) => (await f.getAttribute('data-fault'))!));
    };
    const six = await shown();
    expect(six.length).toBe(6);
    for (const f of await faults.all()) {
      const box = (await f.boundingBox())!;
      expect(box.height).toBeGreaterThanOrEqual(56);
      expect(box.width).toBeGreaterThanOrEqual(56);
    }
    await pad.evaluate((el) => el.scrollBy({ left: el.clientWidth, behavior: 'instant' }));
    await expect.poll(async () => (await shown()).some((f) => !six.includes(f))).toBe(true);
    await page.getByRole('button', { name: 'End set' }).click();
    await expect(page.getByTestId('between')).toBeVisible();
  });
}

/** One movement for each pad whose columns are as tall as any: `pad-columns.test` walks all of the book by rows. */
const TALLEST = [
  ...new Map(
    BOOK.filter((e) => padColumns(faultsOf(e), []).some((c) => c.flatMap((g) => g.faults).length === PAD_ROWS)).map(
      (e) => [padOrder(faultsOf(e), []).join(), e] as const,
    ),
  ).values(),
];

test('the fullest pads are on a tablet without scrolling', async ({ page, app }) => {
  expect(TALLEST.length).toBeGreaterThan(3);
  await page.setViewportSize({ width: 1280, height: 800 });
  const item = itemId('anselm', 0);
  const db = new Database(app.database);
  const change = db.prepare('UPDATE session_item SET movement = ?, side = ? WHERE id = ?');
  const below: string[] = [];
  for (const e of TALLEST) {
    change.run(e.id, sidesOf(e).at(-1)!, item);
    await page.goto(`${app.url}/set/${item}`, { waitUntil: 'domcontentloaded' });
    await expect(page.getByTestId('fault-pad'), e.id).toBeVisible();
    const bottom = await page
      .getByTestId('fault-pad')
      .evaluate((el) =>
        Math.max(0, ...[...el.querySelectorAll('[data-fault]')].map((f) => f.getBoundingClientRect().bottom)),
      );
    const bar = (await page.getByTestId('undo').boundingBox())!.y - 10;
    // Below the pad stand severity and clean reps: 60 px and their distance.
    if (bottom + 78 > bar) below.push(`${e.id}: ${Math.round(bottom)} of ${Math.round(bar)}`);
  }
  db.close();
  expect(below).toEqual([]);
});

test('whatever the buttons of the bar say, none of them moves', async ({ page, app }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 1)}`);
  await page.getByRole('button', { name: 'Start set' }).click();
  const places = async (): Promise<number[]> => {
    const all = ['Pain: stop', 'Pause', 'End set'].map((name) => page.getByRole('button', { name }));
    const boxes = await Promise.all([...all, page.getByRole('radio', { name: 'left' })].map((b) => b.boundingBox()));
    return boxes.map((b) => Math.round(b!.x));
  };
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  const before = await places();
  // A stop sign pauses the set; all others leave it running.
  for (const fault of await page.locator('[data-fault]:not([data-severity="3"])').all()) {
    await fault.click();
    await expect(page.getByTestId('undo')).toContainText('Undo: ');
    expect(await places()).toEqual(before);
  }
});

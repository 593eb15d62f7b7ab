import type { Page } from '@playwright/test';
import { expect, itemId, test } from './support/app';

test.use({ serviceWorkers: 'allow' });

/**
 * Two taps in one place, as a trembling finger makes them, whatever stands there by the second one. Tapped within the
 * page, so that a busy machine does not make two slow taps of them.
 */
async function tapTwice(page: Page, name: string): Promise<void> {
  const box = (await page.getByRole('button', { name }).boundingBox())!;
  await page.evaluate(
    async ([x, y]) => {
      const tap = (): void => (document.elementFromPoint(x, y) as HTMLElement | null)?.click();
      tap();
      await new Promise((done) => setTimeout(done, 150));
      tap();
    },
    [box.x + box.width / 2, box.y + box.height / 2] as const,
  );
  await page.waitForTimeout(400);
}

/** Buttons of the bar whose middle belongs to something else. */
const covered = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('footer button, footer [role=radio], header a, header button')].flatMap(
      (el) => {
        const { left, top, width, height } = el.getBoundingClientRect();
        if (width === 0 || top > innerHeight || top + height < 0) return [];
        const hit = document.elementFromPoint(left + width / 2, top + height / 2);
        return hit && (el.contains(hit) || hit.contains(el))
          ? []
          : [`${el.textContent} under ${hit?.outerHTML.slice(0, 80)}`];
      },
    ),
  );

test('double taps: one set, one end, and a stop for pain that stands until it is taken back in words', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 5)}`);
  await tapTwice(page, 'Start set');
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  await page.waitForTimeout(850);
  await tapTwice(page, 'End set');
  await expect(page.getByRole('button', { name: 'Start set 2' })).toBeVisible();
  await page.waitForTimeout(850);
  await page.getByRole('button', { name: 'Start set 2' }).click();
  await tapTwice(page, 'Pain: stop');
  await page.keyboard.press('u');
  await expect(page.getByText('This movement is over for today')).toBeVisible();
  await expect(page.getByTestId('undo')).toBeDisabled();
  await tapTwice(page, 'Tapped by mistake?');
  await expect(page.getByText('This movement is over for today')).toBeVisible();
  await page.getByRole('button', { name: 'Tapped by mistake?' }).click();
  await page.getByRole('button', { name: 'No pain: take the stop back' }).click();
  await expect(page.getByText('This set stands at rep')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
});

for (const [width, height] of [
  [390, 844],
  [360, 740],
] as const)
  test(`nothing lies over the bar of a phone, ${width} by ${height}`, async ({ page, app }) => {
    await page.setViewportSize({ width, height });
    // Her screening is too old: a warning stands on the page.
    await page.goto(`${app.url}/set/${itemId('wilhelmina', width === 390 ? 2 : 3)}`);
    const walk = async (where: string): Promise<void> => {
      const end = await page.evaluate(() => document.documentElement.scrollHeight);
      for (let y = 0; y <= end; y += 150) {
        await page.evaluate((to) => scrollTo(0, to), y);
        expect(await covered(page), `${where}, scrolled to ${y}`).toEqual([]);
      }
    };
    await walk('before the set');
    await page.getByRole('button', { name: 'Start set' }).click();
    await page.locator('[data-fault]').first().click();
    await walk('in the set');
    await page.getByRole('button', { name: 'End set' }).click();
    await walk('resting');
    await page.getByRole('button', { name: 'Pain: stop' }).click();
    await walk('stopped');
  });

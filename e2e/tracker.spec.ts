import Database from 'better-sqlite3';
import { readFileSync } from 'node:fs';
import { expect, itemId, startTracker, test } from './support/app';

test(
  'a sensor on the stack: found, drawn over the pacer, read after the set, its findings taken by ' +
    'tap and never by themselves',
  async ({ page, app }) => {
    test.setTimeout(120_000);
    await page.goto(`${app.url}/set/${itemId('sefina', 0)}`);
    // After a set of another journey it is offered with the trace.
    const trace = page.getByText('Trace of the stack, from a sensor or a file');
    if (await trace.isVisible()) await trace.click();
    const sensor = page.getByTestId('sensor');
    await sensor.getByRole('button', { name: 'Find a sensor' }).click();
    await expect(sensor).toContainText('No sensor answers');
    const tracker = startTracker();
    try {
      await expect(async () => {
        await sensor.getByRole('button', { name: 'Find a sensor' }).click();
        await expect(sensor).toContainText('Which stack?', { timeout: 1000 });
      }).toPass({ timeout: 20_000 });
      await sensor.getByRole('button', { name: /rushes every lowering/ }).click();
      await expect(sensor).toHaveAttribute('data-link', 'connected');
      await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
      await expect(page.getByTestId('rep-count')).toHaveText('2', { timeout: 30_000 });
      // Three seconds of readings, fifty a second, most of them between the two ends of the way.
      const line = (await page.getByTestId('stack-line').getAttribute('d'))!;
      const heights = [...line.matchAll(/[ML]-?[\d.]+ (-?[\d.]+)/g)].map((m) => Number(m[1]));
      expect(heights.length).toBeGreaterThan(100);
      expect([Math.min(...heights) > 0, Math.max(...heights) < 230]).toEqual([true, true]);
      await expect(page.getByTestId('rep-count')).toHaveText('3', { timeout: 30_000 });
      await expect(page.getByTestId('stack-readout')).toContainText(
        /Stack: 2 reps, the last lifted in (1\.9|2\.[01]) s, lowered in (0\.9|1\.[012]) s of 3\.0/,
      );
      await page.getByRole('button', { name: 'End set' }).click();
      const finding = page.getByTestId('finding-lowering-rushed');
      await expect(finding).toContainText(/Rep 1, 2(, \d)*: lowered in far less than the asked time/);
      await expect(page.locator('[data-fault="lowering-dropped"]')).not.toContainText('rep');
      await finding.getByRole('button', { name: 'Take: drops it' }).click();
      await expect(page.locator('[data-fault="lowering-dropped"]')).toContainText('rep 1, 2');
      await page.getByRole('button', { name: 'Keep this' }).click();
      await expect(page.getByTestId('waiting')).toHaveText('all sent');

      await test.step('the trace is kept: it is there without the sensor, and later in the ledger', async () => {
        tracker.kill();
        await page.reload();
        await expect(finding.getByRole('button', { name: 'Taken' })).toBeVisible();
        await expect(sensor).toHaveAttribute('data-link', /lost|none/);
        await sensor.getByRole('button', { name: 'Leave it' }).click();
        await expect(sensor).toHaveAttribute('data-link', 'off');
        const db = new Database(app.database, { readonly: true });
        const movement = db.prepare('SELECT movement FROM session_item WHERE id = ?').pluck().get(itemId('sefina', 0));
        db.close();
        await page.goto(`${app.url}/ledger/sefina`);
        await page
          .locator('section')
          .filter({ has: page.locator(`[id="${String(movement)}"]`) })
          .locator('thead button')
          .last()
          .click();
        const kept = page.locator('details').filter({ hasText: 'Trace' }).last();
        await kept.locator('summary').click();
        await expect(kept.getByRole('img')).toBeVisible();
        expect((await kept.locator('path[data-asked]').getAttribute('d'))!.length).toBeGreaterThan(50);
        const saved = page.waitForEvent('download');
        await kept.getByRole('link', { name: 'Take the trace along (CSV)' }).click();
        expect(readFileSync(await (await saved).path(), 'utf8')).toMatch(/^t_s,x_m\r\n0\.000,/);
      });
    } finally {
      tracker.kill();
    }
  },
);

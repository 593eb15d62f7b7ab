import { test as base, type Page } from '@playwright/test';
import { App } from '../../scripts/launch-app';

export { itemId, startTracker } from '../../scripts/launch-app';

/** What can be pressed is listened to: a press on a page that is still waking up says nothing about it. */
async function awake(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll('main button, main a[href], main [role=slider]')].every((el) =>
      Object.keys(el).some((key) => key.startsWith('__react')),
    ),
  );
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
}

export const test = base.extend<object, { app: App; emptyApp: App }>({
  page: async ({ page }, run) => {
    const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
    page.goto = async (...to) => {
      const response = await goto(...to);
      await awake(page);
      return response;
    };
    page.reload = async (...how) => {
      const response = await reload(...how);
      await awake(page);
      return response;
    };
    await run(page);
  },
  app: [
    async ({}, use) => {
      const app = new App(true);
      await app.start();
      await use(app);
      await app.stop();
    },
    { scope: 'worker' },
  ],
  emptyApp: [
    async ({}, use) => {
      const app = new App(false);
      await app.start();
      await use(app);
      await app.stop();
    },
    { scope: 'worker' },
  ],
});
export { expect } from '@playwright/test';

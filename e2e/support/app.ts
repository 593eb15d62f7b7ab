import { expect, test as base, type Page } from '@playwright/test';
import { App } from '../../scripts/launch-app';

export { itemId, startTracker, type App } from '../../scripts/launch-app';

/** What can be pressed is listened to: a press on a page that is still waking up says nothing about it. */
async function awake(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    [...document.querySelectorAll('main button, main a[href], main [role=slider]')].every((el) =>
      Object.keys(el).some((key) => key.startsWith('__react')),
    ),
  );
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
}

/** Longest wait for the network to be quiet, milliseconds: now and then the browser never says that a request ended. */
const QUIET_WITHIN_MS = 30_000;

/** What the page fetches once it is open has come. */
export const quiet = (page: Page): Promise<void> =>
  page.waitForLoadState('networkidle', { timeout: QUIET_WITHIN_MS }).catch((error: Error) => {
    if (error.name !== 'TimeoutError') throw error;
  });

/**
 * Every file of journeys begins with an application and a database of its own: what one file leaves behind is never
 * what the next one finds, whichever worker runs them and in whichever order.
 */
class AppOfFile {
  private current: { readonly file: string; readonly app: App } | null = null;
  constructor(private readonly demo: boolean) {}

  async of(file: string): Promise<App> {
    if (this.current?.file === file) return this.current.app;
    await this.stop();
    const app = new App(this.demo);
    this.current = { file, app };
    await app.start();
    return app;
  }

  async stop(): Promise<void> {
    await this.current?.app.stop();
    this.current = null;
  }
}

export const test = base.extend<{ app: App; emptyApp: App }, { demoOf: AppOfFile; emptyOf: AppOfFile }>({
  context: async ({ context, app }, run) => {
    await app.signIn(context);
    await run(context);
  },
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
  demoOf: [
    async ({}, use) => {
      const apps = new AppOfFile(true);
      await use(apps);
      await apps.stop();
    },
    { scope: 'worker' },
  ],
  emptyOf: [
    async ({}, use) => {
      const apps = new AppOfFile(false);
      await use(apps);
      await apps.stop();
    },
    { scope: 'worker' },
  ],
  app: async ({ demoOf }, run, { file }) => run(await demoOf.of(file)),
  emptyApp: async ({ emptyOf }, run, { file }) => run(await emptyOf.of(file)),
});
export { expect };

/** Opens a section of a set-up's answer by its name. */
export async function openSection(page: Page, name: string): Promise<void> {
  const section = page.locator('details[data-section]').filter({ has: page.getByText(name, { exact: true }) });
  if ((await section.getAttribute('open')) === null) await section.locator('summary').click();
  await expect(section).toHaveAttribute('open');
}

/** Types two measured holes on a column's sheet: their numbers and heights in centimetres. */
export async function measureHoles(page: Page, low: readonly [string, string], high: readonly [string, string]) {
  for (const [i, [hole, height]] of [low, high].entries()) {
    await page.getByLabel('Hole', { exact: true }).nth(i).fill(hole);
    await page.getByLabel('Height').nth(i).fill(height);
  }
}

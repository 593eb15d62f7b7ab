import { chromium, type Page } from '@playwright/test';
import { App, JOURNEYS_IN, itemId, startTracker } from './launch-app';

const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly size?: { readonly width: number; readonly height: number };
  readonly night?: boolean;
  readonly act?: (page: Page) => Promise<void>;
}

async function runSet(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Start set/ }).click();
  await page.getByTestId('rep-count').filter({ hasText: '1' }).waitFor();
  await page.locator('[data-fault="shoulders-roll-forward"]').click();
  await page.waitForTimeout(3600);
  await page.locator('[data-fault="lowering-dropped"]').click();
}

const SHOTS: readonly Shot[] = [
  { name: 'floor', path: '/' },
  { name: 'floor-phone', path: '/', size: PHONE },
  { name: 'client', path: '/clients/wilhelmina' },
  { name: 'kit', path: '/kit/knee-lever' },
  {
    name: 'movements',
    path: '/movements?client=wilhelmina',
    act: async (page) => {
      await page.getByRole('radio', { name: 'rear deltoid' }).click();
      await page.locator('section[aria-busy=false] li').first().waitFor();
    },
  },
  { name: 'movement', path: '/movements/dumbbell-row-one-arm?client=anselm', night: true },
  { name: 'setup', path: `/setup/${itemId('sefina', 0)}` },
  {
    name: 'setup-as-found',
    path: `/setup/${itemId('wilhelmina', 0)}`,
    night: true,
    act: async (page) => {
      for (let i = 0; i < 3; i++) await page.getByTestId('drag-carriage').press('ArrowDown');
      await page.getByTestId('least-change').waitFor();
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    },
  },
  { name: 'setup-fit', path: `/setup/${itemId('wilhelmina', 3)}` },
  { name: 'set', path: `/set/${itemId('anselm', 0)}`, act: runSet },
  {
    name: 'between-sets',
    path: `/set/${itemId('anselm', 1)}`,
    act: async (page) => {
      await runSet(page);
      await page.getByRole('button', { name: 'End set' }).click();
      for (let i = 0; i < 12; i++) await page.getByRole('button', { name: 'One rep more' }).click();
      await page.getByRole('button', { name: 'Keep this' }).click();
    },
  },
  { name: 'week', path: '/plan' },
  {
    name: 'client-week',
    path: '/plan/of/tevita',
    night: true,
    act: (page) => page.locator('[data-region]').first().waitFor(),
  },
  {
    name: 'propose',
    path: `/plan/propose/${itemId('sefina', 0).replace(/-0$/, '')}`,
    act: async (page) => {
      await page.getByRole('button', { name: 'Propose a session' }).click();
      await page.getByRole('button', { name: 'Put it into the plan' }).waitFor();
    },
  },
  { name: 'session-plan', path: `/plan/${itemId('wilhelmina', 0).replace(/-0$/, '')}` },
  {
    name: 'spotting',
    path: '/movements/spotting?movement=dumbbell-row-hinged',
    act: async (page) => {
      // What is drawn by chance is the same in every picture: a fault, and always the same one.
      await page.evaluate(() => void (Math.random = () => 0.78));
      await page.getByRole('button', { name: 'Begin' }).click();
      await page.waitForTimeout(3200);
      await page.locator('[data-fault="shrugs"]').click();
      await page.waitForTimeout(1800);
    },
  },
  { name: 'set-phone', path: `/set/${itemId('sefina', 1)}`, size: PHONE, act: runSet },
  {
    name: 'set-stack',
    path: `/set/${itemId('sefina', 0)}`,
    act: async (page) => {
      const tracker = startTracker();
      const lifter = page.getByRole('button', { name: /rushes every lowering/ });
      while (!(await lifter.isVisible())) {
        await page.getByRole('button', { name: 'Find a sensor' }).click();
        await page.waitForTimeout(500);
      }
      await lifter.click();
      await page.getByRole('button', { name: /Start set/ }).click();
      await page.getByTestId('rep-count').filter({ hasText: '3' }).waitFor();
      await page.waitForTimeout(4600);
      await page.evaluate(() => (document.activeElement as HTMLElement).blur());
      page.once('close', () => tracker.kill());
    },
  },
  {
    name: 'ledger',
    path: '/ledger/bashir',
    act: async (page) =>
      void (await page
        .getByRole('button', { name: /: in 3 of 3 sets$/ })
        .last()
        .click()),
  },
];

async function main(): Promise<void> {
  const app = new App(true);
  await app.start();
  const browser = await chromium.launch(JOURNEYS_IN);
  try {
    for (const shot of SHOTS) {
      const page = await browser.newPage({ viewport: shot.size ?? DESK, colorScheme: shot.night ? 'dark' : 'light' });
      await app.signIn(page.context());
      await page.goto(app.url + shot.path);
      await page.waitForTimeout(1200);
      await shot.act?.(page);
      await page.evaluate(() => window.scrollTo(0, 0));
      await page.waitForTimeout(500);
      await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
      await page.close();
      console.log(`docs/screenshots/${shot.name}.png`);
    }
  } finally {
    await browser.close();
    await app.stop();
  }
}
void main();

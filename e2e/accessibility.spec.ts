import AxeBuilder from '@axe-core/playwright';
import Database from 'better-sqlite3';
import type { Page } from '@playwright/test';
import { expect, itemId, quiet, test } from './support/app';
import { faultsOfLayout } from './support/layout';
import { PLACES } from './support/places';

/** A tablet and two phones. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
  { width: 360, height: 740 },
];

/** Places that between them have every colour of the house: looked at by night too. */
const BY_NIGHT = [
  '/',
  '/account',
  '/clients/sefina',
  '/kit/short-pair',
  '/movements/dumbbell-row-one-arm',
  '/ledger/sefina',
  '/records',
  `/setup/${itemId('sefina', 0)}`,
  `/set/${itemId('sefina', 1)}`,
  `/set/${itemId('wilhelmina', 4)}`,
];

/** What is pressed or typed into; a switch is pressed by its label. */
const TARGETS = ['button', 'a', 'summary', 'select', 'textarea', 'input:not([type=hidden]):not([role=switch])']
  .map((t) => `main ${t}:visible`)
  .concat('main [role=slider]')
  .join(', ');

/** What axe has against the page; without the second page that it would open for its report. */
async function violations(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations: found } = await (rules ? axe.withRules(rules) : axe).analyze();
  return found.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
}

/** Once what follows from another size has been drawn. */
const drawnAnew = (page: Page): Promise<void> =>
  page.evaluate(
    () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 50)))),
  );

test.describe('every place', () => {
  let page: Page;
  // One page for all of them: what a place needs is fetched once.
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage({ viewport: SIZES[0] });
  });
  test.beforeEach(async ({ app }) => {
    if ((await page.context().cookies(app.url)).length === 0) await app.signIn(page.context(), 'owner');
  });
  test.afterAll(() => page.close());
  for (const place of PLACES) {
    const name = place.replace(/-\d{4}-\d\d-\d\d/, '');
    test(`axe finds nothing, and nothing is cut or over each other at any size: ${name}`, async ({ app }) => {
      await page.setViewportSize(SIZES[0]!);
      await page.emulateMedia({ colorScheme: 'light' });
      await page.goto(app.url + place);
      await quiet(page);
      expect(await violations(page)).toEqual([]);
      // By night only the colours are others.
      if (BY_NIGHT.includes(place)) {
        await page.emulateMedia({ colorScheme: 'dark' });
        await expect(page.locator('html')).toHaveAttribute('data-mantine-color-scheme', 'dark');
        await page.waitForTimeout(300);
        expect(await violations(page, ['color-contrast', 'link-in-text-block'])).toEqual([]);
      }
      await page.evaluate(() => document.querySelectorAll('main details').forEach((d) => d.setAttribute('open', '')));
      for (const size of SIZES) {
        await page.setViewportSize(size);
        await drawnAnew(page);
        expect([size.width, await faultsOfLayout(page)]).toEqual([size.width, []]);
      }
    });
  }
});

test('axe finds nothing at the way in, of the demo and of an empty database', async ({ browser, app, emptyApp }) => {
  const page = await browser.newPage();
  for (const { url } of [app, emptyApp]) {
    await page.goto(`${url}/sign-in`);
    await quiet(page);
    expect(await violations(page)).toEqual([]);
  }
  await page.close();
});

test('axe finds nothing between sets, off the line, and after a stop for pain', async ({ page, app }) => {
  const check = async () => expect(await violations(page)).toEqual([]);
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 0)}`);
  await page.getByRole('button', { name: 'Start set' }).click();
  await page.locator('[data-fault="past-control"]').click();
  await check();
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
  await check();
  await page.getByRole('button', { name: 'Pain: stop' }).click();
  await expect(page.getByText('This movement is over')).toBeVisible();
  await check();
  // Other journeys need this movement today.
  await page.getByRole('button', { name: 'Tapped by mistake?' }).click();
  await check();
  await page.getByRole('button', { name: 'No pain: take the stop back' }).click();
  await expect(page.getByText('This movement is over')).toBeHidden();
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 0)}`);
  for (let i = 0; i < 4; i++) await page.getByTestId('drag-carriage').press('ArrowDown');
  await expect(page.getByTestId('least-change')).toBeVisible();
  await check();
});

test('targets of the floor screens are at least 56 px, on a tablet and on a phone', async ({ page, app }) => {
  for (const place of [
    '/',
    '/movements',
    '/movements/dumbbell-row-one-arm',
    `/setup/${itemId('anselm', 1)}`,
    `/set/${itemId('anselm', 1)}`,
    `/setup/${itemId('wilhelmina', 2)}`,
    `/setup/${itemId('wilhelmina', 5)}`,
    `/set/${itemId('wilhelmina', 4)}`,
  ]) {
    await page.goto(app.url + place);
    await quiet(page);
    await page.evaluate(() => document.querySelectorAll('main details').forEach((d) => d.setAttribute('open', '')));
    for (const size of SIZES.slice(0, 2)) {
      await page.setViewportSize(size);
      await drawnAnew(page);
      const small = await page.locator(TARGETS).evaluateAll((nodes) =>
        nodes
          .map((n) => ({ what: n.getAttribute('aria-label') ?? n.textContent, box: n.getBoundingClientRect() }))
          .filter((t) => Math.round(t.box.height) < 56)
          .map((t) => `${t.what} ${Math.round(t.box.width)}x${Math.round(t.box.height)}`),
      );
      expect([place, small]).toEqual([place, []]);
      expect([place, await faultsOfLayout(page)]).toEqual([place, []]);
      // What can be scrolled inside the page shows at least a hand's height of it, and on a phone nothing but wide
      // tables scrolls by itself.
      const cut = await page
        .locator('main *')
        .evaluateAll((nodes) =>
          nodes
            .filter(
              (n) =>
                n.scrollHeight > n.clientHeight + 2 &&
                n.clientHeight > 1 &&
                ['auto', 'scroll', 'hidden', 'clip'].includes(getComputedStyle(n).overflowY) &&
                n.clientHeight < (window.innerWidth < 900 ? n.scrollHeight : 150),
            )
            .map((n) => `${n.tagName} ${n.className} ${n.clientHeight} of ${n.scrollHeight}`),
        );
      expect([place, cut]).toEqual([place, []]);
    }
  }
});

test('what has the focus is seen to have it, by day and by night', async ({ page, app }) => {
  for (const place of [
    '/',
    '/clients/new',
    '/kit/short-pair',
    `/setup/${itemId('anselm', 1)}`,
    `/set/${itemId('anselm', 1)}`,
  ]) {
    await page.goto(app.url + place);
    await quiet(page);
    await page.evaluate(() => {
      document.body.insertAdjacentHTML('beforeend', '<i id="focus-colour" style="color: var(--focus)"></i>');
    });
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme });
      const unseen = new Set<string>();
      for (let i = 0; i < 50; i++) {
        await page.keyboard.press('Tab');
        const told = await page.evaluate(() => {
          const el = document.activeElement;
          if (!el || el === document.body) return null;
          // A switch and a slider of the library show it on the part that is drawn.
          const drawn = [el, el.parentElement!, ...el.parentElement!.querySelectorAll('span, div')];
          const outlined = drawn.some((d) => {
            const { outlineStyle, outlineWidth } = getComputedStyle(d);
            return outlineStyle !== 'none' && parseFloat(outlineWidth) >= 2;
          });
          // What is taken hold of in a drawing is framed in it.
          const framed = [...el.querySelectorAll('rect, circle, path')].some((d) => {
            const { stroke, strokeWidth } = getComputedStyle(d);
            return (
              stroke === getComputedStyle(document.querySelector('#focus-colour')!).color &&
              parseFloat(strokeWidth) >= 2
            );
          });
          return outlined || framed ? null : el.outerHTML.slice(0, 90);
        });
        if (told) unseen.add(told);
      }
      expect([place, colorScheme, [...unseen]]).toEqual([place, colorScheme, []]);
    }
  }
});

/** Four sessions more for everybody who is planned today, minutes later: of today whatever the hour is. */
function fillDay(file: string): void {
  const db = new Database(file);
  const day = `-${itemId('sefina', 0).split('-').slice(1, 4).join('-')}`;
  for (const minutes of [5, 10, 15, 20])
    for (const [table, key] of [
      ['session', 'id'],
      ['session_item', 'session_id'],
    ] as const)
      db.exec(`CREATE TEMP TABLE more AS SELECT * FROM ${table} WHERE ${key} LIKE '%${day}';
        UPDATE more SET id = id || '-more-${minutes}';
        ${table === 'session' ? `UPDATE more SET starts_at_ms = starts_at_ms + ${minutes} * 60000;` : ''}
        ${table === 'session_item' ? `UPDATE more SET session_id = session_id || '-more-${minutes}';` : ''}
        INSERT INTO ${table} SELECT * FROM more; DROP TABLE more;`);
  db.close();
}

test('axe finds nothing on a full day, and who is far off is led to their plan and their set-ups', async ({
  page,
  app,
}) => {
  fillDay(app.database);
  await page.goto(app.url);
  const also = page.getByRole('region', { name: 'Also today' });
  await expect(also.getByRole('listitem').first()).toContainText('0 of');
  expect(await violations(page)).toEqual([]);
  for (const size of SIZES) {
    await page.setViewportSize(size);
    await drawnAnew(page);
    expect([size.width, await faultsOfLayout(page)]).toEqual([size.width, []]);
  }
  const [who, what] = await also.getByRole('link').first().locator('h3, span:last-child').allInnerTexts();
  await also.getByRole('link').first().click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(who!);
  const movement = page.locator('[data-block] a').first();
  await expect(movement).toContainText(what!.split(';')[0]!);
  await movement.click();
  await expect(page).toHaveURL(/\/setup\//);
});

import Database from 'better-sqlite3';
import type { Page } from '@playwright/test';
import { expect, itemId, test } from './support/app';

const editor = (page: Page) => page.getByRole('dialog', { name: 'How the set is done' });

async function chooseScheme(page: Page, scheme: string): Promise<void> {
  await page.getByRole('button', { name: /^How the set is done/ }).click();
  await editor(page).getByLabel('Scheme').selectOption(scheme);
  await editor(page).getByRole('button', { name: 'Back to the set' }).click();
}

test('a scheme is changed by taps: reps, drops, slow zone by finger, how near to failure; kept over a reload', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 3)}`);
  await chooseScheme(page, 'weight-drops');
  await page.getByRole('button', { name: /^How the set is done: drop set/ }).click();
  const dialog = editor(page);
  const row = (name: string) => dialog.getByRole('group', { name, exact: true });
  await row('Drops').getByRole('button', { name: /^Less/ }).click();
  await expect(row('Reps of part 3')).toHaveCount(0);
  await row('Each drop takes off').getByRole('button', { name: /^Less/ }).click();
  await expect(row('Each drop takes off')).toContainText('25 %');
  // Taps that come faster than they are on record are all counted.
  await row('Reps of part 2')
    .getByRole('button', { name: /^Less/ })
    .evaluate((el: HTMLElement) => [1, 2, 3].forEach(() => el.click()));
  await expect(row('Reps of part 2')).toContainText('12 at');
  await dialog.getByText('to failure', { exact: true }).click();
  await expect(dialog.getByRole('switch', { name: 'Slow between 40° and 75°' })).toBeChecked();
  const from = dialog.getByRole('slider', { name: 'Slow from, degrees' });
  const was = Number(await from.getAttribute('aria-valuenow'));
  await from.scrollIntoViewIfNeeded();
  const box = (await from.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  expect(Number(await from.getAttribute('aria-valuenow'))).toBeGreaterThanOrEqual(was + 10);
  const slow = (await dialog.locator('label', { hasText: /^Slow between/ }).textContent())!;
  await dialog.getByRole('button', { name: 'Back to the set' }).click();
  await page.reload();
  await expect(page.getByTestId('reserve')).toHaveText('to failure');
  const [, a, b] = /(\d+)° and (\d+)°/.exec(slow)!;
  await expect(page.getByRole('region', { name: 'Settings' })).toContainText(`3 s between ${a}° and ${b}°`);
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByTestId('part')).toContainText('Part 1 of 2');
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
});

test('a stretch has a clock of holds for each side, asks no load, and goes on to the other side', async ({
  page,
  app,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${app.url}/set/${itemId('anselm', 2)}`);
  await expect(page.getByTestId('hold-left')).toHaveText('10');
  await expect(page.getByRole('region', { name: 'Settings' })).toContainText('3holds of 10 s');
  const pad = page.getByTestId('fault-pad');
  await expect(pad.getByRole('button')).toHaveCount(3);
  await expect(pad).not.toContainText(/lift|lower/);
  await page.getByRole('button', { name: /^Start set/ }).click();
  const phase = page.getByTestId('phase');
  await expect(phase).toHaveText('go in', { timeout: 8000 });
  await expect(page.getByTestId('rep-count')).toHaveText('hold 1 of 3');
  await expect(phase).toHaveText('hold', { timeout: 4000 });
  await expect(page.getByTestId('hold-left')).toHaveText('9', { timeout: 3000 });
  await page.keyboard.press('p');
  await expect(page.getByTestId('tap-rep')).toHaveText(/^Hold 1 done/);
  await page.keyboard.press('p');
  await page.getByTestId('rep-count').click();
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('confirm-reps')).toHaveText('1');
  await expect(page.getByTestId('confirm-load')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'One hold more' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('between')).toContainText('1 hold of 10 s');
  await page.getByRole('link', { name: /right/ }).first().click();
  await expect(page).toHaveURL(new RegExp(itemId('anselm', 3)));
});

test('a drop set from mark to mark: the next mark is shown big, taken in a tap, and kept', async ({ page, app }) => {
  const item = itemId('sefina', 0);
  await page.goto(`${app.url}/set/${item}`);
  await chooseScheme(page, 'stance-drops');
  const marks = (await page.getByTestId('drop-marks').locator('b').textContent())!;
  const all = marks.split(',').length;
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByTestId('part')).toContainText(`Part 1 of ${all}: 8 at`);
  await page.getByRole('button', { name: 'Pause' }).click();
  for (let i = 1; i <= 3; i++) await page.getByTestId('tap-rep').click();
  const second = /(\d+)( behind)?/.exec(marks.split(',')[1]!)![1]!;
  await expect(page.getByTestId('next-part')).toContainText(`Now mark ${second} cm`);
  await page.keyboard.press('n');
  await expect(page.getByTestId('part')).toContainText(`Part 2 of ${all}`);
  await expect(page.getByRole('region', { name: 'Settings' })).toContainText(`${second}cm`);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByTestId('tap-rep').click();
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('confirm-reps')).toHaveText('4');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  const db = new Database(app.database, { readonly: true });
  const bodies = db
    .prepare("SELECT body FROM floor_event WHERE item_id = ? AND kind IN ('set-started', 'part') ORDER BY at_ms")
    .all(item) as { body: string }[];
  db.close();
  // By the clock: each device counts for itself, and the journeys before had their own.
  expect(bodies.slice(-2).map((b) => JSON.parse(b.body) as object)).toMatchObject([
    { scheme: 'stance-drops' },
    { part: 1, reps: 3, standX: expect.closeTo(Number(second) / 100, 9) },
  ]);
});

test('to failure twice, then helped: the stronger half, then the other one with help', async ({ page, app }) => {
  await page.goto(`${app.url}/set/${itemId('anselm', 1)}`);
  await chooseScheme(page, 'double-failure');
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  const part = page.getByTestId('part');
  await expect(part).toContainText('Part 1 of 3');
  await page.keyboard.press('n');
  await expect(part).toContainText(/Part 2 of 3: 6 at .*, the half (from the stretch|to the finish)/);
  const [, half] = /Part 2 .*?, the half (from the stretch|to the finish)/.exec((await part.textContent())!)!;
  const other = half === 'from the stretch' ? 'to the finish' : 'from the stretch';
  await page.keyboard.press('n');
  await expect(part).toContainText(new RegExp(`Part 3 of 3: 4 at .*, the half ${other}, with help`));
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('between')).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
});

test('by keys alone: start, faults by letter, worse by a second thought, clean so far, undo, end', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/set/${itemId('sefina', 1)}`);
  await expect(page.getByRole('button', { name: /^Start set|^One more set/ })).toBeEnabled();
  // A set of before has its own marks on the pad until the next begins.
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.keyboard.press('e');
  await expect(page.getByTestId('phase')).toHaveText('get set');
  await page.keyboard.press('1');
  await page.keyboard.press('2');
  await expect(page.locator('[data-seen]')).toHaveCount(2);
  await page.keyboard.press('u');
  await expect(page.locator('[data-seen]')).toHaveCount(1);
  await page.getByRole('radio', { name: 'stop the set' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'stop the set' })).toBeVisible();
  await expect(page.locator('[data-seen]')).toContainText('stop the set');
  await page.keyboard.press('c');
  await expect(page.getByTestId('clean')).toHaveText('Clean to rep 1');
  await page.keyboard.press('e');
  await page.getByRole('button', { name: 'One rep more' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('between')).toContainText('watched clean to rep 1');
  await expect(page.getByTestId('estimate')).toContainText('If that was the limit: about 5.0 kg for one rep');
  await page.getByLabel('Note on this set, for next time').fill('Left hand arrives late');
  await page.getByLabel('Note on this set, for next time').blur();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.reload();
  await expect(page.getByLabel('Note on this set, for next time')).toHaveValue('Left hand arrives late');
});

test('a long press says it is worse than usual; the offered load says why', async ({ page, app }) => {
  await page.goto(`${app.url}/set/${itemId('wilhelmina', 4)}`);
  const advice = page.getByTestId('advice');
  await expect(advice).toContainText(/90 lb (one step|the same|as planned|the heaviest|the clinician)/);
  await page.getByRole('button', { name: /^Start set/ }).click();
  const fault = page.locator('[data-fault]').first();
  await fault.click({ delay: 700 });
  await expect(fault).toContainText(/, (correct|stop the set)$/);
  await page.getByRole('button', { name: 'End set' }).click();
});

test('a trace from a file: reps counted, phases told, findings proposed and taken only by a tap', async ({
  page,
  app,
}) => {
  const jerk = (s: number): number => 10 * s ** 3 - 15 * s ** 4 + 6 * s ** 5;
  // Six reps at 3-1-2-1 whose last lowering is let go.
  const legs = Array.from(
    { length: 6 },
    (_, k) =>
      [
        [2, 0, 0.5],
        [1, 0.5, 0.5],
        [k === 5 ? 0.6 : 3, 0.5, 0],
        [1, 0, 0],
      ] as const,
  ).flat();
  const lines = ['t_s,x_m'];
  for (let t = 0; t < 1 + legs.reduce((a, l) => a + l[0], 0); t += 0.02) {
    let [left, x] = [t - 1, 0];
    for (const [s, a, b] of legs) {
      if (left >= 0) x = a + (b - a) * jerk(Math.min(1, left / s));
      left -= s;
    }
    lines.push(`${t.toFixed(2)},${(x + 0.1).toFixed(4)}`);
  }
  await page.goto(`${app.url}/set/${itemId('sefina', 1)}`);
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await page.waitForTimeout(850);
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByText('Trace of the stack, from a sensor or a file').click();
  const file = page.getByLabel(/CSV with the columns/);
  await file.setInputFiles({ name: 'wrong.csv', mimeType: 'text/csv', buffer: Buffer.from('t_s,x_m\n0,1\n1,far\n') });
  await expect(page.getByText('wrong.csv: line 3, x_m: expected a number, got “far”')).toBeVisible();
  await file.setInputFiles({ name: 'set.csv', mimeType: 'text/csv', buffer: Buffer.from(lines.join('\n')) });
  await expect(page.getByTestId('trace-reps')).toContainText(
    '6 reps. Lifted in 2.0 s of 2.0 asked, lowered in 2.6 s of 3.0',
  );
  await expect(page.locator('[data-fault="lowering-dropped"]')).not.toContainText('rep');
  await page.getByRole('button', { name: 'Take: drops it' }).click();
  await expect(page.locator('[data-fault="lowering-dropped"]')).toContainText('rep 6');
});

/** How far the mark stands off the paced line as both are on the screen, pixels. */
const markOffLine = (page: Page): Promise<number> =>
  page.getByTestId('stack-line').evaluate((stack) => {
    const line = stack.parentElement!.querySelector<SVGPathElement>('svg path')!;
    const { x, y, width, height } = stack.parentElement!.querySelector('circle')!.getBoundingClientRect();
    const toScreen = line.getScreenCTM()!;
    const offs = Array.from({ length: Math.ceil(line.getTotalLength()) }, (_, s) => {
      const p = line.getPointAtLength(s).matrixTransform(toScreen);
      return Math.hypot(p.x - x - width / 2, p.y - y - height / 2);
    });
    return Math.min(...offs);
  });

test('the pacer follows a tap at each rep, also while it rests, and goes on from what was counted', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/set/${itemId('sefina', 1)}`);
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  const [count, phase] = [page.getByTestId('rep-count'), page.getByTestId('phase')];
  await expect(count).toHaveText('1');
  // The client is a little quicker than asked: past the half of the rep it is done.
  await expect(phase).toHaveText('lower');
  await page.waitForTimeout(1500);
  await count.click();
  await expect(count).toHaveText('2');
  await expect(phase).toHaveText('lift');
  expect(await markOffLine(page)).toBeLessThan(2);
  // However soon: a tap is a rep.
  await expect(phase).toHaveText('hold');
  await page.keyboard.press('r');
  await expect(phase).toHaveText('lift');
  await expect(count).toHaveText('3');
  // However long a busy device takes to pause, all of it stands where it was pressed.
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 20 });
  await page.keyboard.press('p');
  await expect(page.getByText('paused', { exact: true })).toBeVisible();
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  expect(await markOffLine(page)).toBeLessThan(2);
  for (const n of ['3', '4', '5']) {
    await count.click();
    await expect(count).toHaveText(n);
  }
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(count).toHaveText('6');
  await expect(phase).toHaveText('lift');
  // The line has been drawn anew meanwhile, and slid.
  await expect(phase).toHaveText('lower');
  expect(await markOffLine(page)).toBeLessThan(2);
  await page.getByRole('button', { name: 'End set' }).click();
  await expect(page.getByTestId('confirm-reps')).toHaveText('5');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
});

test('a stop sign stops the pacer, a side is for one fault, reps are typed, a correction is called out', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/set/${itemId('anselm', 1)}`);
  await page.getByRole('button', { name: /^Start set|^One more set/ }).click();
  await expect(page.getByTestId('rep-count')).toHaveText('1');
  const side = (name: string) => page.getByRole('radio', { name, exact: true });
  await page.locator('[data-fault="shrugs"]').click();
  await side('left').click();
  await page.locator('[data-fault="shrugs"]').click();
  await expect(side('both')).toBeChecked();
  await side('right').click();
  await side('right').click();
  await page.locator('[data-fault="shrugs"]').click();
  await expect(side('right, kept')).toBeChecked();
  for (let i = 0; i < 4; i++) {
    await page.waitForTimeout(700);
    await page.getByTestId('rep-count').click();
  }
  await page.getByRole('radio', { name: 'stop the set', exact: true }).click();
  await expect(page.getByText('paused', { exact: true })).toBeVisible();
  await page.getByTestId('end-now').click();
  await expect(page.getByTestId('confirm-reps')).toHaveText('4');
  await page.getByTestId('confirm-reps').click();
  await page.getByTestId('type-reps').fill('11');
  await page.getByTestId('type-reps').press('Enter');
  await expect(page.getByTestId('confirm-reps')).toHaveText('11');
  await page.getByRole('button', { name: 'Keep this' }).click();
  await page
    .getByRole('button', { name: /^Other corrections/ })
    .first()
    .click();
  const correction = page.getByRole('button', { name: /^Cue: / }).first();
  const said = (await correction.textContent())!.match(/Cue: ([^.(]+)/)![1]!.trim();
  await correction.click();
  await page.getByRole('button', { name: /^Start set/ }).click();
  await expect(page.getByTestId('cue')).toContainText(new RegExp(said.slice(0, 12), 'i'));
  await expect(page.getByTestId('second-cue')).not.toBeEmpty();
  // Longer than a double tap.
  await page.waitForTimeout(800);
  await page.getByRole('button', { name: 'End set' }).click();
  await page.getByRole('button', { name: 'Keep this' }).click();
});

/** Opens a page and presses while its scripts are on their way; lets them come. */
async function pressEarly(page: Page, url: string, ...names: readonly string[]): Promise<void> {
  let letCome = (): void => undefined;
  const come = new Promise<void>((resolve) => (letCome = resolve));
  await page.route('**/*.js', async (route) => {
    await come;
    await route.continue();
  });
  await page.goto(url, { waitUntil: 'commit' });
  for (const name of names) await page.locator('button, label, summary').getByText(name, { exact: true }).click();
  expect(await page.locator('[data-early]').count()).toBeGreaterThan(0);
  letCome();
  await expect(page.locator('[data-early]')).toHaveCount(0);
  await page.unrouteAll({ behavior: 'wait' });
}

test('pressed before the page listens: a set begins once, a stop for pain stands, what is chosen is chosen', async ({
  app,
  context,
}) => {
  const page = await context.newPage();
  const id = itemId('noriko', 2);
  await pressEarly(page, `${app.url}/set/${id}`, 'Start set', 'Start set');
  await expect(page.getByRole('button', { name: 'End set' })).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await pressEarly(page, `${app.url}/set/${id}`, 'Pain: stop');
  await expect(page.getByText('This movement is over for today')).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.reload();
  await expect(page.getByText('This movement is over for today')).toBeVisible();
  const db = new Database(app.database, { readonly: true });
  const kinds = db
    .prepare('SELECT kind, count(*) FROM floor_event WHERE item_id = ? GROUP BY kind ORDER BY kind')
    .raw();
  expect(kinds.all(id)).toEqual([
    ['pain', 1],
    ['set-started', 1],
  ]);
  db.close();
  await pressEarly(page, `${app.url}/movements/pulldown-side-lying`, 'left', 'right', 'left');
  await expect(page.getByRole('radio', { name: 'left' })).toBeChecked();
  await pressEarly(page, `${app.url}/kit`, 'Common kit', 'V-bar');
  await expect(page.getByRole('checkbox', { name: 'V-bar' })).toBeChecked();
  await expect(page.getByRole('button', { name: 'Add 1 piece' })).toBeEnabled();
  await page.close();
});

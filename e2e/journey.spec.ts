import Database from 'better-sqlite3';
import { expect, itemId, test } from './support/app';

test.use({ serviceWorkers: 'allow' });
import type { Page } from '@playwright/test';

const hole = (page: Page) => page.getByTestId('plate-hole');
const verdicts = (page: Page) => page.getByTestId('verdicts');
const offLine = async (page: Page): Promise<number> =>
  parseFloat((await verdicts(page).locator('dt').first().textContent()) ?? '');

async function dragBy(page: Page, testId: string, dx: number, dy: number): Promise<void> {
  const box = (await page.getByTestId(testId).boundingBox())!;
  const x = box.x + box.width / 2;
  const y = box.y + box.height / 2;
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(x + (dx * i) / 8, y + (dy * i) / 8);
  await page.mouse.up();
}

test('set up, drag, save, two faults, correct, next set, ledger, and a killed server keeps it', async ({
  page,
  app,
}) => {
  const id = itemId('sefina', 0);
  await page.goto(app.url);
  await expect(page.getByRole('heading', { name: 'Sefina Taualofa' })).toBeVisible();
  // Whoever is under way from another journey comes first; her plates are on the same board.
  const hers = page.locator('section', { has: page.getByRole('heading', { name: 'Sefina Taualofa' }) });
  const floorPlates = (await hers.textContent())!;
  await hers.locator(`a[href="/setup/${id}"]`).first().click();
  await expect(hole(page)).toBeVisible();
  const solvedHole = Number(await hole(page).textContent());
  expect(floorPlates).toMatch(new RegExp(`(Hole, both sides${solvedHole}Mark|hole\\s${solvedHole}\\b)`));
  expect(await offLine(page)).toBeLessThan(3);

  await test.step('carriage dragged down: off the line, with who picks it up and the least change', async () => {
    await dragBy(page, 'drag-carriage', 0, 70);
    expect(Number(await hole(page).textContent())).toBeLessThan(solvedHole);
    await expect.poll(() => offLine(page)).toBeGreaterThan(5);
    await expect(verdicts(page)).toContainText('front shoulder');
    await expect(page.getByTestId('least-change')).toContainText(/hole \d+ to \d+/);
    await page.getByRole('button', { name: 'Find the smallest fix' }).click();
    await expect(hole(page)).toHaveText(String(solvedHole));
  });
  await test.step('dragging the client moves the mark; arrow keys move it by centimetres', async () => {
    const mark = page.getByTestId('plate-mark');
    const before = parseInt((await mark.textContent())!, 10);
    await dragBy(page, 'drag-client', 40, 0);
    const dragged = parseInt((await mark.textContent())!, 10);
    expect(dragged).toBeGreaterThan(before + 10);
    await page.getByTestId('drag-client').press('ArrowRight');
    await expect(mark).toHaveText(`${dragged + 1}cm`);
    await page.getByTestId('drag-carriage').press('ArrowUp');
    await page.getByTestId('drag-facing').press('ArrowLeft');
    await expect(page.getByTestId('drag-facing')).toHaveAttribute(
      'aria-valuetext',
      'facing away from the column, turned 1° left',
    );
    await page.getByRole('button', { name: 'Find the smallest fix' }).click();
  });
  await test.step('save as used: three holes low, as really found', async () => {
    for (let i = 0; i < 3; i++) await page.getByTestId('drag-carriage').press('ArrowDown');
    await page.getByRole('button', { name: 'Save as used' }).click();
    await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
    await page.getByRole('link', { name: 'To the set' }).click();
  });
  await test.step('a paced set with two faults', async () => {
    await expect(page.getByText('Change set-up')).toBeVisible();
    await page.getByRole('button', { name: 'Start set' }).click();
    await expect(page.getByTestId('phase')).toHaveText('get set');
    await expect(page.getByTestId('rep-count')).toHaveText('1', { timeout: 8000 });
    await expect(page.getByTestId('phase')).toHaveText('lift');
    await page.locator('[data-fault="line-off-arm"]').click();
    await page.locator('[data-fault="shrugs"]').click();
    await page.locator('[data-fault="chin-forward"]').click();
    await expect(page.locator('[data-fault="shrugs"]')).toContainText('rep 1');
    await page.getByTestId('undo').click();
    await expect(page.locator('[data-fault="chin-forward"]')).not.toContainText('rep');
    await expect(page.getByTestId('rep-count')).toHaveText('2', { timeout: 12_000 });
    await page.getByRole('button', { name: 'End set' }).click();
  });
  await test.step('load and reps confirmed, the judged remedy goes back to the plates', async () => {
    await expect(page.getByTestId('confirm-reps')).toHaveText('1');
    for (let i = 0; i < 11; i++) await page.getByRole('button', { name: 'One rep more' }).click();
    await page.getByRole('button', { name: 'Keep this' }).click();
    await expect(page.getByTestId('between')).toContainText('12 reps');
    const judged = page.getByTestId('judged-line-off-arm');
    await expect(judged).toContainText('Most likely the set-up: the set-up used differs from the solved one');
    await judged.getByRole('button', { name: 'Carriage back to the solved hole' }).click();
    await expect(page.getByTestId('given')).toContainText('Carriage back to the solved hole');
    await page.getByRole('link', { name: 'Back to the plates' }).click();
    await expect(hole(page)).toHaveText(String(solvedHole - 3));
    await page.getByRole('button', { name: 'Find the smallest fix' }).click();
    await page.getByRole('button', { name: 'Save as used' }).click();
    await page.getByRole('link', { name: 'To the set' }).click();
  });
  await test.step('the next set asks whether it held', async () => {
    await page.getByRole('button', { name: 'Start set 2' }).click();
    await expect(page.getByTestId('rep-count')).toHaveText('1', { timeout: 8000 });
    await page.getByRole('button', { name: 'End set' }).click();
    await page.getByRole('button', { name: 'Held', exact: true }).click();
    await expect(page.getByRole('button', { name: 'Held', exact: true })).toBeHidden();
    await expect(page.getByTestId('waiting')).toHaveText('all sent');
  });
  const ledgerShowsIt = async () => {
    await page.goto(`${app.url}/ledger/sefina`);
    const row = page.getByRole('row', { name: /cable out of line/ });
    await expect(row).toContainText('2 of 8 sets');
    await expect(
      page.getByRole('listitem').filter({ hasText: 'Carriage back to the solved hole' }).last(),
    ).toContainText('held');
    // A mark tells the sets behind it.
    await row.getByRole('button').last().click();
    const behind = page.getByRole('region', { name: /^Sets of/ });
    await expect(behind.getByRole('listitem').filter({ hasText: `hole ${solvedHole - 3}, ` })).toContainText('off');
  };
  await ledgerShowsIt();
  await app.restart();
  await ledgerShowsIt();
  const db = new Database(app.database, { readonly: true });
  const kinds = db.prepare('SELECT kind, count(*) AS n FROM floor_event WHERE item_id = ? GROUP BY kind').all(id) as {
    kind: string;
    n: number;
  }[];
  db.close();
  expect(Object.fromEntries(kinds.map((k) => [k.kind, k.n]))).toMatchObject({
    'setup-saved': 2,
    'set-started': 2,
    fault: 3,
    undo: 1,
    'set-ended': 2,
    'set-confirmed': 1,
    correction: 1,
    outcome: 1,
  });
});

test('taps without network are kept, counted, and sent when it returns', async ({ page, context, app }) => {
  await page.goto(`${app.url}/set/${itemId('anselm', 0)}`);
  await page.getByRole('button', { name: 'Start set' }).click();
  await expect(page.getByTestId('phase')).toHaveText('get set');
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await context.setOffline(true);
  await page.locator('[data-fault="shrugs"]').click();
  await page.locator('[data-fault="ribs-flare"]').click();
  await expect(page.getByTestId('waiting')).toContainText('2 taps waiting');
  await expect(page.getByTestId('waiting')).toContainText('kept here, no network');
  await context.setOffline(false);
  await expect(page.getByTestId('waiting')).toHaveText('all sent', { timeout: 20_000 });

  await test.step('a set left by closing the page goes on where it was', async () => {
    await page.reload();
    await expect(page.getByText('This set stands at rep 0')).toBeVisible();
    await expect(page.locator('[data-fault="ribs-flare"]')).toContainText('rep 1');
    await page.getByRole('button', { name: 'Go on' }).click();
    await expect(page.getByTestId('phase')).toHaveText('get set');
    await page.getByRole('button', { name: 'End set' }).click();
    await expect(page.getByTestId('between')).toBeVisible();
    await expect(page.getByTestId('waiting')).toHaveText('all sent');
  });
});

test('a stop for pain ends the movement for today, keeps the note, and the floor says so', async ({ page, app }) => {
  const url = `${app.url}/set/${itemId('wilhelmina', 1)}`;
  await page.goto(url);
  await page.getByRole('button', { name: 'Start set' }).click();
  await page.getByRole('button', { name: 'Pain: stop' }).click();
  await expect(page.getByText('Put the handles down')).toBeVisible();
  await page.getByLabel('What the client says').fill('front of the right shoulder, in the stretch');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByRole('button', { name: 'Note kept' })).toBeVisible();
  await expect(page.getByTestId('waiting')).toHaveText('all sent');
  await page.goto(url);
  await expect(page.getByText('This movement is over for today')).toBeVisible();
  await expect(page.getByLabel('What the client says')).toHaveValue('front of the right shoulder, in the stretch');
  await expect(page.getByRole('button', { name: /Start/ })).toHaveCount(0);
  await page.goto(app.url);
  await expect(page.getByText('stopped for pain').first()).toBeVisible();
});

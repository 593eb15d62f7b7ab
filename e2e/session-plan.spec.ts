import Database from 'better-sqlite3';
import { expect, itemId, test, type App } from './support/app';

const SESSION = itemId('wilhelmina', 0).replace(/-0$/, '');
function kept(app: App): readonly string[] {
  const db = new Database(app.database, { readonly: true });
  try {
    return db
      .prepare('SELECT id FROM session_item WHERE session_id = ? ORDER BY position')
      .pluck()
      .all(SESSION) as string[];
  } finally {
    db.close();
  }
}

test('a session is put in order: by taps and by keys, with its minutes, by what is computed, and back again', async ({
  page,
  app,
  context,
}) => {
  await page.goto(app.url);
  await page.locator(`a[href="/plan/${SESSION}"]`).click();
  const ribbon = page.getByRole('list', { name: 'Movements in their order' });
  const shown = () => ribbon.locator('[data-block]').evaluateAll((l) => l.map((e) => e.getAttribute('data-block')!));
  await expect(ribbon).toBeVisible();
  const first = await shown();
  const ofBlocks = () => kept(app).filter((id) => first.includes(id));
  expect(first.length).toBeGreaterThan(2);
  const time = page.getByText(/\d+ min of 60/);
  await expect(time).toBeVisible();
  await ribbon
    .getByRole('button', { name: /earlier$/ })
    .nth(2)
    .click();
  const swapped = [first[0]!, first[2]!, first[1]!, ...first.slice(3)];
  await expect.poll(shown).toEqual(swapped);
  await expect.poll(() => ofBlocks()).toEqual(swapped);
  // By keys: the button that has the focus, then undo.
  await ribbon
    .getByRole('button', { name: /later$/ })
    .first()
    .press('Enter');
  await expect.poll(() => ofBlocks().slice(0, 2)).toEqual([swapped[1], swapped[0]]);
  await expect(page.locator(':focus')).toHaveAttribute('data-by', '1');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => ofBlocks()).toEqual(swapped);
  // Without network nothing stands here that is not kept.
  await context.setOffline(true);
  await ribbon
    .getByRole('button', { name: /later$/ })
    .first()
    .click();
  await expect(page.getByText('Not saved: there is no way to the server')).toBeVisible();
  await expect.poll(shown).toEqual(swapped);
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Take the computed order' }).click();
  await expect(page.getByText('This is the computed order').first()).toBeVisible();
  await expect.poll(() => ofBlocks()).not.toEqual(swapped);
  const computed = await shown();
  await page.reload();
  await expect(ribbon).toBeVisible();
  expect(await shown()).toEqual(computed);
  await expect(page.getByText('Take the computed order')).toHaveCount(0);
  // By the grip: let go over the one after it, it stands there; the time is that of the place while it is held.
  const grip = ribbon.locator('[data-block] [data-grip]').first();
  const [from, onto] = [await grip.boundingBox(), await ribbon.locator('[data-block]').nth(1).boundingBox()];
  await page.mouse.move(from!.x + 10, from!.y + 20);
  await page.mouse.down();
  await page.mouse.move(from!.x + 14, from!.y + 40, { steps: 4 });
  await page.mouse.move(onto!.x + 20, onto!.y + onto!.height / 2, { steps: 8 });
  await page.mouse.up();
  const moved = [computed[1]!, computed[0]!, ...computed.slice(2)];
  await expect.poll(shown).toEqual(moved);
  await expect.poll(() => ofBlocks()).toEqual(moved);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => ofBlocks()).toEqual(computed);
  // A minute too long: what is proposed is given up with one press.
  await expect(page.getByText(/min too long/)).toBeVisible();
  await page.getByRole('button', { name: 'Do that' }).click();
  await expect(page.getByText(/\d+ min to spare/)).toBeVisible();
});

test('a session is built: proposed for what the week lacks, changed, put, paired and pinned', async ({ page, app }) => {
  await page.goto(`${app.url}/plan?day=2026-12-02`);
  await page.getByLabel('Client').selectOption({ label: 'Wilhelmina Brandstrup-Kjeldgaard' });
  await page.getByLabel('Begins as').selectOption({ label: 'empty' });
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.getByRole('link', { name: 'Propose movements' }).click();
  const goals = page.getByRole('region', { name: 'Trained for' });
  // What the week lacks most is chosen already: by hand it is arms instead, and of them not every part.
  await expect(goals.locator('button[aria-pressed="true"]').first()).toBeEnabled();
  while ((await goals.locator('button[aria-pressed="true"]').count()) > 0)
    await goals.locator('button[aria-pressed="true"]').first().press('Enter');
  await goals.getByRole('button', { name: /^Biceps/ }).click();
  await goals.getByRole('button', { name: /^Triceps/ }).click();
  await goals.getByRole('button', { name: 'brachioradialis' }).click();
  await page.getByRole('button', { name: 'Propose a session' }).click();
  const proposed = page.getByRole('region', { name: 'Proposed' });
  const names = () =>
    proposed.locator('li[data-movement]').evaluateAll((l) => l.map((e) => e.getAttribute('data-movement')!));
  await expect(proposed.getByText(/min of 60/)).toBeVisible();
  const first = await names();
  expect(first.length).toBeGreaterThan(3);
  await expect(proposed.getByText(/sets wanted/).first()).toBeVisible();
  // One set less takes less time; another movement in its place, another one left out.
  const minutes = async (): Promise<number> =>
    Number.parseInt((await proposed.getByRole('heading').textContent())!, 10);
  const was = await minutes();
  await proposed
    .getByRole('button', { name: /^One set less/ })
    .first()
    .click();
  await expect.poll(minutes).toBeLessThan(was);
  await proposed
    .getByRole('button', { name: / otherwise$/ })
    .first()
    .click();
  await proposed.getByLabel(/^Instead of/).selectOption({ index: 1 });
  await expect.poll(async () => (await names()).filter((n) => !first.includes(n)).length).toBe(1);
  await proposed
    .getByRole('button', { name: / otherwise$/ })
    .last()
    .click();
  await proposed.getByRole('button', { name: /^Leave out/ }).click();
  await expect.poll(async () => (await names()).length).toBe(first.length - 1);
  const taken = await names();
  await proposed.getByRole('button', { name: 'Put it into the plan' }).dblclick();
  await page.waitForURL(/\/plan\/[\w-]+$/);
  const ribbon = page.getByRole('list', { name: 'Movements in their order' });
  await expect(ribbon.locator('[data-block]')).toHaveCount(taken.length);
  // One hard set and one to failure of every movement, in a press.
  await page.getByText('Sets of every movement').click();
  await page.getByRole('button', { name: 'One hard, one to failure' }).click();
  await expect(ribbon.getByText(/^1 × \d+ with 2 in reserve, then 1 × \d+ to failure/)).toHaveCount(taken.length);
  // In turns with an opposite muscle: what that costs or saves is told first, then they stand together.
  await ribbon
    .getByRole('button', { name: /^Change / })
    .first()
    .click();
  await page
    .getByRole('button', { name: /^In turns with .*(less|more|as long)$/ })
    .first()
    .click();
  await expect(ribbon.getByText(/^in turns, set by set/)).toBeVisible();
  await ribbon
    .getByRole('button', { name: /^Change / })
    .last()
    .click();
  await page.getByRole('button', { name: 'Pin it here' }).click();
  await expect(ribbon.getByText(/Pinned/)).toBeVisible();
  await page.reload();
  await expect(ribbon.getByText(/Pinned/)).toBeVisible();
  await expect(ribbon.getByText(/^in turns, set by set/)).toBeVisible();
  await ribbon
    .getByRole('button', { name: /^Change / })
    .first()
    .click();
  await page.getByRole('button', { name: 'One after the other again' }).click();
  await expect(ribbon.getByText(/^in turns, set by set/)).toHaveCount(0);
});

import Database from 'better-sqlite3';
import { expect, test, type App } from './support/app';

interface Row {
  readonly id: string;
  readonly account_id: string;
  readonly movement: string;
  readonly shown_fault: string | null;
  readonly shown_size: number | null;
  readonly said_fault: string | null;
  readonly took_ms: number;
}
function kept(app: App): readonly Row[] {
  const db = new Database(app.database, { readonly: true });
  try {
    return db.prepare("SELECT * FROM spotting_answer WHERE id NOT LIKE '%-spot-%' ORDER BY at_ms").all() as Row[];
  } finally {
    db.close();
  }
}

test('faults are spotted on the pad of a set: each answer is kept as it was, told with its cost, and counted', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/movements/cable-row-level-one-arm`);
  await page.getByRole('link', { name: 'Practise spotting its faults' }).click();
  await expect(page.getByRole('combobox', { name: 'Movement' })).toHaveValue('cable-row-level-one-arm');
  await page.getByRole('button', { name: 'Begin' }).click();
  const verdict = page.getByTestId('verdict');
  const said: (string | null)[] = [];
  for (let n = 0; n < 8; n++) {
    await expect(verdict).toHaveText('Watch, then tap what you see.');
    const shrugs = n % 2 === 0;
    const button = shrugs ? page.locator('[data-fault="shrugs"]') : page.getByRole('button', { name: /^Clean/ });
    // Twice in one breath is one answer.
    await (n === 0 ? button.dblclick({ force: true }) : button.click());
    said.push(shrugs ? 'shrugs' : null);
    await expect(verdict).not.toHaveText('Watch, then tap what you see.');
    await expect(button).toHaveAttribute(shrugs ? 'data-pressed' : 'data-said');
    await expect.poll(() => kept(app).length).toBe(n + 1);
    const row = kept(app).at(-1)!;
    expect([row.account_id, row.movement, row.said_fault]).toEqual(['marit', 'cable-row-level-one-arm', said.at(-1)]);
    const told = (await verdict.textContent())!;
    if (row.shown_fault === null)
      expect(told).toMatch(shrugs ? /^These reps were right/ : /^Yes: these reps were right/);
    else {
      expect(told).toMatch(row.shown_fault === row.said_fault ? /^Yes: / : shrugs ? /^Not “shrugs”: / : /^Missed: /);
      expect(told).toMatch(/resistance|share as it is/);
      expect(told).toContain('Dashed: the limb as it should be.');
    }
    if (n > 0) await expect(page.getByRole('button', { name: 'Next reps' })).toBeFocused();
    await page.waitForTimeout(450);
    await page.keyboard.press('n');
  }
  await page.getByRole('button', { name: 'To the record' }).click();
  const shown = kept(app).filter((r) => r.shown_fault === 'shrugs').length;
  const line = page.getByTestId('spotting-record').locator('[data-fault="shrugs"]');
  await expect(line).toContainText(/\d+ of \d+/);
  // The demo's own trainer practised before: what was shown now is counted with it.
  const before = Number(/of (\d+)/.exec((await line.locator('td').first().textContent())!)![1]) - shown;
  await page.reload();
  await expect(line.locator('td').first()).toContainText(`of ${before + shown}`);
});

test('answers given without network are kept on the device and sent when there is one, by keys alone', async ({
  page,
  app,
  context,
}) => {
  const had = kept(app).length;
  await page.goto(`${app.url}/movements/spotting`);
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByTestId('verdict')).toHaveText('Watch, then tap what you see.');
  await context.setOffline(true);
  await page.keyboard.press('c');
  await page.waitForTimeout(450);
  await page.keyboard.press('n');
  await page.keyboard.press('1');
  await expect(page.getByText('2 answers are kept on this device and not sent yet.')).toBeVisible();
  expect(kept(app)).toHaveLength(had);
  await context.setOffline(false);
  await page.goto(`${app.url}/movements/spotting`);
  await expect.poll(() => kept(app).length).toBe(had + 2);
  await expect(page.getByText('not sent yet')).toBeHidden();
});

test('the record is one’s own and says what is missed', async ({ page, app, context }) => {
  await context.clearCookies();
  await app.signIn(context, 'relief');
  await page.goto(`${app.url}/movements/spotting`);
  const rows = page.getByTestId('spotting-record').locator('tbody tr');
  await expect(rows.first()).toContainText('missed');
  await expect(rows.first()).toHaveAttribute('data-fault', /shoulder-tips-forward|shrugs/);
});

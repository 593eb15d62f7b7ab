import { expect, itemId, openSection, test } from './support/app';

test('the rep under the finger: figure, line, lever and curve move together, by keys and at its tempo', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('sefina', 1)}`);
  const rep = page.getByRole('slider', { name: 'Place in the rep' });
  await expect(rep).toHaveAttribute(
    'aria-valuetext',
    /^100 percent of the way: \d+ newton metres, lever \d+ centimetres$/,
  );
  const hand = page.getByTestId('elevation').locator('circle').last();
  const finish = await hand.getAttribute('cy');
  await rep.focus();
  await page.keyboard.press('Home');
  await expect(rep).toHaveAttribute('aria-valuetext', /^0 percent/);
  expect(await hand.getAttribute('cy')).not.toBe(finish);
  const play = page.getByRole('button', { name: 'Play the rep at 3-1-2-1' });
  await expect(async () => {
    if (await play.isVisible()) await play.click();
    await expect.poll(() => rep.inputValue(), { timeout: 3000 }).not.toBe('0');
  }).toPass();
  await page.getByRole('button', { name: 'Pause the rep' }).click();
});

test('what a fault costs: chosen, slid, told, drawn', async ({ page, app }) => {
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  await openSection(page, 'What a fault costs');
  const choose = page.getByLabel('Fault shown');
  await expect(choose).toBeEnabled();
  await choose.selectOption('elbow-flares');
  const told = page.getByTestId('fault-cost');
  await expect(told).toHaveText(/^25° of it (costs|adds|leaves)/);
  const usual = await told.textContent();
  await page.getByRole('slider', { name: 'Size of the fault' }).focus();
  await page.keyboard.press('End');
  await expect(told).not.toHaveText(usual!);
  await choose.selectOption('stack-touches');
  await page.getByRole('slider', { name: 'Size of the fault' }).focus();
  await page.keyboard.press('End');
  await expect(told).toContainText('80 cm of it');
  await choose.selectOption('');
  await expect(told).toBeHidden();
});

test('stance drops: marks for each third, a step that cannot be used says why', async ({ page, app }) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  await openSection(page, 'Stance drops');
  const drops = page.getByTestId('stance-drops').getByRole('listitem');
  await expect(drops).toHaveCount(3);
  const usable = drops.getByRole('button');
  expect(await usable.count()).toBeGreaterThan(0);
  const mark = (await usable.last().locator('b').textContent())!.replace('cm', '');
  await usable.last().click();
  await expect(page.getByTestId('plate-mark')).toHaveText(`${mark.replace('-', '')}cm`);
  await page.getByRole('button', { name: 'Find the smallest fix' }).click();
});

test('line check: a sensor along the cable agrees; with the carriage elsewhere it asks which to distrust', async ({
  page,
  app,
}) => {
  await page.context().grantPermissions(['accelerometer', 'gyroscope', 'magnetometer']);
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  await openSection(page, 'Check the line with an inclinometer');
  const computed = Number(/computed (-?\d+)°/.exec((await page.getByText(/^Along the cable/).textContent())!)![1]);
  const sensor = page.getByRole('button', { name: 'simulated' });
  const reading = async (): Promise<number> =>
    Math.abs(Number.parseFloat((await page.getByTestId('line-reading').textContent())!));
  await sensor.click();
  await expect(page.getByTestId('line-verdict')).toContainText('Agrees within');
  expect(Math.abs((await reading()) - Math.abs(computed))).toBeLessThanOrEqual(2);
  await sensor.click();
  await expect(page.getByTestId('line-verdict')).toContainText('Which measurement to distrust?');
  await expect(page.getByTestId('line-verdict')).toContainText(/the pin sits in hole \d+, not \d+/);
  for (let more = (await reading()) - Math.abs(computed); more > 0.5; more--)
    await page.getByRole('button', { name: computed < 0 ? 'One degree more' : 'One degree less' }).click();
  await expect(page.getByTestId('line-verdict')).toContainText('Agrees within');
});

test('line check: a device without a sensor says so', async ({ page, app }) => {
  await page.addInitScript(() => {
    // Its own orientation, as a desk computer has none.
    const listen = window.addEventListener.bind(window);
    window.addEventListener = ((type: string, ...rest: [EventListener]) =>
      type === 'deviceorientation' ? undefined : listen(type, ...rest)) as typeof window.addEventListener;
  });
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  await openSection(page, 'Check the line with an inclinometer');
  await page.getByRole('button', { name: 'simulated' }).click();
  await expect(page.getByText('This device tells no tilt.')).toBeVisible();
  await expect(page.getByTestId('line-reading')).toHaveText('not read');
});

test('as found: a stuck hole is held, the rest is solved round it', async ({ page, app }) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 1)}`);
  // What will do lies round what is solved, on the column and on the floor.
  for (const [band, at] of [
    [page.getByTestId('hole-band'), page.getByTestId('drag-carriage').locator('rect').nth(1)],
    [page.getByTestId('stand-band'), page.getByTestId('drag-client-plan').locator('circle').first()],
  ] as const) {
    const [b, a] = [(await band.boundingBox())!, (await at.boundingBox())!];
    const [u, v] = [a.x + a.width / 2, a.y + a.height / 2];
    expect([b.x - 8 < u, u < b.x + b.width + 8, b.y - 2 < v, v < b.y + b.height + 2]).toEqual([true, true, true, true]);
  }
  const hole = Number(await page.getByTestId('drag-carriage').getAttribute('aria-valuenow'));
  for (let i = 0; i < 3; i++) await page.getByTestId('drag-carriage').press('ArrowDown');
  await page.getByRole('button', { name: 'Hold the hole where it is' }).click();
  await expect(page.getByTestId('least-change')).not.toContainText('hole');
  await page.getByTestId('least-change').click();
  await expect(page.getByTestId('drag-carriage')).toHaveAttribute('aria-valuenow', String(hole - 3));
  await page.getByRole('button', { name: 'Find the smallest fix' }).click();
  await expect(page.getByTestId('drag-carriage')).toHaveAttribute('aria-valuenow', String(hole - 3));
  await page.getByRole('button', { name: 'Hold the hole where it is' }).click();
  await expect(page.getByTestId('drag-carriage')).toHaveAttribute('aria-valuenow', String(hole));
});

test('compare: last used, another solution or another practice beside this one, on one curve and in numbers', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  await openSection(page, 'Compare');
  const beside = page.getByLabel('Compare with');
  await expect(beside).toBeEnabled();
  const lay = async (label: RegExp): Promise<void> => {
    const option = beside.locator('option').filter({ hasText: label }).first();
    await beside.selectOption((await option.getAttribute('value'))!);
  };
  await lay(/^also solved/);
  const table = page.getByTestId('beside');
  await expect(table.getByRole('row', { name: /^hardest at/ })).toContainText(/\d+ %.*\d+ %/);
  await lay(/armpit/);
  const armpit = await table.textContent();
  await lay(/^elbow: /);
  await expect(table).not.toHaveText(armpit!);
  await beside.selectOption('');
  await expect(table).toBeHidden();
});

test('retarget: on another column the hole is solved anew and the stack converted for the same pull', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  const hole = await page.getByTestId('plate-hole').textContent();
  await openSection(page, 'Choices');
  await page.getByLabel('Columns', { exact: true }).selectOption({ label: 'Short pair at the stairs' });
  await expect(page.getByTestId('converted')).toContainText(
    '30 kg here for the 15 kg planned on Long pair by the window',
  );
  await expect(page.getByTestId('plate-hole')).not.toHaveText(hole!);
  // In another gym the handle is another one, and the stack is stamped in pounds.
  await page.getByLabel('Columns', { exact: true }).selectOption({ label: 'Yard pair' });
  await expect(page.getByTestId('converted')).toContainText(
    '30 lb here for the 15 kg planned on Long pair by the window',
  );
  await expect(page.getByText('Set up with Rope-wound handle instead.')).toBeVisible();
  // A single column serves one arm: said, and taken with one tap.
  await page.getByLabel('Columns', { exact: true }).selectOption({ label: 'Lone column at the mirror' });
  await expect(page.getByText('one arm at a time')).toBeVisible();
  await page.getByRole('button', { name: 'Work one arm' }).click();
  await expect(page.getByText('one arm at a time')).toHaveCount(0);
  await expect(page.getByLabel('Working', { exact: true })).toHaveValue('right');
});

test('looking closer by wheel, by steps and by key; the hand still lands on what it takes hold of', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  const hole = Number(await page.getByTestId('drag-carriage').getAttribute('aria-valuenow'));
  const carriage = (await page.getByTestId('drag-carriage').locator('rect').nth(1).boundingBox())!;
  await page.mouse.move(carriage.x + carriage.width / 2, carriage.y + carriage.height / 2);
  await page.mouse.wheel(0, -480);
  await expect(page.getByRole('button', { name: 'Whole drawing' })).toHaveText('2.3 ×');
  // What was under the pointer stays there, and is dragged one hole at the closer scale.
  const near = (await page.getByTestId('drag-carriage').locator('rect').nth(1).boundingBox())!;
  expect(Math.abs(near.y - carriage.y)).toBeLessThan(25);
  const at = [near.x + near.width / 2, near.y + near.height / 2] as const;
  await page.mouse.move(...at);
  await page.mouse.down();
  await page.mouse.move(at[0], at[1] + 40, { steps: 6 });
  await page.mouse.up();
  expect(Number(await page.getByTestId('drag-carriage').getAttribute('aria-valuenow'))).toBeLessThan(hole);
  await page.keyboard.press('0');
  await expect(page.getByRole('button', { name: 'Whole drawing' })).toHaveText('whole');
  await page.keyboard.press('+');
  await expect(page.getByRole('button', { name: 'Whole drawing' })).toHaveText('1.5 ×');
  await page.keyboard.press('r');
  await expect(page.getByTestId('drag-carriage')).toHaveAttribute('aria-valuenow', String(hole));
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('look closer');
});

test(
  'left and right carriage apart: one arm leaves its line, the least change levels them, the saved ' +
    'set-up tells both',
  async ({ page, app }) => {
    await page.goto(`${app.url}/setup/${itemId('anselm', 1)}`);
    const hole = Number(await page.getByTestId('plate-hole').textContent());
    await page.getByRole('button', { name: 'Left and right hole apart' }).click();
    for (let i = 0; i < 3; i++) await page.getByTestId('drag-carriage-left').press('ArrowDown');
    await expect(page.getByTestId('plate-hole-left')).toHaveText(String(hole - 3));
    await expect(page.getByTestId('plate-hole')).toHaveText(String(hole));
    await expect(page.getByTestId('least-change')).toContainText('both carriages alike');
    // What stands goes along without a question; the set's undo takes it back.
    await page.getByRole('link', { name: 'To the set' }).click();
    await expect(page.getByText(`${hole - 3} | ${hole}`)).toBeVisible();
    await page.getByRole('button', { name: 'Undo: set-up' }).click();
    await expect(page.getByText(`${hole - 3} | ${hole}`)).toBeHidden();
    await page.goBack();
    await page.getByRole('button', { name: 'Left and right hole apart' }).click();
    for (let i = 0; i < 3; i++) await page.getByTestId('drag-carriage-left').press('ArrowDown');
    await page.getByRole('button', { name: 'Save as used' }).click();
    await expect(page.getByRole('button', { name: 'Saved' })).toBeVisible();
    await page.getByTestId('least-change').click();
    await expect(page.getByTestId('plate-hole-left')).toHaveText(String(hole));
    await page.getByRole('button', { name: 'Save as used' }).click();
  },
);

test('a bench as it is found: the seat in another hole tells the gap, and goes back to what fits', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 3)}`);
  const seat = page.getByTestId('plate-seat-hole');
  const fits = parseInt((await seat.textContent())!, 10);
  await page.getByTestId('drag-seat').press('ArrowDown');
  await expect(seat).toHaveText(`${fits - 1}hole`);
  await expect(page.getByText(`hole ${fits} fits best`)).toBeVisible();
  // The same rep and the same closer look as at a column.
  const rep = page.getByRole('slider', { name: 'Place in the rep' });
  await rep.press('Home');
  await expect(rep).toHaveAttribute('aria-valuetext', /^0 percent of the way: \d+ newton metres$/);
  await page.keyboard.press('+');
  await expect(page.getByRole('button', { name: 'Whole drawing' })).toHaveText('1.5 ×');
  // Taken hold of again, it starts from the hole in which it stands.
  const knob = (await page.getByTestId('drag-seat').boundingBox())!;
  await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height / 2);
  await page.mouse.down();
  await page.mouse.move(knob.x + knob.width / 2 + 2, knob.y + knob.height / 2, { steps: 3 });
  await page.mouse.up();
  await expect(seat).toHaveText(`${fits - 1}hole`);
  await page.getByRole('button', { name: 'Seat back to what fits' }).click();
  await expect(seat).toHaveText(`${fits}hole`);
});

test('the station card opens as a PDF', async ({ page, app }) => {
  await page.goto(`${app.url}/setup/${itemId('anselm', 0)}`);
  const href = (await page.getByRole('link', { name: 'Station card, to print' }).getAttribute('href'))!;
  const card = await page.request.get(`${app.url}${href}`);
  expect(card.headers()['content-type']).toBe('application/pdf');
  expect((await card.body()).subarray(0, 5).toString()).toBe('%PDF-');
  expect((await page.request.get(`${app.url}/api/v1/cards/nothing`)).status()).toBe(404);
});

test('a side taken once: what it changes in numbers, and every movement of the client has it from then on', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/clients/wilhelmina/practice`);
  const asked = page.locator('li[data-question="range-top"]');
  await asked.getByText(/^What each changes for/).click();
  await expect(asked).toContainText('Stop at about 90 %:');
  const choose = page.getByLabel('How far to the top of the range');
  await expect(choose).toBeEnabled();
  await choose.selectOption('stop-at-ninety');
  await expect(asked).toHaveAttribute('data-chosen', 'true');
  await page.goto(`${app.url}/setup/${itemId('wilhelmina', 2)}`);
  await openSection(page, 'Choices');
  await expect(page.getByLabel('How far up', { exact: true })).toHaveValue('stop-at-ninety');
  await expect(page.getByText('Chosen on this client’s sheet, for every movement.')).toBeVisible();
});

import { expect, itemId, test } from './support/app';

// Last of the journeys: what it keeps would count for the others.
test('the ledger stays within a phone, however many sessions are on record', async ({ page, app }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const place = { clientId: 'sefina', itemId: itemId('sefina', 0), movement: 'cable-fly-high-to-low' };
  const start = { loadG: 7500, targetReps: 12, tempo: '3-1-2-1', scheme: 'straight' };
  const bodies = ['A', 'B', 'C'].flatMap((setId, k) => [
    { kind: 'set-started', setId, setNo: k + 1, ...start },
    { kind: 'fault', setId, rep: 9, fault: 'shrugs', side: 'both', severity: 2 },
    { kind: 'set-ended', setId, reps: 12 },
    { kind: 'correction', setId, fault: 'shrugs', correction: 'blades-down', cause: 'cue' },
  ]);
  const events = bodies.map((body, seq) => {
    const base = { id: `phone-${seq}`, actorId: 'trainer', deviceId: 'phone', seq, atMs: Date.now() + seq };
    return { ...base, ...place, version: 2, ...body };
  });
  const sent = await page.request.post(`${app.url}/api/v1/floor-events`, { data: { events } });
  expect(await sent.json()).toMatchObject({ refused: [] });
  await page.goto(`${app.url}/ledger/sefina`);
  await expect(page.getByText('12 12 12').last()).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
});

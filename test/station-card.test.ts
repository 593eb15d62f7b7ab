import { describe, expect, it } from 'vitest';
import jsQR from 'jsqr';
import { create as createQr } from 'qrcode';
import { buildCard } from '@/card/card-model';
import type { Db } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import { printCard, printDayCards, printSessionCards } from '@/server/card';
import { loadItem } from '@/server/item-context';
import { findSettings } from '@/server/settings';
import { readPdf } from './support/read-pdf';
import { at, world } from './support/world';

const DAY = '2026-11-24';
const URL_OF = (id: string): string => `http://127.0.0.1:4310/setup/${id}`;
/** What the card says. */
function cardOf(db: Db, id: string) {
  const context = loadItem(at(db), id)!;
  const found = findSettings(at(db), context);
  if (found.from === 'blocked') throw new Error(found.says);
  const { client, variant, station, attachment, unit } = context;
  const handle = attachment?.name ?? null;
  const { placement } = found;
  return buildCard(
    { client: client.name, variant, posed: found.pose()!, placement, station: station?.name ?? null, handle, unit },
    URL_OF(id),
  );
}
async function read(db: Db, id: string) {
  const reply = await printCard(at(db), id, 'http://127.0.0.1:4310');
  if (!reply.ok) throw new Error(`${id}: ${reply.reason}`);
  const card = cardOf(db, id);
  return { card, ...(await readPdf(reply.pdf)) };
}

describe('the station card as a PDF, read back by another library', () => {
  it.each([
    ['a fly', `wilhelmina-${DAY}-0`],
    ['a row', `wilhelmina-${DAY}-2`],
    ['a preacher curl', `wilhelmina-${DAY}-3`],
    ['a leg extension', `wilhelmina-${DAY}-4`],
    ['a hinged row', `wilhelmina-${DAY}-5`],
  ])('%s: one A4 page with name, plates, cue and every caution', async (_, id) => {
    const { card, pages, text, size } = await read(world(), id);
    expect([pages, Math.round(size.width), Math.round(size.height)]).toEqual([1, 595, 842]);
    // Lines break where they must: letters alone are compared.
    const bare = text.replaceAll(' ', '');
    const says = [
      'Wilhelmina Brandstrup-Kjeldgaard',
      card.movement,
      card.cue,
      ...card.cautions,
      ...card.plates.flatMap((p) => [p.label, `${p.value}${p.unit}`]),
    ];
    for (const words of says) expect(bare).toContain(words.replaceAll(' ', ''));
    expect(card.drawing.shapes.length).toBeGreaterThan(3);
    expect(JSON.stringify(card.drawing)).not.toMatch(/NaN|Infinity|null,null/);
  });
  it('says what the floor says: the same hole and mark', async () => {
    const db = world();
    const id = `wilhelmina-${DAY}-2`;
    const plates = findSettings(at(db), loadItem(at(db), id)!);
    if (plates.from === 'blocked') throw new Error('blocked');
    const { card } = await read(db, id);
    expect(card.plates[0]).toEqual({ label: 'Hole', value: String(plates.placement!.hole), unit: '' });
    expect(card.plates[1]!.value).toBe(String(Math.round(plates.placement!.standX * 100)));
  });
  it('names of other alphabets are kept', async () => {
    const db = world();
    saveClient(db, { ...findClient(db, 'wilhelmina')!, name: 'Přemysl Żółty Đặng' }, 'trainer');
    const { text } = await read(db, `wilhelmina-${DAY}-0`);
    expect(text.replaceAll(' ', '')).toContain('PřemyslŻółtyĐặng');
  });
  it('there is none for what nobody planned', async () =>
    expect(await printCard(at(world()), 'nothing', '')).toEqual({ ok: false, reason: 'not-planned' }));
});

it('the code on the card opens the set-up: decoded by another library', () => {
  const url = URL_OF(`wilhelmina-${DAY}-2`);
  const { modules } = createQr(url, { errorCorrectionLevel: 'M' });
  const cell = 6;
  const quiet = 4;
  const size = (modules.size + 2 * quiet) * cell;
  const pixels = new Uint8ClampedArray(size * size * 4).fill(255);
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const [col, row] = [Math.floor(x / cell) - quiet, Math.floor(y / cell) - quiet];
      if (col >= 0 && row >= 0 && col < modules.size && row < modules.size && modules.get(row, col))
        pixels.fill(0, 4 * (y * size + x), 4 * (y * size + x) + 3);
    }
  }
  expect(jsQR(pixels, size, size)!.data).toBe(url);
});

it('cards of a session and of a day are one file, a page each, and say what has none', async () => {
  const db = world();
  const origin = 'http://127.0.0.1:4310';
  const one = await readPdf((await printSessionCards(at(db), `wilhelmina-${DAY}`, origin))!);
  const planned = db.prepare('SELECT count(*) FROM session_item WHERE session_id = ?').pluck();
  const all = planned.get(`wilhelmina-${DAY}`) as number;
  const without = one.text.includes('Withoutacard') || one.text.includes('Without a card');
  expect(one.pages).toBeGreaterThan(3);
  expect(one.pages).toBeLessThanOrEqual(all + (without ? 1 : 0));
  const day = await readPdf((await printDayCards(at(db), DAY, origin))!);
  expect(day.pages).toBeGreaterThan(one.pages + 3);
  db.prepare("UPDATE session_item SET skipped = 'Tired' WHERE session_id = ? AND position > 0").run(
    `wilhelmina-${DAY}`,
  );
  expect((await readPdf((await printSessionCards(at(db), `wilhelmina-${DAY}`, origin))!)).pages).toBe(1);
  // What cannot be set up any more is told with its reason.
  db.exec('UPDATE session_item SET station_id = NULL, attachment_id = NULL');
  db.exec("UPDATE kit_piece SET put_away_at_ms = 1 WHERE kind = 'column'");
  const told = await readPdf((await printSessionCards(at(db), `sefina-${DAY}`, origin))!);
  expect(told.text.replace(/\s/g, '')).toContain('Withoutacard');
  for (const [of, day2] of [
    // A day that there is none of, which a clock would read as the one of the demo.
    ['nobody', '2026-10-55'],
    ['', 'tomorrow'],
  ] as const)
    expect([await printSessionCards(at(db), of, origin), await printDayCards(at(db), day2, origin)]).toEqual([
      null,
      null,
    ]);
  const stranger = at(db, undefined, { id: 'stranger', name: 'S', role: 'trainer' });
  expect(await printSessionCards(stranger, `sefina-${DAY}`, origin)).toBeNull();
  expect(await printDayCards(stranger, DAY, origin)).toBeNull();
});

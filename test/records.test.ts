import { describe, expect, it } from 'vitest';
import { caseSchema } from '@/contract/case';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { readVariantOptions, VARIANT_OPTIONS_VERSION } from '@/contract/records/variant-record';
import { normalHeadingDeg } from '@/core/units/turn';
import { listFloorEvents } from '@/data/queries/floor-events';
import { forgetFolds } from '@/data/queries/folds';
import { loadChoosing } from '@/server/choosing';
import { loadClient } from '@/server/clients';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { loadKit } from '@/server/kit';
import { listLedgers, loadLedger } from '@/server/ledger';
import { recordEvents } from '@/server/record-events';
import { loadSet } from '@/server/set';
import { loadSetup } from '@/server/setup';
import { seeded } from './support/fixtures';
import { at, NOW, world } from './support/world';

const ITEM = 'anselm-2026-11-24-0';
const SETUP = {
  id: 'e',
  deviceId: 'd',
  seq: 1,
  atMs: NOW,
  clientId: 'anselm',
  itemId: ITEM,
  movement: 'cable-fly-level',
  kind: 'setup-saved',
  placement: { hole: 3, standX: 0.2, standZ: 0, yawDeg: 0 },
  solved: null,
  off: false,
  stationId: 'long-pair',
  attachmentId: 'd-handle',
  side: 'both',
};
const OLD_OPTIONS = { peak: 'mid', tiltDeg: 5, frontFoot: 'left' };

it('a planned movement that the book does not hold is named on the floor, and the rest of the day stands', () => {
  const db = world();
  const itemsOf = () => loadFloor(at(db)).sessions.find((s) => s.clientId === 'anselm')!.items;
  const all = itemsOf().length;
  db.prepare('UPDATE session_item SET movement = ? WHERE id = ?').run('moon-walk', ITEM);
  const view = loadFloor(at(db));
  expect(view.unreadable).toMatchObject([{ table: 'session_item', id: ITEM, name: 'moon-walk' }]);
  expect(itemsOf()).toHaveLength(all - 1);
  expect([loadItem(at(db), ITEM), loadSet(at(db), ITEM), loadSetup(at(db), ITEM)]).toEqual([null, null, null]);
});

describe('records of older versions', () => {
  it('a set-up from before there were more choices than three is read with the usual others', () => {
    const read = readFloorEvent({ ...SETUP, options: OLD_OPTIONS });
    expect(read).toMatchObject({
      ok: true,
      value: {
        actorId: 'trainer',
        options: { ...OLD_OPTIONS, grip: null, armPathDeg: null, startAt: 0, stopAt: 1, practices: {} },
      },
    });
    expect(
      readFloorEvent({ ...SETUP, options: { ...OLD_OPTIONS, schools: { 'row-base': 'both-feet-down' } } }),
    ).toMatchObject({
      value: { options: { practices: { 'row-base': 'both-feet-down' } } },
    });
  });
  it('headings of any size come into the one range', () => {
    for (const yawDeg of [200, -190, 540, 181, -180, 180, 0]) {
      const read = readFloorEvent({ ...SETUP, options: OLD_OPTIONS, placement: { ...SETUP.placement, yawDeg } });
      expect(read).toMatchObject({ ok: true, value: { placement: { yawDeg: normalHeadingDeg(yawDeg) } } });
    }
    const random = seeded(4);
    for (let k = 0; k < 500; k++) {
      const deg = (random() - 0.5) * 2000;
      const normal = normalHeadingDeg(deg);
      expect(normal > -180 && normal <= 180).toBe(true);
      expect(Math.cos(((normal - deg) * Math.PI) / 180)).toBeCloseTo(1, 9);
    }
  });
  it('what a newer program wrote is not guessed at', () => {
    for (const version of [0, 3, 1.5, '2x'])
      expect(readFloorEvent({ ...SETUP, options: OLD_OPTIONS, version })).toMatchObject({
        ok: false,
        issues: [{ path: 'version' }],
      });
    expect(readVariantOptions(VARIANT_OPTIONS_VERSION + 1, {}).ok).toBe(false);
  });
});

it('a facing past half a turn, as the solver finds for some rows, is asked about, saved and used again', () => {
  const db = world();
  const id = 'wilhelmina-2026-11-24-2';
  const { setupCase } = loadSetup(at(db), id)!;
  const { item } = loadItem(at(db), id)!;
  for (const turned of [-170, 175, 180]) {
    const placement = { hole: 5, standX: 1, standZ: 0.1, yawDeg: normalHeadingDeg(turned) };
    expect(caseSchema.safeParse({ ...setupCase, given: placement }).success).toBe(true);
    const event = {
      ...SETUP,
      id: `turn${turned}`,
      clientId: 'wilhelmina',
      itemId: id,
      movement: item.movement,
      placement,
    };
    const options = { ...OLD_OPTIONS, tiltDeg: 0 };
    const kept = recordEvents(at(db), { events: [{ ...event, side: item.side, stationId: item.stationId, options }] });
    expect(kept).toMatchObject({ ok: true, reply: { refused: [] } });
    expect(loadItem(at(db), id)!.setupCase.lastUsed).toEqual(placement);
  }
});

describe('a row that cannot be read', () => {
  const db = world();
  db.pragma('ignore_check_constraints = 1');
  db.exec(`DROP TRIGGER IF EXISTS floor_event_append_only_update;
    INSERT INTO floor_event (id, device_id, seq, at_ms, received_at_ms, client_id, item_id, movement, kind, body)
      VALUES ('bad-json', 'd', 900, ${NOW}, ${NOW}, 'anselm', '${ITEM}', 'cable-fly-level', 'rep', '[1]'),
             ('bad-rep', 'd', 901, ${NOW}, ${NOW}, 'anselm', '${ITEM}', 'cable-fly-level', 'rep', '{"rep":-3}');
    INSERT INTO movement_variant (id, movement, name, cue, options, kept_at_ms)
      VALUES ('bad-variant', 'cable-fly-level', 'Old way', '', '{"startAt":7}', 1);
    INSERT INTO kit_piece (id, gym_id, kind, name, out_of_order, position, spec)
      VALUES ('bad-band', 'tidewater', 'band', 'Chewed band', 0, 99, '{"restCm":"long"}')`);
  // As after an upgrade: everything is folded again.
  forgetFolds(db);
  const uc = at(db);
  const ids = (rows: readonly { readonly id: string }[]) => rows.map((r) => r.id).sort();
  it('is named where its table is shown', () => {
    expect(ids(listFloorEvents(db, 'anselm', 'cable-fly-level').unreadable)).toEqual(['bad-json', 'bad-rep']);
    for (const shown of [
      loadLedger(uc, 'anselm')!,
      loadClient(uc, 'anselm')!,
      loadSet(uc, ITEM)!,
      loadSetup(uc, ITEM)!.bench,
    ])
      expect(ids(shown.unreadable)).toEqual(['bad-json', 'bad-rep']);
    expect(loadKit(uc, 'tidewater').unreadable).toMatchObject([{ id: 'bad-band', name: 'Chewed band' }]);
    expect(ids(loadChoosing(uc, { gym: 'tidewater' }).unreadable)).toEqual(['bad-band', 'bad-variant']);
  });
  it('and takes nothing else with it', () => {
    const whole = at(world());
    expect(loadFloor(uc)).toEqual(loadFloor(whole));
    expect(listLedgers(uc)).toEqual(listLedgers(whole));
    expect(loadLedger(uc, 'anselm')!.movements).toEqual(loadLedger(whole, 'anselm')!.movements);
    expect(loadKit(uc, 'tidewater').pieces).toEqual(loadKit(whole, 'tidewater').pieces);
  });
});

it('every record and every change names who made it', () => {
  const db = world();
  const named = (table: string) => db.prepare(`SELECT DISTINCT actor_id AS id FROM ${table}`).pluck().all();
  for (const table of ['floor_event', 'client', 'gym', 'kit_piece', 'session', 'session_item', 'screening'])
    expect([table, named(table)]).toEqual([table, ['marit']]);
  const other = at(db, undefined, { id: 'iris', name: 'Iris', role: 'owner' });
  // Whatever a device claims, it is who is signed in.
  recordEvents(other, { events: [{ ...SETUP, id: 'by', actorId: 'somebody', options: OLD_OPTIONS }] });
  expect(listFloorEvents(db, 'anselm', 'cable-fly-level').rows.find((e) => e.id === 'by')!.actorId).toBe('iris');
});

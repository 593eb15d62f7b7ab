import { describe, expect, it } from 'vitest';
import type { Client } from '@/contract/views/client';
import { openDb } from '@/data/open-db';
import { listStations } from '@/data/queries/kit';
import { loadClient, loadClients, saveClientForm } from '@/server/clients';
import { loadFloor } from '@/server/floor';
import { loadKit, loadKitSheet, saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { loadPutAway, putAway } from '@/server/put-away';
import { at, world } from './support/world';
import { EMPTY, MEASURES, CLIENT, LIMIT, piece, keepColumn, issuesOf, PLAN } from './support/forms';

describe('bad input is told at its field', () => {
  const db = world();
  it.each([
    [{ statureCm: 119 }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ statureCm: '' }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ massKg: -4 }, 'massKg: expected a number from 25 to 300 kg'],
    [{ name: '  ' }, 'name: expected 1 to 80 characters'],
    [
      { measuredCm: { ...MEASURES, shoulderHeight: 40 } },
      'measuredCm.shoulderHeight: expected 104 to 168 cm for 168 cm of stature',
    ],
    [
      { measuredCm: { ...MEASURES, shoulderHeight: 135, chinHeight: 134 } },
      'measuredCm.chinHeight: expected a height above shoulder',
    ],
    [
      { rangeDeg: { ...EMPTY, left: { ...EMPTY.left, 'shoulder.horizontalAbduction': 95 } } },
      'rangeDeg.left.shoulder.horizontalAbduction: expected a number from 0 to 80 degrees',
    ],
    [{ limits: [{ ...LIMIT, setBy: '' }] }, 'limits.0.setBy: expected 1 to 80 characters'],
    [{ limits: [{ ...LIMIT, until: '2026-10-01' }] }, 'limits.0.until: expected a day on or after the first'],
    [{ limits: [{ ...LIMIT, subject: 'elbow.flexion', most: 400 }] }, 'limits.0.most: expected 0 to 165 degrees'],
    [{ limits: [{ ...LIMIT, from: 'soon' }] }, 'limits.0.from: expected a day like 2026-11-24'],
    [
      { armPath: { left: [{ belowDeg: 10, behindCm: 90 }], right: [] } },
      'armPath.left.0.behindCm: expected a number from -30 to 50 cm',
    ],
  ])('client %j', (change, issue) =>
    expect(issuesOf(saveClientForm(at(db), null, { ...CLIENT, ...change }))).toContain(issue),
  );

  it.each([
    [
      {
        readings: [
          { hole: 4, heightCm: 50 },
          { hole: 4, heightCm: 60 },
        ],
      },
      'spec.readings.1.hole: expected two different holes: the same one twice gives no spacing',
    ],
    [
      {
        readings: [
          { hole: 1, heightCm: 25 },
          { hole: 31, heightCm: 215 },
        ],
      },
      'spec.readings.1.hole: expected a hole from 1 to 20',
    ],
    [
      {
        readings: [
          { hole: 1, heightCm: 215 },
          { hole: 20, heightCm: 25 },
        ],
      },
      'spec.readings.1.heightCm: expected heights that rise the way the numbers run; check the ' +
        'numbering or the two heights',
    ],
    [
      {
        readings: [
          { hole: '', heightCm: 25 },
          { hole: 2, heightCm: 35 },
        ],
      },
      'spec.readings.0.hole: expected a whole number from 1 to 60',
    ],
    [
      { twinSpacingCm: 65 },
      'spec.twinSpacingCm: expected at least 72 cm: wider than the shoulders of Wilhelmina ' +
        'Brandstrup-Kjeldgaard, with room for the hands',
    ],
    [{ twinSpacingCm: '' }, 'spec.twinSpacingCm: expected a number from 30 to 800 cm'],
    [{ columnKind: 'arms' }, 'spec.armCm: expected a number from 20 to 200 cm'],
    [
      { columnKind: 'arms', armCm: 50, pivotHeightCm: 100 },
      'spec.readings.1.heightCm: expected heights of two notches, within the arm’s reach of its pivot ' +
        'and rising the way the numbers run',
    ],
    [
      {
        leftNumbering: 'own',
        leftHoles: 12,
        leftReadings: [
          { hole: 1, heightCm: 30 },
          { hole: '', heightCm: '' },
        ],
      },
      'spec.leftReadings.0.heightCm: expected two measured holes',
    ],
    [{ pulleyRatio: 0 }, 'spec.pulleyRatio: expected a number from 0.25 to 8'],
    [{ stack: '5 -10' }, 'spec.stack.1: “-10”: expected numbers from 0.1 to 500 with spaces between'],
    [{ maxDistanceCm: 0, minDistanceCm: 10 }, 'spec.maxDistanceCm: expected more than the nearest place to stand'],
  ])('column %j', (change, issue) => expect(issuesOf(keepColumn(db, change))).toContain(issue));

  it.each([
    [
      'attachment',
      { attachmentKind: 'rope', lengthCm: 130, handsFromCm: '', handsToCm: '', swivels: 'yes' },
      'spec.lengthCm: expected a number from 0 to 100 cm',
    ],
    [
      'attachment',
      { attachmentKind: 'rope', lengthCm: 30, handsFromCm: 20, handsToCm: 5, swivels: 'yes' },
      'spec.handsToCm: expected no less than the narrowest',
    ],
    [
      'bench',
      {
        notches: 5,
        notchReadings: [{ notch: 9, deg: 20 }],
        seatHeightCm: 44,
        seatDeg: '',
        feetApartCm: 110,
        blocksCm: '',
      },
      'spec.notchReadings.0.notch: expected a notch from 1 to 5',
    ],
    [
      'bench',
      {
        notches: 5,
        notchReadings: [{ notch: 2, deg: 20 }],
        seatHeightCm: 44,
        seatDeg: '',
        feetApartCm: 110,
        blocksCm: '4 200',
      },
      'spec.blocksCm.1: “200”: expected nothing, or numbers from 0.5 to 60 cm with spaces between',
    ],
    [
      'preacher',
      {
        holes: 8,
        numberedFrom: 'top',
        readings: [
          { hole: 1, heightCm: 38 },
          { hole: 8, heightCm: 59 },
        ],
        padTopCm: 98,
        padDeg: 50,
        padCm: 36,
      },
      'spec.readings.1.heightCm: expected heights that rise the way the numbers run; check the ' +
        'numbering or the two heights',
    ],
    [
      'machine',
      {
        machineKind: 'leg-curl',
        independentArms: 'no',
        seatHoles: '',
        seatNumberedFrom: 'bottom',
        seatReadings: [],
        backHoles: '',
        backNumberedFrom: 'bottom',
        backReadings: [],
        axisOverSeatCm: '',
        handleHeightCm: '',
        pathKind: 'arc',
        radiusCm: 30,
        momentArms: [
          { deg: 30, cm: 9 },
          { deg: 10, cm: 8 },
        ],
        guideDeg: '',
        guideRatio: '',
        stack: '',
        stackUnit: 'kg',
      },
      'spec.momentArms.1.deg: expected angles that rise',
    ],
    ['band', { restCm: 100, table: [{ stretchCm: 0, kg: 0 }] }, 'spec.table: expected two or more rows'],
    [
      'landmine',
      { pivotHeightCm: 9, barKg: '', barCm: 218, platesAtCm: 196 },
      'spec.barKg: expected a number from 1 to 60 kg',
    ],
  ])('%s %j', (kind, spec, issue) =>
    expect(issuesOf(savePieceForm(at(db), 'tidewater', null, piece(kind, spec)))).toContain(issue),
  );
  it('a piece keeps its kind, and a kind must be known', () => {
    expect(issuesOf(savePieceForm(at(db), 'tidewater', 'rope', piece('strap-anchor', { heightCm: 200 })))).toEqual([
      'kind: expected attachment: a piece keeps its kind',
    ]);
    expect(issuesOf(savePieceForm(at(db), 'tidewater', null, piece('trampoline', {})))[0]).toMatch(
      /^kind: expected one of/,
    );
    expect(issuesOf(saveGymForm(at(db), null, { name: 'Quay', screeningDays: 0 }))).toEqual([
      'screeningDays: expected a number from 1 to 3650 days',
    ]);
  });

  it.each([
    [
      { tempo: '3-1' },
      'tempo: expected four times like 3-1-2-1 or 3/1/2/1: lowering, pause, lifting, pause; X for fast; ' +
        'then, if wanted, “, lower first” or “slow 30-65”',
    ],
    [{ load: 11 }, 'load: expected a load that is here; the nearest is 10 kg'],
    [{ startsAt: '25:00' }, 'startsAt: expected a time like 14:30'],
    [{ stationId: 'gone' }, 'stationId: expected one of the list'],
  ])('plan %j', (change, issue) => {
    const plan = { ...PLAN, clientId: 'sefina' };
    expect(issuesOf(planToday(at(db), { ...plan, ...change }))).toContain(issue);
    expect(planToday(at(db), { ...plan, tempo: '4-0-x-1' }).ok).toBe(true);
  });
});

describe('from an empty database', () => {
  it('kit, client and plan give a floor with plates', () => {
    const db = openDb(':memory:');
    const gym = saveGymForm(at(db), null, { name: 'Gym', screeningDays: 90 });
    if (!gym.ok) throw new Error('not saved');
    const station = keepColumn(db, { stack: '10 20', stackUnit: 'lb', addOns: '2.5' }, gym.id);
    const handle = savePieceForm(
      at(db),
      gym.id,
      null,
      piece('attachment', { attachmentKind: 'd-handle', lengthCm: 14, handsFromCm: '', handsToCm: '', swivels: 'yes' }),
    );
    const client = saveClientForm(at(db), null, CLIENT);
    if (!station.ok || !handle.ok || !client.ok) throw new Error('not saved');
    const planned = planToday(at(db), {
      clientId: client.id,
      movement: 'cable-fly-level',
      side: 'both',
      stationId: station.id,
      attachmentId: handle.id,
      startsAt: '10:00',
      sets: 3,
      reps: 12,
      tempo: '3-1-2-1',
      load: 20,
      unit: 'lb',
    });
    expect(issuesOf(planned)).toEqual([]);
    const [item] = loadFloor(at(db)).sessions[0]!.items;
    expect(item!.settingsNote).toBe('solved; shoulder height estimated');
    expect(item!.settings[0]).toMatchObject({ kind: 'hole', estimated: true });
  });
});

describe('a mass that nobody measured', () => {
  it('is reckoned from the stature, follows it, and gives way to the scale', () => {
    const db = world();
    const save = (change: object, id: string | null = null) =>
      saveClientForm(at(db), id, { ...CLIENT, massKg: '', ...change }) as { id: string; kept: object };
    const { id, kept } = save({ statureCm: 175 });
    expect(kept).toMatchObject({ massKg: 66, massEstimated: true });
    expect(save({ statureCm: 180 }, id).kept).toMatchObject({ massKg: 70, massEstimated: true });
    expect(save({ statureCm: 180, massKg: 84 }, id).kept).toMatchObject({ massKg: 84, massEstimated: false });
  });
});

describe('units that are said', () => {
  it('are the gym’s for every client, unless a client’s own are kept; what is kept stays metric', () => {
    const db = world();
    const uc = at(db);
    const gym = loadKit(uc, undefined).gym!;
    const told = (id: string) => [loadClient(uc, id)!.gymSaidIn, loadClient(uc, id)!.client.saidIn];
    expect(told('anselm')).toEqual(['metric', null]);
    const typed = { name: gym.name, screeningDays: gym.screeningDays, saidIn: 'feet-pounds' };
    expect(saveGymForm(uc, gym.id, typed, gym).ok).toBe(true);
    expect(told('anselm')).toEqual(['feet-pounds', null]);
    expect(loadKitSheet(uc, 'long-pair')!.saidIn).toBe('feet-pounds');
    // A gym's form that does not say keeps what was said before.
    expect(saveGymForm(uc, gym.id, { name: 'Tidewater', screeningDays: 365 }).ok).toBe(true);
    expect(loadKit(uc, gym.id).gym).toMatchObject({ name: 'Tidewater', saidIn: 'feet-pounds' });
    const { kept } = saveClientForm(uc, null, { ...CLIENT, statureCm: 177.8, saidIn: 'metric' }) as { kept: Client };
    expect(kept).toMatchObject({ statureM: 1.778, saidIn: 'metric' });
    expect(issuesOf(saveClientForm(uc, null, { ...CLIENT, saidIn: 'cubits' }))).toEqual([
      'saidIn: expected one of metric, feet-pounds',
    ]);
  });
});

describe('putting away', () => {
  it('takes out of every list, keeps what was recorded, and is history', () => {
    const db = world();
    const uc = at(db);
    const names = () => loadClients(uc).map((c) => c.id);
    for (const away of [true, true, false, true]) {
      expect(putAway(uc, 'client', 'anselm', away).ok).toBe(true);
      expect(names().includes('anselm')).toBe(!away);
      expect(loadPutAway(uc, ['client']).map((t) => t.id)).toEqual(away ? ['anselm'] : []);
    }
    expect(loadClient(uc, 'anselm')!.history.filter((h) => h.what.includes('Put away'))).toHaveLength(3);
    expect(loadFloor(uc).sessions.some((s) => s.clientId === 'anselm')).toBe(true);
  });
  it('kit of a gym that is put away is in no list; one gym always stays', () => {
    const db = world();
    const uc = at(db);
    const { gyms } = loadKit(uc, undefined);
    for (const g of gyms.slice(1)) expect(putAway(uc, 'gym', g.id, true).ok).toBe(true);
    expect(putAway(uc, 'gym', gyms[0]!.id, true).ok).toBe(false);
    const [column] = listStations(db, gyms[0]!.id);
    expect(listStations(db).every((s) => s.gymId === gyms[0]!.id)).toBe(true);
    putAway(uc, 'piece', column!.id, true);
    expect(listStations(db).some((s) => s.id === column!.id)).toBe(false);
    expect(putAway(uc, 'piece', 'nothing', true).ok).toBe(false);
    expect(putAway(uc, 'planet', 'anselm', true).ok).toBe(false);
  });
});

import { SIDES, type Side } from '@/core/body/side';
import { describe, expect, it } from 'vitest';
import { REGIONS } from '@/core/body/region-line';
import { holeHeightM } from '@/core/kit/column';
import { length, mirrorZ, subtract } from '@/core/geometry/vector';
import { assertKeys } from '@/core/movement/keyframes';
import { parseTempo } from '@/core/tempo/tempo';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../../test/support/fixtures';
import { BOOK, findEntry } from './book';
import { GROUPS, sidesOf, type BookEntry } from './book-entry';
import { poseEntry, WHOLE_RANGE } from './pose-entry';
import { NO_FIT } from './client-fit';
import { USUAL_KIT } from './station-kit';

const LOAD_KG = 20;
const STATURES = [1.5, 1.75, 2];
const ask = (e: BookEntry, statureM: number, side = sidesOf(e).at(-1)!, more: object = {}) =>
  answerOf(e, {
    body: bodyOf(statureM),
    side,
    loadKg: LOAD_KG,
    column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
    ...more,
  });
function solved(id: string, statureM = 1.75, more: object = {}) {
  const a = ask(findEntry(id)!, statureM, undefined, more);
  if (!a.ok) throw new Error(`${id}: ${a.reason}`);
  return a;
}
const at = (id: string, s: number, statureM: number) => {
  const { samples, metrics } = solved(id, statureM);
  return samples.resistanceNm[Math.round(s * 40)]! / metrics.peakResistanceNm;
};

describe('the book as data', () => {
  it(
    'pulls begin with the lift; weights taken overhead or over the chest, push-ups and the press of ' +
      'the legs with the lowering (common practice)',
    () => {
      for (const e of BOOK.filter((x) => ['rows', 'biceps'].includes(x.group) || x.id.includes('pulldown')))
        expect(e.startsWith, e.id).toBe('lifting');
      expect(
        BOOK.filter((e) => e.startsWith === 'lowering')
          .map((e) => e.id)
          .sort(),
      ).toEqual([
        'close-dumbbell-squeeze-press',
        'close-push-up',
        'dumbbell-fly-block-declined',
        'dumbbell-fly-flat',
        'dumbbell-fly-incline',
        'dumbbell-pullover',
        'leg-press',
        'lying-extension',
        'seated-overhead-dumbbell-extension',
      ]);
    },
  );
  it('has an entry for every movement of the trade’s list, each under one name', () => {
    expect(BOOK.length).toBeGreaterThanOrEqual(75);
    expect(new Set(BOOK.map((e) => e.id)).size).toBe(BOOK.length);
    for (const g of GROUPS) expect(BOOK.some((e) => e.group === g)).toBe(true);
  });
  it.each(BOOK.map((e) => [e.id, e] as const))(
    '%s is whole: regions, tempo, keys, stand-ins that exist and are not itself',
    (id, e) => {
      for (const r of [e.target, ...e.secondary]) expect(REGIONS).toContain(r);
      expect(e.secondary).not.toContain(e.target);
      expect(parseTempo(e.tempo)).not.toBeNull();
      expect(e.reps.min).toBeLessThanOrEqual(e.reps.max);
      if (e.path.kind !== 'sweep') expect(assertKeys(e.path.keys)).toBeUndefined();
      for (const s of e.standIns) {
        expect(findEntry(s)).not.toBeNull();
        expect(s).not.toBe(id);
      }
      if (e.group !== 'before') expect(e.standIns.length).toBeGreaterThan(0);
    },
  );
});

describe.each(STATURES)('every movement on a body of %d m', (statureM) => {
  it.each(sampled(BOOK, STATURES.indexOf(statureM)).map((e) => [e.id, e] as const))(
    '%s solves or fits, and its profile holds',
    (_, e) => {
      const a = ask(e, statureM);
      if (!a.ok) throw new Error(`${a.reason} ${JSON.stringify(a.violations)}`);
      const values = [
        ...a.samples.resistanceNm,
        ...a.samples.offPlaneRad,
        a.metrics.peakAt,
        a.metrics.evenness,
        a.metrics.offAxisShare,
      ];
      expect(values.every(Number.isFinite)).toBe(true);
      if (e.load.kind !== 'none') expect(a.metrics.peakResistanceNm).toBeGreaterThan(0);
      if (e.load.kind !== 'cable') return;
      // A long reach towards the column pushes the client out, so that hands and elbows clear it.
      const { facing, shared } = e.load;
      const meets = (facing === 'towards' || facing === 'away') && (shared || e.hands === 'one');
      const ahead = Math.max(
        ...[...a.posed.path.contact, ...a.posed.path.middle].map((v) => (facing === 'towards' ? 1 : -1) * v[0]),
      );
      if (meets) expect(a.placement!.standX).toBeGreaterThanOrEqual(ahead + 0.1 - 0.006);
      // Nothing but room and reach bounds the place: no answer stands at the end of the floor.
      expect(a.placement!.standX).toBeLessThan(ROOM.maxDistanceM - 0.2);
      expect(a.metrics.minClearanceM).toBeGreaterThanOrEqual(COLUMN.clearanceM);
      expect(a.metrics.offPlaneRmsDeg).toBeLessThan(30);
    },
  );
  it.each(BOOK.map((e) => [e.id, e] as const))('%s: left mirrors right', (_, e) => {
    const arm = (side: Side) => poseEntry(e, bodyOf(statureM), side, WHOLE_RANGE, USUAL_KIT)!.path;
    const [l, r] = [arm('left'), arm('right')];
    // Arms that begin across each other do so one over the other.
    for (const i of e.crosses ? [20, 40] : [0, 20, 40]) {
      const near = (a: typeof l.contact, b: typeof l.contact) =>
        expect(length(subtract(mirrorZ(a[i]!), b[i]!))).toBeLessThan(1e-9);
      near(l.middle, r.middle);
      near(l.contact, r.contact);
    }
  });
});

describe('what blocks is told', () => {
  it('a range too narrow, no column, one pulley for two hands, the wrong sides', () => {
    const reason = (id: string, more: object) => {
      const a = ask(findEntry(id)!, 1.75, (more as { side?: Side }).side, more);
      return a.ok ? 'ok' : a.reason;
    };
    expect(
      reason('barbell-curl', {
        range: { ...WHOLE_RANGE, active: { left: { 'elbow.flexion': 30 }, right: { 'elbow.flexion': 30 } } },
      }),
    ).toBe('range');
    expect(reason('leg-extension', { range: { ...WHOLE_RANGE, limits: { right: { 'knee.flexion': 60 } } } })).toBe(
      'ok',
    );
    expect(reason('rope-pushdown', { column: null })).toBe('no-column');
    expect(
      reason('crossed-reverse-fly', {
        column: { column: { ...COLUMN, kind: 'single', twinSpacingM: 0 }, room: ROOM, attachmentM: 0.02 },
      }),
    ).toBe('one-pulley');
    expect(
      reason('rope-pushdown', {
        column: { column: { ...COLUMN, kind: 'single', twinSpacingM: 0 }, room: ROOM, attachmentM: 0.3 },
      }),
    ).toBe('ok');
    expect(reason('kickback', { side: 'both' })).toBe('sides');
    expect(
      reason('cable-row-level-one-arm', {
        column: { column: { ...COLUMN, travelM: 0.3 }, room: ROOM, attachmentM: 0.1 },
      }),
    ).toBe('limits');
  });
  it('a measured range and a clinician’s limit cut the same way, the tighter first', () => {
    const cut = (active: number, limits: number) =>
      poseEntry(
        findEntry('leg-extension')!,
        bodyOf(1.75),
        'right',
        {
          active: { right: { 'knee.flexion': active } },
          limits: { right: { 'knee.flexion': limits } },
          stopLevel: false,
          fit: NO_FIT,
        },
        USUAL_KIT,
      )!.range;
    expect(cut(90, 60)).toEqual({ ...cut(60, 90), startCutBy: 'limit' });
    expect(cut(60, 90).startCutBy).toBe('active-range');
    expect(cut(90, 60).cutStart).toBe('knee.flexion');
    expect(cut(90, 60).from).toBeCloseTo(40 / 92, 2);
  });
});

describe.each(STATURES)('facts of the trade on the book’s own answers (common practice), %d m', (h) => {
  const heightOf = (id: string) => holeHeightM(COLUMN, solved(id, h).placement!.hole);
  it('a standing bar curl is hardest with the forearm level; a preacher curl before that, and it never rests', () => {
    const level = solved('barbell-curl', h);
    const i = level.posed.path.distal.findIndex((w, k) => w[1] >= level.posed.path.middle[k]![1]);
    expect(Math.abs(level.metrics.peakAt - i / 40)).toBeLessThan(0.06);
    expect(solved('preacher-curl-one-arm', h).metrics.peakAt).toBeLessThan(level.metrics.peakAt);
    expect(solved('preacher-curl-one-arm', h).metrics.restShare).toBe(0);
  });
  it(
    'kickback: trivial below the top; overhead and lying extensions load far more of the range, a ' +
      'pushdown all of it',
    () => {
      const loaded = (id: string) => solved(id, h).metrics.loadedShare;
      expect(loaded('kickback')).toBeLessThan(0.5);
      for (const id of ['seated-overhead-dumbbell-extension', 'lying-extension', 'v-bar-pushdown'])
        expect(loaded(id)).toBeGreaterThan(loaded('kickback') + 0.2);
      expect(at('v-bar-pushdown', 1, h)).toBeGreaterThan(0.25);
    },
  );
  it('dumbbell flies are hardest at the bottom and rest over the shoulders; cables keep a part of it', () => {
    for (const id of ['dumbbell-fly-flat', 'dumbbell-fly-incline', 'dumbbell-fly-block-declined']) {
      expect(solved(id, h).metrics.peakAt).toBeLessThan(0.1);
      expect(at(id, 1, h)).toBeLessThan(0.25);
    }
    expect(at('cable-fly-level', 1, h)).toBeGreaterThan(0.4);
  });
  it('side raises start at 30 degrees and so never rest; from the side a crossing cable peaks earlier', () => {
    expect(solved('dumbbell-side-raise', h).metrics.restShare).toBe(0);
    expect(solved('cross-body-cable-raise', h).metrics.peakAt).toBeLessThan(
      solved('dumbbell-side-raise', h).metrics.peakAt,
    );
  });
  it(
    'pulleys: pulldowns and pushdowns from the top, low rows and cable curls from the bottom, level ' +
      'rows about the lower ribs',
    () => {
      for (const id of ['pulldown-overhand', 'rope-pushdown', 'rope-lat-opener'])
        expect(heightOf(id)).toBeGreaterThan(0.85 * h);
      for (const id of ['rope-row-low-one-arm', 'straight-bar-cable-curl', 'incline-bench-cable-curl'])
        expect(heightOf(id)).toBeLessThan(0.4 * h);
      const row = solved('cable-row-level-one-arm', h);
      // Height at which the tensioned line meets the body: between elbow and shoulder of the seated client.
      const grip = row.posed.path.contact[40]!;
      const shoulder = row.posed.path.proximal[40]!;
      expect(grip[1]).toBeLessThan(shoulder[1] - 0.08 * h);
      expect(grip[1]).toBeGreaterThan(shoulder[1] - 0.26 * h);
    },
  );
  it('a high one-arm row travels further than a level one: the elbow from out front and high to beside the hip', () => {
    const travel = (id: string) => {
      const { middle } = solved(id, h).posed.path;
      return middle.slice(1).reduce((sum, m, i) => sum + length(subtract(m, middle[i]!)), 0);
    };
    expect(travel('cable-row-high-one-arm')).toBeGreaterThan(travel('cable-row-level-one-arm') * 1.1);
    expect(travel('straight-arm-pushdown-one-arm')).toBeGreaterThan(travel('straight-arm-pushdown-bar'));
  });
  it('rear-deltoid lines come from about the shoulder or a little above it', () => {
    for (const id of ['rear-delt-cable-fly-one-arm', 'rear-delt-cable-row', 'crossed-reverse-fly']) {
      const { pulley, posed } = solved(id, h);
      expect(pulley![1] - posed.path.proximal[0]![1]).toBeGreaterThan(-0.16 * h);
      expect(pulley![1] - posed.path.proximal[0]![1]).toBeLessThan(0.2 * h);
    }
  });
  it('the turning curl loads more of its range than the same curl unturned', () => {
    const e = findEntry('turning-cable-curl')!;
    const turned = solved('turning-cable-curl', h).metrics;
    const still = ask({ ...e, motion: [] }, h);
    if (!still.ok) throw new Error(still.reason);
    expect(turned.meanResistanceNm).toBeGreaterThan(still.metrics.meanResistanceNm);
  });
  it('a band takes the same off both arms of a pull-up; a push-up is hardest at the bottom', () => {
    expect(solved('close-push-up', h).metrics.peakAt).toBeLessThan(0.3);
    const free = solved('pull-up-band-assisted', h, { kit: { ...USUAL_KIT, bandN: 0 } });
    expect(solved('pull-up-band-assisted', h).metrics.peakResistanceNm).toBeLessThan(free.metrics.peakResistanceNm);
  });
});

it('both sides of one-arm movements solve to the same cost by the mirror', () => {
  for (const id of ['cable-row-level-one-arm', 'palm-up-pushdown', 'rear-delt-cable-fly-one-arm']) {
    const [l, r] = SIDES.map((side) => ask(findEntry(id)!, 1.75, side));
    if (!l!.ok || !r!.ok) throw new Error(id);
    expect(l!.metrics.peakResistanceNm).toBeCloseTo(r!.metrics.peakResistanceNm, 6);
    expect(l!.placement!.hole).toBe(r!.placement!.hole);
    expect(l!.placement!.standZ).toBeCloseTo(-r!.placement!.standZ, 9);
  }
});

import { describe, expect, it } from 'vitest';
import { USUAL_ATTACHMENT } from '@/core/kit/attachment';
import type { Machine } from '@/core/kit/machine';
import { COLUMN } from '../../test/support/fixtures';
import {
  anchorScene,
  attachmentScene,
  bandScene,
  barScene,
  benchScene,
  columnScene,
  landmineScene,
  loadsScene,
  machineScene,
  preacherScene,
  type KitScene,
  type KitShape,
} from './kit-scene';

type Of<K extends KitShape['kind']> = Extract<KitShape, { kind: K }>;
const all = <K extends KitShape['kind']>(s: KitScene, kind: K) => s.shapes.filter((x): x is Of<K> => x.kind === kind);
const labels = (s: KitScene) => all(s, 'label').map((l) => l.text);

const RULER = { firstHoleM: 0.4, pitchM: 0.03, holes: 8, numberedFrom: 'bottom' } as const;
const BENCH = {
  seatHeightM: 0.44,
  backDeg: [0, 20, 40, 60, 80],
  seatDeg: [0, 15],
  feetApartM: 1.15,
  blockHeightsM: [0.04],
};
const LEG: Machine = {
  kind: 'leg-extension',
  seat: null,
  back: { firstHoleM: 0.4, pitchM: 0.03, holes: 6, numberedFrom: 'top' },
  axisOverSeatM: 0.04,
  handleHeightM: 0,
  path: { kind: 'arc', radiusM: 0.36, momentArm: [{ x: 0, y: 0.1 }] },
  independentArms: false,
};
const PRESS: Machine = { ...LEG, kind: 'chest-press', seat: RULER, back: null, handleHeightM: 0.9 };
const GUIDED: Machine = { ...LEG, kind: 'leg-press', back: null, path: { kind: 'guide', guideDeg: 45, ratio: 1 } };
const ARMS = {
  ...COLUMN,
  kind: 'arms',
  holes: 5,
  pivotHeightM: 1.3,
  armM: 0.8,
  firstDeg: -60,
  pitchDeg: 30,
  swingDeg: 0,
} as const;

const SCENES: readonly (readonly [string, KitScene])[] = [
  ['twin column', columnScene(COLUMN, new Set([1, 20]))],
  ['columns numbered apart', columnScene({ ...COLUMN, leftRuler: RULER }, new Set([1]))],
  ['swinging arms', columnScene(ARMS, new Set([1, 5]))],
  ['rope', attachmentScene({ kind: 'rope', ...USUAL_ATTACHMENT.rope })],
  ['bench', benchScene(BENCH, [true, false, false, false, true], { heightM: 0.04, declineDeg: 2 })],
  ['preacher', preacherScene({ seat: RULER, padTopM: 0.98, padDeg: 50, padM: 0.36 }, new Set([1, 8]))],
  ['leg extension', machineScene(LEG, new Set(), new Set([1, 6]))],
  ['chest press', machineScene(PRESS, new Set([1, 8]), new Set())],
  ['leg press', machineScene(GUIDED, new Set(), new Set())],
  ['rack', loadsScene([2, 4, 6, 30], 'kg')],
  ['bar', barScene(2.2)],
  ['landmine', landmineScene(0.06, 2.2, 2)],
  [
    'band',
    bandScene([
      { x: 0, y: 0 },
      { x: 60, y: 9 },
      { x: 120, y: 16 },
    ]),
  ],
  ['anchor', anchorScene(2.4)],
];

describe('kit drawings', () => {
  it.each(SCENES)('%s: everything lies on the drawing, nothing is NaN, no two labels on one spot', (_, scene) => {
    for (const s of scene.shapes) {
      const points = 'at' in s ? [s.at] : [s.from, s.to];
      for (const [x, y] of points) {
        expect(x).toBeGreaterThanOrEqual(-0.05);
        expect(x).toBeLessThanOrEqual(scene.width + 0.05);
        expect(y).toBeGreaterThanOrEqual(-0.05);
        expect(y).toBeLessThanOrEqual(scene.height + 0.05);
      }
    }
    const spots = all(scene, 'label').map((l) => `${l.at[0].toFixed(2)} ${l.at[1].toFixed(2)} ${l.anchor}`);
    expect(new Set(spots).size).toBe(spots.length);
  });

  it('holes stand at their heights in centimetres; measured solid, fitted dashed', () => {
    const scene = columnScene(COLUMN, new Set([1, 20]));
    const holes = all(scene, 'dot');
    expect(holes.map((d) => d.at[1])).toEqual(Array.from({ length: 20 }, (_, i) => expect.closeTo(0.25 + 0.1 * i, 9)));
    expect(holes.filter((d) => d.own)).toHaveLength(2);
    expect(labels(scene)).toEqual(expect.arrayContaining(['1', '25.0', '20', '215.0']));
    expect(all(scene, 'label').find((l) => l.text === '35.0')!.own).toBe(false);
  });
  it('arms end at their notches’ heights, all as far from the pivot', () => {
    const scene = columnScene(ARMS, new Set([1, 5]));
    for (const arm of all(scene, 'line').filter((l) => l.look !== 'frame'))
      expect(Math.hypot(arm.to[0] - arm.from[0], arm.to[1] - arm.from[1])).toBeCloseTo(0.8, 9);
    expect(labels(scene)).toEqual(
      expect.arrayContaining([`1: ${(100 * (1.3 - 0.8 * Math.sin(Math.PI / 3))).toFixed(1)}`, '3: 130.0']),
    );
  });
  it('a bench’s back lies at its own angles, the fitted ones dashed', () => {
    const backs = all(benchScene(BENCH, [true, false, false, false, true], null), 'line').filter(
      (l) => l.look === 'own' || l.look === 'derived',
    );
    expect(
      backs.map((b) => Math.round((Math.atan2(b.to[1] - b.from[1], b.from[0] - b.to[0]) * 180) / Math.PI)),
    ).toEqual(BENCH.backDeg);
    expect(backs.map((b) => b.look)).toEqual(['own', 'derived', 'derived', 'derived', 'own']);
  });
  it('a preacher’s pad falls at its angle over its length', () => {
    const [pad] = all(preacherScene({ seat: RULER, padTopM: 0.98, padDeg: 50, padM: 0.36 }, new Set()), 'pad');
    expect(pad!.from[1]).toBeCloseTo(0.98, 9);
    expect(pad!.from[1] - pad!.to[1]).toBeCloseTo(0.36 * Math.sin((50 * Math.PI) / 180), 9);
  });
  it('a machine’s roller hangs its radius below the axis; a guide climbs at its angle', () => {
    const arc = all(machineScene(LEG, new Set(), new Set()), 'line').find((l) => l.look === 'own')!;
    expect(arc.from[1] - arc.to[1]).toBeCloseTo(0.36, 9);
    const guide = all(machineScene(GUIDED, new Set(), new Set()), 'line').find((l) => l.look === 'own')!;
    expect((guide.to[1] - guide.from[1]) / (guide.to[0] - guide.from[0])).toBeCloseTo(1, 9);
    expect(labels(machineScene(PRESS, new Set([1]), new Set()))).toContain('handles 90.0');
  });
  it('loads stand in proportion, bands by force over stretch, the landmine’s end at its height', () => {
    const at = (text: string) => all(loadsScene([2, 4, 6, 30], 'kg'), 'label').find((l) => l.text === text)!.at[0];
    expect(at('4') / at('2')).toBeCloseTo(2, 9);
    expect(at('30') / at('6')).toBeCloseTo(5, 9);
    const band = all(
      bandScene([
        { x: 0, y: 0 },
        { x: 60, y: 8 },
        { x: 120, y: 16 },
      ]),
      'dot',
    ).map((d) => d.at);
    expect(band[1]![0] / band[2]![0]).toBeCloseTo(0.5, 9);
    expect(labels(landmineScene(0.06, 2.2, 2))).toContain((100 * (0.06 + 2.2 * Math.sin(Math.PI / 6))).toFixed(1));
  });
  it('one hand distance is drawn once, two as widest and narrowest', () => {
    const bars = (handsM: readonly [number, number] | null) => {
      const scene = attachmentScene({ kind: 'straight-bar', lengthM: 0.1, handsM, swivels: true });
      const spans = [...all(scene, 'rod'), ...all(scene, 'line').filter((l) => l.look === 'derived')];
      return spans.flatMap(({ from, to }) => (from[1] === to[1] ? [Math.round((to[0] - from[0]) * 100) / 100] : []));
    };
    // From hand to hand, and a hand's breadth beyond each.
    expect([bars(null), bars([0.4, 0.4]), bars([0.3, 0.9])]).toEqual([[0.2], [0.6], [0.5, 1.1]]);
  });
});

import { poseKnown } from '@/core/book/pose-question';
import { searchOf, type PosedQuestion } from '@/core/book/posed-question';
import type { Placement } from '@/core/setup/setup-problem';
import { describe, expect, it } from 'vitest';
import { toFloor } from '@/core/geometry/rotation';
import { bodyOf, COLUMN, FLIES, problemOf, questionOf, solved } from '../../test/support/fixtures';
import { capsulePath } from './capsule';
import { buildSetupFigure, buildSetupLines, windowFor } from './setup-scene';
import { buildStandingFigure } from './standing-figure';
import { px } from './svg-number';
import { closer, elevationView, heldIn, MARGIN, planView, wholeOf, zoomAbout, type View } from './view';
import { buildSetupMarks } from './setup-marks';
import { pulleyAt } from '@/core/kit/column';

const numbers = (d: string): number[] => [...d.matchAll(/-?\d+(\.\d+)?/g)].map((m) => Number(m[0]));

describe('a figure that is moved as a whole', () => {
  it.each([elevationView, planView])('is the figure built where it stands, shifted', (viewOf) => {
    const posed = poseKnown(questionOf('cable-fly-level', 1.75));
    const problem = searchOf(posed);
    const view = viewOf(windowFor(problem, solved(problem).best.placement), 120);
    const stand = { standX: 0.63, standZ: -0.21, yawDeg: 12 };
    const [there, here] = [stand, { ...stand, standX: 0, standZ: 0 }].map((s) =>
      buildSetupFigure(posed, solved(problem).best.placement, s, view),
    );
    const [a, b] = [view.project([0, 0, 0]), view.project([0.63, 0, -0.21])];
    const [from, to] = [here!, there!].map((f) => numbers(f.handPaths[0]!));
    from!.forEach((v, i) => expect(Math.abs(v + (i % 2 === 0 ? b.u - a.u : b.v - a.v) - to![i]!)).toBeLessThan(0.11));
  });
});

describe('one rounding', () => {
  it.each([
    [1.23456, 1.23],
    [-0.0001, 0],
    [99.995, 100],
  ])('%d', (x, y) => expect(Object.is(px(x), y)).toBe(true));
});

describe('tapered capsule', () => {
  const a = { u: 0, v: 0 };
  it('of equal radii is a stadium: straight sides a radius away from the axis', () => {
    const d = capsulePath({ a, b: { u: 100, v: 0 }, ra: 10, rb: 10 });
    expect(d).toBe('M0 10A10 10 0 0 1 0 -10L100 -10A10 10 0 0 1 100 10Z');
  });
  it('tapers along the outer tangents', () => {
    const d = capsulePath({ a, b: { u: 100, v: 0 }, ra: 20, rb: 10 });
    const [x, y] = numbers(d);
    expect(Math.hypot(x!, y!)).toBeCloseTo(20, 1);
    expect(x!).toBeCloseTo(20 * 0.1, 1);
  });
  it('is the bigger circle when one lies inside the other', () => {
    expect(capsulePath({ a, b: { u: 3, v: 0 }, ra: 20, rb: 5 })).toContain('a20 20');
    expect(capsulePath({ a, b: { u: 0, v: 3 }, ra: 5, rb: 20 })).toContain('a20 20');
  });
  it('runs the same way round as a circle and as a stadium: what shares a path leaves no hole', () => {
    const sweeps = (d: string) => [...d.matchAll(/[Aa][\d.]+ [\d.]+ 0 [01] ([01])/g)].map((m) => m[1]);
    for (const u of [0, 3, 100]) expect(sweeps(capsulePath({ a, b: { u, v: 0 }, ra: 20, rb: 5 }))).toEqual(['1', '1']);
  });
  it('never gives a number that is none', () => {
    for (const [ra, rb, u] of [
      [10, 10, 0],
      [5, 10, 5],
      [0.1, 8, 300],
    ] as const)
      expect(capsulePath({ a, b: { u, v: 0 }, ra, rb })).not.toContain('NaN');
  });
});

describe('views are to one scale and go back', () => {
  const problem = problemOf('cable-fly-level');
  const w = windowFor(problem, { hole: 12, standX: 0.3, standZ: 0, yawDeg: 0 });
  const views = [elevationView(w, 160), planView(w, 160)];
  it.each(views)('$kind', (view) => {
    const p = [0.42, 1.1, -0.3] as const;
    const { u, v } = view.project(p);
    expect(view.toX(u)).toBeCloseTo(p[0], 9);
    expect(view.toOther(v)).toBeCloseTo(view.kind === 'plan' ? p[2] : p[1], 9);
    const right = view.project([1.42, 1.1, -0.3]);
    expect(right.u - u).toBeCloseTo(160, 9);
  });
  it('share the floor ruler: a distance stands at the same place in both', () => {
    expect(views[0]!.project([0.5, 0, 0]).u).toBe(views[1]!.project([0.5, 0, 0]).u);
  });
  it('put the client’s right below and height above', () => {
    expect(views[1]!.project([0, 0, 1]).v).toBeGreaterThan(views[1]!.project([0, 0, -1]).v);
    expect(views[0]!.project([0, 2, 0]).v).toBeLessThan(views[0]!.project([0, 1, 0]).v);
  });
});

const sceneOf = (posed: PosedQuestion, placement: Placement, view: View) => ({
  ...buildSetupFigure(posed, placement, placement, view),
  ...buildSetupLines(posed, placement, view),
});

describe.each(FLIES.flatMap((id) => [1.45, 1.75, 2.05].map((h) => [id, h] as const)))(
  'scene of %s at %d m',
  (id, statureM) => {
    const posed = poseKnown(questionOf(id, statureM));
    const problem = searchOf(posed);
    const { placement } = solved(problem).best;
    const w = windowFor(problem, placement);
    const views = [elevationView(w, 150), planView(w, 150)] as const;
    it('draws hand and pulley where core has them', () => {
      for (const view of views) {
        const scene = sceneOf(posed, placement, view);
        for (const cable of scene.cables) {
          const grip = toFloor(problem.limbAt(cable.side, placement).path.contact[40]!, {
            x: placement.standX,
            z: placement.standZ,
            yawRad: 0,
          });
          expect(cable.to).toEqual(view.project(grip));
          expect(cable.from).toEqual(view.project(pulleyAt(COLUMN, placement.hole, cable.side)));
        }
      }
    });
    it('keeps the whole figure and the column inside the window', () => {
      for (const view of views) {
        const scene = sceneOf(posed, placement, view);
        const dots = [...scene.cables.flatMap((c) => [c.from, c.to, c.shoulder]), scene.mark];
        for (const { u, v } of dots) {
          expect(u).toBeGreaterThan(0);
          expect(u).toBeLessThan(view.width);
          expect(v).toBeGreaterThan(0);
          expect(v).toBeLessThan(view.height);
        }
      }
    });
    it('shows the solved line: seen from the side the cable passes near the shoulder', () => {
      const [cable] = buildSetupLines(posed, placement, views[0]).cables.slice(-1);
      const { from, to, shoulder } = cable!;
      const len = Math.hypot(to.u - from.u, to.v - from.v);
      const off = Math.abs((to.u - from.u) * (shoulder.v - from.v) - (to.v - from.v) * (shoulder.u - from.u)) / len;
      // The low fly's sweep is rolled 30 degrees, so from the side its cable runs well in front of the shoulder.
      expect(off / 150).toBeLessThan(id === 'cable-fly-low-to-high' ? 0.35 : 0.08);
    });
    it('gives no number that is none', () => {
      for (const view of views) {
        const scene = sceneOf(posed, placement, view);
        const paths = [...scene.body, ...scene.arms, ...scene.range].flatMap((s) => s.paths);
        expect([...paths, ...scene.handPaths].filter((d) => /NaN|Infinity|undefined/.test(d))).toEqual([]);
      }
    });
  },
);

describe.each(FLIES.flatMap((id) => [1.45, 2.05].map((h) => [id, h] as const)))(
  'marks of %s at %d m',
  (id, statureM) => {
    const problem = problemOf(id, statureM);
    const e = solved(problem).best;
    const w = windowFor(problem, e.placement);
    it('the shortest cable is as long on the sheet, above and side taken together, as the clearance says', () => {
      const [side, above] = [elevationView(w, 150), planView(w, 150)].map(
        (v) => buildSetupMarks(problem, e, v, 0).clearance,
      );
      const across = Math.hypot(above!.to.u - above!.from.u, above!.to.v - above!.from.v);
      expect(Math.hypot(across, side!.to.v - side!.from.v) / 150).toBeCloseTo(e.metrics.minClearanceM, 2);
      expect(side!.cm).toBe(Math.round(e.metrics.minClearanceM * 100));
    });
    it('the rest zone is hatched as far as the curve rests, and the region’s line runs to the arm', () => {
      const marks = buildSetupMarks(problem, e, planView(w, 150), 20);
      const strokes = (marks.rest.match(/M/g) ?? []).length;
      expect(Math.abs(strokes / 41 - e.metrics.restShare)).toBeLessThan(0.04);
      expect(marks.region).not.toBeNull();
    });
  },
);

describe('marks of movements that are no flies', () => {
  it.each([
    ['cable-row-level-one-arm', 'right'],
    ['rope-pushdown', 'both'],
    ['straight-bar-cable-curl', 'both'],
    ['rear-delt-cable-row', 'left'],
  ] as const)('%s: hatched where it rests, a region’s line within the body', (id, side) => {
    const problem = problemOf(id, 1.75, { side });
    const e = solved(problem).best;
    const view = elevationView(windowFor(problem, e.placement), 150);
    const marks = buildSetupMarks(problem, e, view, 0);
    expect(Math.abs((marks.rest.match(/M/g) ?? []).length / 41 - e.metrics.restShare)).toBeLessThan(0.05);
    const { from, to } = marks.region!;
    // No muscle of these is longer than a trunk: 0.29 of stature from hips to shoulders.
    expect(Math.hypot(from.u - to.u, from.v - to.v) / 150).toBeLessThan(0.4 * 1.75);
    expect(JSON.stringify(marks)).not.toMatch(/NaN|null,null/);
  });
});

describe('looking closer', () => {
  const problem = problemOf('cable-fly-level');
  const w = windowFor(problem, { hole: 12, standX: 0.3, standZ: 0, yawDeg: 0 });
  const p = [0.4, 1.2, -0.5] as const;
  it.each([elevationView(w, 160), planView(w, 160)])(
    '$kind: the point under the finger stays there, the ruler goes back and forth, the edges stay inside',
    (view) => {
      const zoom = zoomAbout(w, wholeOf(w), 2, [...p]);
      const near = closer(view, w, zoom);
      expect(near.scale).toBe(320);
      const [a, b] = [view.project([...p]), near.project([...p])];
      expect([b.u, b.v]).toEqual([expect.closeTo(a.u, 6), expect.closeTo(a.v, 6)]);
      expect(near.toX(b.u)).toBeCloseTo(p[0], 9);
      expect(near.toOther(b.v)).toBeCloseTo(view.kind === 'plan' ? p[2] : p[1], 9);
      expect(closer(view, w, zoomAbout(w, zoom, 1 / 8, [9, 9, 9]))).toBe(view);
      const far = heldIn(w, { times: 3, at: [99, -99, 99] });
      const corner = closer(view, w, far).project([w.maxX, 0, w.maxZ]);
      const whole = view.project([w.maxX, 0, w.maxZ]);
      expect([corner.u, corner.v]).toEqual([expect.closeTo(whole.u, 6), expect.closeTo(whole.v, 6)]);
    },
  );
});

describe('only working arms are drawn', () => {
  it.each([
    ['both', 2],
    ['left', 1],
    ['right', 1],
  ] as const)('%s', (side, arms) => {
    const AT = { hole: 12, standX: 0.3, standZ: 0, yawDeg: 0 };
    const posed = poseKnown(questionOf('cable-fly-level', 1.75, { side }));
    const problem = searchOf(posed);
    const scene = sceneOf(posed, AT, planView(windowFor(problem, AT), 100));
    expect([scene.arms.length, scene.cables.length, scene.range.length]).toEqual([arms, arms, arms * 4]);
  });
});

describe('standing figure', () => {
  it.each([1.2, 1.52, 1.98, 2.3])('%d m: to scale, labels apart', (statureM) => {
    const figure = buildStandingFigure(bodyOf(statureM), Math.max(2.05, statureM), 640, 470);
    const scale = (figure.floorV - figure.crownV) / statureM;
    for (const line of figure.lines) expect((figure.floorV - line.v) / scale).toBeCloseTo(line.cm / 100, 2);
    for (const column of ['left', 'right']) {
      const labels = figure.lines.filter((l) => l.column === column).map((l) => l.labelV);
      for (let i = 1; i < labels.length; i++) expect(labels[i]! - labels[i - 1]!).toBeGreaterThanOrEqual(17 - 1e-9);
    }
    expect(figure.crownV).toBeGreaterThan(MARGIN.top - 10);
  });
  it('knows measured from estimated', () => {
    const figure = buildStandingFigure(bodyOf(1.75, { measuredM: { shoulderHeight: 1.44 } }), 2.05, 640, 470);
    const source = Object.fromEntries(figure.lines.map((l) => [l.name, l.source]));
    expect(source).toMatchObject({ shoulderHeight: 'measured', elbowHeight: 'derived', kneeHeight: 'derived' });
  });
});

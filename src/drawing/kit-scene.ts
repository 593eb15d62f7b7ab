import type { AttachmentShape } from '@/core/kit/attachment';
import { handleParts } from './handle-parts';
import type { Bench } from '@/core/kit/bench';
import { holePositionM, type HoleRuler } from '@/core/kit/calibrate-ruler';
import { holeHeightM, pulleyAt, type Column } from '@/core/kit/column';
import type { TablePoint } from '@/core/kit/force-table';
import type { Machine, PreacherBench } from '@/core/kit/machine';
import { toRad } from '@/core/units/angle';
import { WORDS } from '@/messages/screens/drawing';

/** A point of a piece's own side view: metres right and up from its corner on the floor, or table units. */
type P = readonly [number, number];

/** What a kit drawing is made of. `own` is measured or entered, `derived` follows from it (drawn dashed). */
export type KitShape =
  | { readonly kind: 'line'; readonly from: P; readonly to: P; readonly look: 'own' | 'derived' | 'frame' }
  | { readonly kind: 'pad'; readonly from: P; readonly to: P; readonly thick: number }
  /** Steel, rope or strap as thick as it is. */
  | { readonly kind: 'rod'; readonly from: P; readonly to: P; readonly radiusM: number }
  | { readonly kind: 'dot'; readonly at: P; readonly own: boolean }
  | {
      readonly kind: 'label';
      readonly at: P;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly own: boolean;
    };

/** A drawing with the span it needs and the unit and step of the rulers beside it; null: no ruler on that edge. */
export interface KitScene {
  readonly shapes: readonly KitShape[];
  readonly width: number;
  readonly height: number;
  readonly across: RulerScale | null;
  readonly up: RulerScale | null;
}

/** `perUnit` ruler units to one drawing unit; a tick every `step` ruler units. */
export interface RulerScale {
  readonly unit: string;
  readonly perUnit: number;
  readonly step: number;
}

const CM: RulerScale = { unit: 'cm', perUnit: 100, step: 10 };
const line = (from: P, to: P, look: 'own' | 'derived' | 'frame' = 'frame'): KitShape => ({
  kind: 'line',
  from,
  to,
  look,
});
const pad = (from: P, to: P, thick = 0.06): KitShape => ({ kind: 'pad', from, to, thick });
const dot = (at: P, own = true): KitShape => ({ kind: 'dot', at, own });
const label = (at: P, text: string, anchor: 'start' | 'middle' | 'end' = 'start', own = true): KitShape => ({
  kind: 'label',
  at,
  text,
  anchor,
  own,
});
const ray = (from: P, deg: number, m: number): P => [
  from[0] + m * Math.cos(toRad(deg)),
  from[1] + m * Math.sin(toRad(deg)),
];
const cm = (m: number): string => (m * 100).toFixed(1);

/** Holes along a post at x, numbered left, positions right; thinned where they would touch. */
function post(x: number, r: HoleRuler, measured: ReadonlySet<number>): KitShape[] {
  const every = Math.max(1, Math.ceil(0.05 / r.pitchM));
  return Array.from({ length: r.holes }, (_, i) => i + 1).flatMap((hole): KitShape[] => {
    const y = holePositionM(r, hole);
    const own = measured.has(hole);
    const named = own || (hole - 1) % every === 0;
    return [
      dot([x, y], own),
      ...(named ? [label([x - 0.04, y], String(hole), 'end', true), label([x + 0.04, y], cm(y), 'start', own)] : []),
    ];
  });
}

export function columnScene(column: Column, measured: ReadonlySet<number>): KitScene {
  const holes = Array.from({ length: column.holes }, (_, i) => i + 1);
  const top = Math.max(...holes.map((h) => holeHeightM(column, h)));
  if (column.kind === 'arms') {
    const pivot: P = [0.25, column.pivotHeightM];
    const ends = holes.map((h) => {
      const [x, y] = pulleyAt({ ...column, swingDeg: 0 }, h, 'right');
      return { h, at: [0.25 + x, y] as P, own: measured.has(h) };
    });
    const shapes = ends.flatMap(({ h, at, own }) => [
      line(pivot, at, own ? 'own' : 'derived'),
      dot(at, own),
      label([at[0] + 0.04, at[1]], `${h}: ${cm(at[1])}`, 'start', own),
    ]);
    return {
      shapes: [line([0.25, 0], [0.25, column.pivotHeightM + 0.2]), ...shapes],
      width: 0.55 + column.armM + 0.25,
      height: Math.max(top, column.pivotHeightM + 0.2) + 0.1,
      across: CM,
      up: CM,
    };
  }
  const shapes: KitShape[] = [line([0.4, 0], [0.4, top + 0.08]), ...post(0.4, column, measured)];
  if (column.leftRuler)
    shapes.push(
      line([1.1, 0], [1.1, top + 0.08]),
      ...post(1.1, column.leftRuler, new Set()),
      label([0.4, top + 0.14], 'right', 'middle'),
      label([1.1, top + 0.14], 'left', 'middle'),
    );
  return { shapes, width: column.leftRuler ? 1.5 : 0.8, height: top + 0.22, across: null, up: CM };
}

export function attachmentScene(a: AttachmentShape): KitScene {
  const top = a.lengthM + 0.16;
  const mid = 0.6;
  // Narrow first; as wide as it is held, dashed, where that differs.
  const [narrow, wide] = a.handsM ?? [0, 0];
  const parts = (apartM: number, look: 'own' | 'derived'): KitShape[] =>
    handleParts(a.kind, a.lengthM, apartM).map(({ from, to, radiusM }) => {
      const [p, q]: [P, P] = [
        [mid + from[0], top - a.lengthM + from[1]],
        [mid + to[0], top - a.lengthM + to[1]],
      ];
      return look === 'own' ? { kind: 'rod', from: p, to: q, radiusM } : line(p, q, look);
    });
  const shapes: KitShape[] = [
    line([mid, top], [mid, top + 0.15], 'own'),
    dot([mid, top]),
    ...(wide > narrow ? parts(wide, 'derived') : []),
    ...parts(narrow, 'own'),
    label([mid + 0.1, top + 0.02], WORDS.cableEndToTheGrip(cm(a.lengthM))),
  ];
  if (a.handsM) shapes.push(label([mid, 0.01], WORDS.handsApart(cm(narrow), cm(wide)), 'middle'));
  return { shapes, width: 1.2, height: top + 0.2, across: CM, up: CM };
}

export function benchScene(
  b: Bench,
  measured: readonly boolean[],
  block: { readonly heightM: number; readonly declineDeg: number } | null,
): KitScene {
  const backM = Math.min(0.8, b.feetApartM * 0.7);
  const hinge: P = [backM + 0.15, b.seatHeightM];
  const shapes: KitShape[] = [
    pad(hinge, [hinge[0] + 0.35, b.seatHeightM]),
    line([hinge[0] + 0.25, 0], [hinge[0] + 0.25, b.seatHeightM]),
    line([hinge[0] + 0.25 - b.feetApartM, 0], [hinge[0] + 0.25 - b.feetApartM, b.seatHeightM * 0.8]),
    line([hinge[0] + 0.25 - b.feetApartM, b.seatHeightM * 0.5], [hinge[0] + 0.25, b.seatHeightM * 0.5]),
    ...b.backDeg.flatMap((deg, i): KitShape[] => {
      const end = ray(hinge, 180 - deg, backM);
      const own = measured[i] ?? true;
      return [
        line(hinge, end, own ? 'own' : 'derived'),
        label(ray(hinge, 180 - deg, backM + 0.07), `${i + 1}: ${Math.round(deg)}°`, deg > 60 ? 'middle' : 'end', own),
      ];
    }),
    label(
      [hinge[0] + 0.37, b.seatHeightM],
      `seat ${cm(b.seatHeightM)}${b.seatDeg.length > 0 ? `, ${b.seatDeg.map((d) => `${d}°`).join(' ')}` : ''}`,
    ),
  ];
  if (block)
    shapes.push(
      label(
        [hinge[0] + 0.25 - b.feetApartM + 0.05, 0.07],
        `block ${cm(block.heightM)}: ${block.declineDeg.toFixed(1)}° down`,
        'start',
        false,
      ),
    );
  const left = Math.max(0, -(hinge[0] + 0.25 - b.feetApartM)) + 0.25;
  return shifted(shapes, left, { width: hinge[0] + 0.9 + left, height: b.seatHeightM + backM + 0.2 });
}

/** A scene moved right by `by`, so that everything lies at positive x. */
const shifted = (
  shapes: readonly KitShape[],
  by: number,
  size: { readonly width: number; readonly height: number },
): KitScene => {
  const move = ([x, y]: P): P => [x + by, y];
  return {
    ...size,
    across: CM,
    up: CM,
    shapes: shapes.map((s) =>
      s.kind === 'line' || s.kind === 'pad' || s.kind === 'rod'
        ? { ...s, from: move(s.from), to: move(s.to) }
        : { ...s, at: move(s.at) },
    ),
  };
};

export function preacherScene(p: PreacherBench, measured: ReadonlySet<number>): KitScene {
  const edge: P = [0.75, p.padTopM];
  return {
    shapes: [
      line([0.4, 0], [0.4, holePositionM(p.seat, p.seat.numberedFrom === 'bottom' ? p.seat.holes : 1) + 0.05]),
      ...post(0.4, p.seat, measured),
      line([0.95, 0], [0.95, p.padTopM - 0.15]),
      pad(edge, ray(edge, -p.padDeg, p.padM)),
      label([edge[0] - 0.02, edge[1] + 0.07], WORDS.padEdgeDown(cm(p.padTopM), p.padDeg)),
    ],
    width: 1.75,
    height: Math.max(p.padTopM, 0.8) + 0.25,
    across: CM,
    up: CM,
  };
}

export function machineScene(
  m: Machine,
  seatMeasured: ReadonlySet<number>,
  backMeasured: ReadonlySet<number>,
): KitScene {
  const seatY = m.seat ? holePositionM(m.seat, m.seat.numberedFrom === 'bottom' ? 1 : m.seat.holes) : 0.5;
  const shapes: KitShape[] = [pad([0.55, seatY], [1, seatY]), ...(m.seat ? post(0.35, m.seat, seatMeasured) : [])];
  if (m.seat)
    shapes.push(
      label(
        [0.35, holePositionM(m.seat, m.seat.numberedFrom === 'bottom' ? m.seat.holes : 1) + 0.09],
        WORDS.seatHoleCm,
        'middle',
      ),
    );
  if (m.back) {
    const axis: P = [1.05, seatY + m.axisOverSeatM];
    shapes.push(dot(axis), label([axis[0] + 0.04, axis[1] + 0.05], 'axis'));
    if (m.path.kind === 'arc')
      shapes.push(
        line(axis, [axis[0], axis[1] - m.path.radiusM], 'own'),
        pad([axis[0] - 0.03, axis[1] - m.path.radiusM], [axis[0] + 0.03, axis[1] - m.path.radiusM], 0.05),
      );
    for (let hole = 1; hole <= m.back.holes; hole++) {
      const own = backMeasured.has(hole);
      const x = axis[0] - holePositionM(m.back, hole);
      shapes.push(
        line([x, seatY + 0.05], [x - 0.09, seatY + 0.55], own ? 'own' : 'derived'),
        ...(own || hole === 1 || hole === m.back.holes
          ? [label([x - 0.1, seatY + 0.6], String(hole), 'middle', own)]
          : []),
      );
    }
  }
  if (m.handleHeightM > 0)
    shapes.push(
      line([1.0, m.handleHeightM], [1.3, m.handleHeightM], 'own'),
      dot([1.3, m.handleHeightM]),
      label([1.34, m.handleHeightM], `handles ${cm(m.handleHeightM)}`),
    );
  if (m.path.kind === 'guide')
    shapes.push(
      line([1.1, 0.15], ray([1.1, 0.15], m.path.guideDeg, 0.5), 'own'),
      label(ray([1.1, 0.15], m.path.guideDeg, 0.54), `guide ${m.path.guideDeg}°`),
    );
  const left = Math.max(
    0,
    ...(m.back ? [-(1.05 - holePositionM(m.back, m.back.numberedFrom === 'bottom' ? m.back.holes : 1)) + 0.2] : [0]),
  );
  return shifted(shapes, left, { width: 1.9 + left, height: Math.max(1.3, m.handleHeightM + 0.2, seatY + 0.8) });
}

/** Loads along a ruler of their own unit: gaps and doubles are seen at a glance. */
export function loadsScene(loads: readonly number[], unit: string): KitScene {
  const most = Math.max(...loads, 1);
  const k = 2 / most;
  const shapes = [...loads]
    .sort((a, b) => a - b)
    .flatMap((g, i): KitShape[] => [
      line([g * k, 0], [g * k, 0.12 + 0.1 * (i % 3)], 'own'),
      label([g * k, 0.17 + 0.1 * (i % 3)], String(g), 'middle'),
    ]);
  const step = most > 60 ? 10 : most > 20 ? 5 : 1;
  return { shapes, width: 2.1, height: 0.6, across: { unit, perUnit: 1 / k, step }, up: null };
}

export const barScene = (lengthM: number): KitScene => ({
  shapes: [
    line([0, 0.1], [lengthM, 0.1], 'own'),
    pad([lengthM * 0.03, 0.1], [lengthM * 0.17, 0.1], 0.04),
    pad([lengthM * 0.83, 0.1], [lengthM * 0.97, 0.1], 0.04),
  ],
  width: lengthM,
  height: 0.3,
  across: CM,
  up: null,
});

export function landmineScene(pivotM: number, barM: number, platesAtM: number): KitScene {
  const pivot: P = [0.1, pivotM];
  return {
    shapes: [
      dot(pivot),
      ...[0, 30, 60].flatMap((deg): KitShape[] => {
        const end = ray(pivot, deg, barM);
        return [
          line(pivot, end, deg === 30 ? 'own' : 'derived'),
          label([end[0] + 0.03, end[1]], cm(end[1]), 'start', deg === 30),
        ];
      }),
      pad(ray(pivot, 30, platesAtM - 0.04), ray(pivot, 30, platesAtM + 0.04), 0.4),
    ],
    width: barM + 0.5,
    height: barM * 0.9 + pivotM + 0.1,
    across: CM,
    up: CM,
  };
}

/** Force over stretch, as measured. */
export function bandScene(table: readonly TablePoint[]): KitScene {
  const mostX = Math.max(...table.map((t) => t.x), 1);
  const mostY = Math.max(...table.map((t) => t.y), 1);
  const at = (t: TablePoint): P => [(t.x / mostX) * 1.6, t.y / mostY];
  const shapes = table.flatMap((t, i): KitShape[] => [
    ...(i > 0 ? [line(at(table[i - 1]!), at(t), 'own')] : []),
    dot(at(t)),
  ]);
  return {
    shapes,
    width: 1.75,
    height: 1.1,
    across: { unit: 'cm stretch', perUnit: mostX / 1.6, step: mostX > 100 ? 50 : 10 },
    up: { unit: 'kg', perUnit: mostY, step: mostY > 40 ? 10 : 5 },
  };
}

export const anchorScene = (heightM: number): KitScene => ({
  shapes: [
    line([0.4, 0], [0.4, heightM + 0.1]),
    dot([0.4, heightM]),
    line([0.4, heightM], [0.75, heightM - 0.35], 'own'),
    label([0.46, heightM], `anchor ${cm(heightM)}`),
  ],
  width: 1,
  height: heightM + 0.2,
  across: null,
  up: CM,
});

import { cautionsOf } from '@/core/book/entry-cautions';
import { elevationView, MARGIN } from '@/drawing/view';
import { buildMovementScene, extentOf, movementWindow } from '@/drawing/movement-scene';
import { anchorOf } from '@/core/book/entry-load';
import { entryBodyAt } from '@/core/book/pose-entry';
import { holeHeightM } from '@/core/kit/column';
import { kgToGrams } from '@/core/units/mass';
import { buildSetupFigure, buildSetupLines, windowFor } from '@/drawing/setup-scene';
import { restOn } from '@/drawing/rest-on';
import { BOOK_TEXT, movementName, postureText } from '@/messages/book';
import { CAUTION } from '@/messages/cautions';
import { holeText } from '@/messages/holes';
import { loadLabel, loadNumber } from '@/messages/loads';
import { GRIP_NAME } from '@/messages/movements';
import { regionText, settingText } from '@/messages/settings';
import type { CardContent } from '@/solver/card-content';

export interface CardPlate {
  readonly label: string;
  readonly value: string;
  readonly unit: string;
}

/** One line of a drawing, points from its upper left corner. */
export interface CardLine {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly kind: 'rule' | 'cable' | 'surface';
}

/** A station card: one page for a client and a movement. */
export interface CardModel {
  readonly client: string;
  readonly movement: string;
  readonly where: string;
  readonly plates: readonly CardPlate[];
  readonly notes: readonly string[];
  readonly cue: string;
  readonly cautions: readonly string[];
  readonly drawing: {
    readonly width: number;
    readonly height: number;
    readonly shapes: readonly (readonly string[])[];
    readonly lines: readonly CardLine[];
    readonly hole: { readonly x: number; readonly y: number; readonly text: string } | null;
  };
  /** Opens the set-up. */
  readonly url: string;
}

/** Box of the drawing on the page, points. */
const BOX = { width: 300, height: 320 } as const;
const LAST = 40;
/** Units that name what is counted: they belong to the label. */
const COUNTED = new Set(['hole', 'notch']);
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

function drawingOf({ question: q, described: d, placement }: CardContent): CardModel['drawing'] {
  const { entry } = q;
  const fit = (w: { minX: number; maxX: number; maxY: number }): number =>
    Math.min(
      (BOX.width - MARGIN.left - MARGIN.right) / (w.maxX - w.minX),
      (BOX.height - MARGIN.top - MARGIN.bottom) / w.maxY,
    );
  if (placement && d.problem) {
    const w = windowFor(d.problem, placement);
    const view = elevationView(w, fit(w));
    const scene = {
      ...buildSetupFigure(d.problem, placement, restOn(entry), view),
      ...buildSetupLines(d.problem, placement, view),
    };
    const { column } = d.problem.input;
    const foot = view.project([0, 0, 0]);
    const head = view.project([
      0,
      Math.max(...Array.from({ length: column.holes }, (_, i) => holeHeightM(column, i + 1))),
      0,
    ]);
    const carriage = view.project([0, holeHeightM(column, placement.hole), 0]);
    return {
      width: view.width,
      height: view.height,
      shapes: [...scene.idle, ...scene.body, ...scene.arms].map((s) => s.paths),
      lines: [
        {
          x1: view.project([w.minX, 0, 0]).u,
          y1: foot.v,
          x2: view.project([w.maxX, 0, 0]).u,
          y2: foot.v,
          kind: 'rule',
        },
        { x1: foot.u, y1: foot.v, x2: head.u, y2: head.v, kind: 'rule' },
        ...scene.surfaces.map((s) => ({
          x1: s.from.u,
          y1: s.from.v,
          x2: s.to.u,
          y2: s.to.v,
          kind: 'surface' as const,
        })),
        ...scene.cables.map((c) => ({ x1: c.from.u, y1: c.from.v, x2: c.to.u, y2: c.to.v, kind: 'cable' as const })),
      ],
      hole: { x: carriage.u, y: carriage.v, text: holeText(column, placement, q.input.side) },
    };
  }
  const { posed, side } = d;
  const { body, kit } = q.input;
  const both = entry.hands === 'two';
  const anchor = anchorOf(entry, posed, kit);
  const poses = [0, 20, LAST].map((i) => entryBodyAt(entry, body, posed, side, kit.surfaces, i));
  const w = movementWindow([...extentOf(poses, posed.path, both, null, null), ...(anchor ? [anchor] : [])], null);
  const view = elevationView(w, fit(w));
  const scene = buildMovementScene(
    {
      body,
      pose: poses[2]!,
      path: posed.path,
      side,
      both,
      placement: null,
      pulley: null,
      shared: false,
      rests: restOn(entry),
      armOn: entry.armOn !== null,
      anchor,
      i: LAST,
    },
    view,
  );
  const floor = view.project([w.minX, 0, 0]);
  return {
    width: view.width,
    height: view.height,
    shapes: [...scene.back, ...scene.front].map((s) => s.paths),
    lines: [
      { x1: floor.u, y1: floor.v, x2: view.project([w.maxX, 0, 0]).u, y2: floor.v, kind: 'rule' },
      ...[...scene.surfaces, ...(scene.armPad ? [scene.armPad] : []), ...(scene.held ? [scene.held] : [])].map((s) => ({
        x1: s.from.u,
        y1: s.from.v,
        x2: s.to.u,
        y2: s.to.v,
        kind: 'surface' as const,
      })),
    ],
    hole: null,
  };
}

/** Everything a station card says of a set-up; `url` opens it. */
export function buildCard(input: CardContent, url: string): CardModel {
  const { question: q, described: d, placement } = input;
  const { entry } = q;
  const column = d.problem?.input.column;
  const settings = d.settings.map(settingText).filter((s) => placement === null || s.kind !== 'stops');
  const load = loadLabel(entry, q.input.side);
  const text = BOOK_TEXT[q.own.id]!;
  return {
    client: input.client,
    movement: [
      movementName(q.own.id),
      ...(input.variant ? [input.variant.name] : []),
      ...(q.input.side === 'both' ? [] : [`${q.input.side} side`]),
    ].join(', '),
    where: capital(
      [input.station, input.handle, entry.grips[0] ? GRIP_NAME[entry.grips[0]] : null, postureText(entry.posture)]
        .filter(Boolean)
        .join(', '),
    ),
    plates: [
      ...(placement && column
        ? [
            { label: 'Hole', value: holeText(column, placement, q.input.side), unit: '' },
            {
              label: placement.standX < 0 ? 'Mark, behind' : 'Mark',
              value: String(Math.abs(Math.round(placement.standX * 100))),
              unit: 'cm',
            },
          ]
        : []),
      ...settings.map((s) =>
        COUNTED.has(s.unit)
          ? { label: `${s.label}, ${s.unit}`, value: s.figure, unit: '' }
          : { label: s.label, value: s.figure, unit: s.unit },
      ),
      ...(load ? [{ label: load, value: loadNumber(kgToGrams(q.input.loadKg), input.unit), unit: input.unit }] : []),
    ],
    notes: [text.how, regionText(d.region), ...settings.map((s) => `${s.label}: ${s.note}.`)],
    cue: input.variant?.cue || text.cue,
    cautions: cautionsOf(entry).map((c) => CAUTION[c].text),
    drawing: drawingOf(input),
    url,
  };
}

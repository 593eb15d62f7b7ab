import { LAST_SAMPLE, MIDDLE_SAMPLE } from '@/core/movement/chain-path';
import { cautionsOf } from '@/core/book/entry-cautions';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { searchOf, shownLimb, type PosedQuestion } from '@/core/book/posed-question';
import type { Placement } from '@/core/setup/setup-problem';
import type { Dot } from '@/drawing/capsule';
import { elevationView, MARGIN, type View } from '@/drawing/view';
import { buildMovementScene, extentOf, gearExtent, movementWindow } from '@/drawing/movement-scene';
import { holeHeightM } from '@/core/kit/column';
import { kgToGrams } from '@/core/units/mass';
import type { GearShape } from '@/drawing/gear';
import { buildSetupFigure, buildSetupLines, windowFor } from '@/drawing/setup-scene';
import { postureText, sideName } from '@/messages/book';
import { CAUTION } from '@/messages/cautions';
import { holeText } from '@/messages/holes';
import { loadLabel, loadNumber } from '@/messages/loads';
import { GRIP_NAME } from '@/messages/movements';
import { regionText, settingText, type SettingText } from '@/messages/settings';
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
  readonly kind: 'rule' | 'cable';
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
    /** What carries the body and what it holds, under and over its silhouettes. */
    readonly under: readonly GearShape[];
    readonly over: readonly GearShape[];
    readonly shapes: readonly (readonly string[])[];
    readonly lines: readonly CardLine[];
    readonly hole: { readonly x: number; readonly y: number; readonly text: string } | null;
  };
  /** Opens the set-up. */
  readonly url: string;
}

/** Box of the drawing on the page, points. */
const BOX = { width: 300, height: 320 } as const;
/** Units that name what is counted: they belong to the label. */
const COUNTED = new Set(['hole', 'notch']);
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const fitting = (w: { minX: number; maxX: number; maxY: number }): number =>
  Math.min(
    (BOX.width - MARGIN.left - MARGIN.right) / (w.maxX - w.minX),
    (BOX.height - MARGIN.top - MARGIN.bottom) / w.maxY,
  );

const toLine = (s: { readonly from: Dot; readonly to: Dot }, kind: CardLine['kind']): CardLine => ({
  x1: s.from.u,
  y1: s.from.v,
  x2: s.to.u,
  y2: s.to.v,
  kind,
});

const floorLine = (view: View, w: { readonly minX: number; readonly maxX: number }): CardLine =>
  toLine({ from: view.project([w.minX, 0, 0]), to: view.project([w.maxX, 0, 0]) }, 'rule');

/** A set-up at its column. */
function columnDrawing(posed: PosedQuestion, placement: Placement): CardModel['drawing'] {
  const search = searchOf(posed);
  const w = windowFor(search, placement);
  const view = elevationView(w, fitting(w));
  const figure = buildSetupFigure(posed, placement, placement, view);
  const { cables, held } = buildSetupLines(posed, placement, view);
  const { column } = search.input;
  const foot = view.project([0, 0, 0]);
  const highest = Math.max(...Array.from({ length: column.holes }, (_, i) => holeHeightM(column, i + 1)));
  const carriage = view.project([0, holeHeightM(column, placement.hole), 0]);
  return {
    width: view.width,
    height: view.height,
    under: [...figure.seats, ...figure.underArm],
    shapes: [...figure.idle, ...figure.body, ...figure.arms].map((s) => s.paths),
    over: held,
    lines: [
      floorLine(view, w),
      toLine({ from: foot, to: view.project([0, highest, 0]) }, 'rule'),
      ...cables.map((c) => toLine(c, 'cable')),
    ],
    hole: { x: carriage.u, y: carriage.v, text: holeText(column, placement, posed.question.side) },
  };
}

/** A movement without a column, at its finish. */
function movementDrawing(from: PosedQuestion): CardModel['drawing'] {
  const { posed } = shownLimb(from);
  const both = from.entry.hands === 'two';
  const { anchor } = posed;
  const poses = [0, MIDDLE_SAMPLE, LAST_SAMPLE].map((i) => posed.bodyAt(i));
  const w = movementWindow(
    [...extentOf(poses, posed.path, both, null, null), ...(anchor ? [anchor] : []), ...gearExtent(from, posed, null)],
    null,
  );
  const view = elevationView(w, fitting(w));
  const scene = buildMovementScene({ from, posed, placement: null, pulley: null, i: LAST_SAMPLE }, view);
  return {
    width: view.width,
    height: view.height,
    under: [...scene.seats, ...scene.heldBehind, ...scene.underArm],
    shapes: [...scene.back, ...scene.front].map((s) => s.paths),
    over: scene.held,
    lines: [floorLine(view, w)],
    hole: null,
  };
}

/** Hole and mark, settings by rule and fit, load. */
function platesOf({ posed, placement, unit }: CardContent, settings: readonly SettingText[]): CardPlate[] {
  const { column, side, loadKg } = posed.question;
  const load = loadLabel(posed.entry, side);
  const place =
    placement && column
      ? [
          { label: 'Hole', value: holeText(column.column, placement, side), unit: '' },
          {
            label: placement.standX < 0 ? 'Mark, behind' : 'Mark',
            value: String(Math.abs(Math.round(placement.standX * 100))),
            unit: 'cm',
          },
        ]
      : [];
  return [
    ...place,
    ...settings.map((s) =>
      COUNTED.has(s.unit)
        ? { label: `${s.label}, ${s.unit}`, value: s.figure, unit: '' }
        : { label: s.label, value: s.figure, unit: s.unit },
    ),
    ...(load ? [{ label: load, value: loadNumber(kgToGrams(loadKg), unit), unit }] : []),
  ];
}

/** Everything a station card says of a set-up; `url` opens it. */
export function buildCard(input: CardContent, url: string): CardModel {
  const { posed, placement, variant } = input;
  const { entry } = posed;
  const { own, side } = posed.question;
  const settings = settingsOf(posed)
    .map(settingText)
    .filter((s) => placement === null || s.kind !== 'stops');
  const where = [input.station, input.handle, entry.grips[0] && GRIP_NAME[entry.grips[0]], postureText(entry.posture)];
  const names = [own.text.name, variant?.name, side === 'both' ? null : sideName(side)];
  return {
    client: input.client,
    movement: names.filter(Boolean).join(', '),
    where: capital(where.filter(Boolean).join(', ')),
    plates: platesOf(input, settings),
    notes: [own.text.how, regionText(regionOf(posed)), ...settings.map((s) => `${s.label}: ${s.note}.`)],
    cue: variant?.cue || own.text.cue,
    cautions: cautionsOf(entry).map((c) => CAUTION[c].text),
    drawing: placement ? columnDrawing(posed, placement) : movementDrawing(posed),
    url,
  };
}

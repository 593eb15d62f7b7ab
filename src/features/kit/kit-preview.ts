import type { BodyInput } from '@/core/body/body-model';
import { buildBody } from '@/core/body/body-model';
import { fitAxis, fitHandles } from '@/core/fit/machine-fit';
import { fitPreacher, SNUG_M } from '@/core/fit/preacher-fit';
import { blockDeclineDeg, calibrateNotches, nearestNotch } from '@/core/kit/bench';
import { calibrateRuler, type HoleReading } from '@/core/kit/calibrate-ruler';
import { calibrateArms, type Column } from '@/core/kit/column';
import type { KitKind } from '@/core/kit/kit-kind';
import { KIT_SPEC, type KitSpec } from '@/contract/kit-spec';
import { toAttachmentShape, toBench, toMachine, toPreacher } from '@/contract/to-kit';
import * as draw from '@/drawing/kit-scene';
import type { SpecValues } from './kit-fields';
import { WORDS } from '@/messages/screens/kit';

export interface KitPreview {
  /** The fit of what was measured, live, in a sentence; null for kinds without one. */
  readonly fit: string | null;
  /** Null until there is enough to draw. */
  readonly scene: draw.KitScene | null;
}

const whole = (rows: unknown): HoleReading[] =>
  (Array.isArray(rows) ? rows : []).flatMap((r: { hole?: unknown; heightCm?: unknown }) =>
    typeof r.hole === 'number' && typeof r.heightCm === 'number' ? [{ hole: r.hole, heightM: r.heightCm / 100 }] : [],
  );

function fitText(
  first: number,
  pitch: number,
  unit: string,
  exact: boolean,
  worst: number,
  worstUnit: string,
  from = 'Hole 1 at',
  each: string = WORDS.fromHoleToHole,
): string {
  const spread = `${from} ${first.toFixed(1)} ${unit}, ${pitch.toFixed(2)} ${unit} ${each}.`;
  return exact
    ? WORDS.twoReadingsFitExactlyMeasure(spread)
    : WORDS.furthestReadingOffTheFit(spread, worst.toFixed(1), worstUnit);
}

const NOT_YET = WORDS.theseReadingsMakeNoFit;
const TWO = WORDS.twoMeasuredHolesGiveThe;

/** Live fit of the holes typed so far. */
function rulerFit(
  rows: unknown,
  holes: unknown,
  from: unknown,
): { readonly text: string; readonly fit: Extract<ReturnType<typeof calibrateRuler>, { ok: true }> | null } {
  const readings = whole(rows);
  if (readings.length < 2 || typeof holes !== 'number') return { text: TWO, fit: null };
  const fit = calibrateRuler(readings, holes, from === 'top' ? 'top' : 'bottom');
  return fit.ok
    ? { text: fitText(fit.firstHoleM * 100, fit.pitchM * 100, 'cm', fit.exact, fit.worstResidualM * 100, 'cm'), fit }
    : { text: NOT_YET, fit: null };
}

function columnPreview(s: SpecValues): KitPreview {
  const readings = whole(s.readings);
  const measured = new Set(readings.map((r) => r.hole));
  const holes = typeof s.holes === 'number' ? s.holes : 0;
  const numberedFrom = s.numberedFrom === 'top' ? 'top' : 'bottom';
  const base = {
    holes,
    numberedFrom,
    twinSpacingM: 1,
    pulleyRatio: 1,
    clearanceM: 0.05,
    travelM: 3,
    floorPlateM: 0,
  } as const;
  if (s.columnKind === 'arms') {
    if (typeof s.pivotHeightCm !== 'number' || typeof s.armCm !== 'number' || readings.length < 2 || holes < 2)
      return { fit: WORDS.thePivotsHeightTheArms, scene: null };
    const fit = calibrateArms(readings, s.pivotHeightCm / 100, s.armCm / 100, numberedFrom);
    if (!fit) return { fit: NOT_YET, scene: null };
    const column: Column = {
      ...base,
      kind: 'arms',
      pivotHeightM: s.pivotHeightCm / 100,
      armM: s.armCm / 100,
      firstDeg: fit.firstDeg,
      pitchDeg: fit.pitchDeg,
      swingDeg: 0,
    };
    return {
      fit: fitText(
        fit.firstDeg,
        fit.pitchDeg,
        '°',
        fit.exact,
        fit.worstResidualM * 100,
        'cm',
        'Notch 1 at',
        WORDS.fromNotchToNotch,
      ),
      scene: draw.columnScene(column, measured),
    };
  }
  const { text, fit } = rulerFit(s.readings, s.holes, s.numberedFrom);
  if (!fit || holes < 2) return { fit: text, scene: null };
  const left =
    s.columnKind === 'twin' && s.leftNumbering === 'own'
      ? rulerFit(s.leftReadings, s.leftHoles, s.leftNumberedFrom)
      : null;
  const leftRuler = left?.fit
    ? {
        firstHoleM: left.fit.firstHoleM,
        pitchM: left.fit.pitchM,
        holes: s.leftHoles as number,
        numberedFrom: s.leftNumberedFrom === 'top' ? ('top' as const) : ('bottom' as const),
      }
    : null;
  const column: Column = { ...base, kind: 'twin', firstHoleM: fit.firstHoleM, pitchM: fit.pitchM, leftRuler };
  return { fit: left ? `Right: ${text} Left: ${left.text}` : text, scene: draw.columnScene(column, measured) };
}

function notchFit(s: SpecValues): string {
  const rows = (Array.isArray(s.notchReadings) ? s.notchReadings : []).filter(
    (r: { notch?: unknown; deg?: unknown }) => typeof r.notch === 'number' && typeof r.deg === 'number',
  ) as { notch: number; deg: number }[];
  if (typeof s.notches !== 'number' || rows.length < 2) return WORDS.twoMeasuredNotchesGiveThe;
  const fit = calibrateNotches(rows, s.notches);
  if (!fit) return NOT_YET;
  const list = fit.anglesDeg.map((d, i) => `${i + 1}: ${Math.round(d)}°`).join(', ');
  if (rows.length >= s.notches) return WORDS.allNotchesMeasured(list);
  return fit.worstResidualDeg > 3
    ? WORDS.theNotchesAreUnevenOff(list, fit.worstResidualDeg.toFixed(1))
    : WORDS.furthestReadingOffAnEven(list, fit.worstResidualDeg.toFixed(1));
}

/** Fit and drawing of a piece as typed so far. */
export function previewKit(kind: KitKind, spec: SpecValues): KitPreview {
  if (kind === 'column') return columnPreview(spec);
  const parsed = KIT_SPEC[kind].safeParse(spec);
  const s = parsed.success ? parsed.data : null;
  const measured = (rows: unknown): ReadonlySet<number> => new Set(whole(rows).map((r) => r.hole));
  const of = <K extends KitKind>(f: (spec: KitSpec<K>) => draw.KitScene): draw.KitScene | null =>
    s ? f(s as KitSpec<K>) : null;
  switch (kind) {
    case 'attachment':
      return { fit: null, scene: of<'attachment'>((a) => draw.attachmentScene(toAttachmentShape(a))) };
    case 'bench':
      return {
        fit: notchFit(spec),
        scene: of<'bench'>((b) => {
          const bench = toBench(b);
          const block = bench.blockHeightsM[0];
          const own = new Set(b.notchReadings.map((r) => r.notch));
          return draw.benchScene(
            bench,
            bench.backDeg.map((_, i) => own.has(i + 1)),
            block === undefined ? null : { heightM: block, declineDeg: blockDeclineDeg(block, bench.feetApartM) ?? 0 },
          );
        }),
      };
    case 'preacher':
      return {
        fit: rulerFit(spec.readings, spec.holes, spec.numberedFrom).text,
        scene: of<'preacher'>((p) => draw.preacherScene(toPreacher(p), measured(p.readings))),
      };
    case 'machine': {
      const parts = [
        ['Seat', rulerFit(spec.seatReadings, spec.seatHoles, spec.seatNumberedFrom)],
        [WORDS.backPad, rulerFit(spec.backReadings, spec.backHoles, spec.backNumberedFrom)],
      ] as const;
      const fits = parts.filter(([, p]) => p.fit).map(([name, p]) => `${name}: ${p.text}`);
      return {
        fit: fits.length > 0 ? fits.join(' ') : null,
        scene: of<'machine'>((m) =>
          draw.machineScene(toMachine(m), measured(m.seatReadings), measured(m.backReadings)),
        ),
      };
    }
    case 'dumbbells':
      return { fit: null, scene: of<'dumbbells'>((d) => draw.loadsScene(d.loads, d.unit)) };
    case 'plates':
      return { fit: null, scene: of<'plates'>((d) => draw.loadsScene(d.loads, d.unit)) };
    case 'bar':
      return { fit: null, scene: of<'bar'>((b) => draw.barScene(b.lengthCm / 100)) };
    case 'landmine':
      return {
        fit: null,
        scene: of<'landmine'>((l) => draw.landmineScene(l.pivotHeightCm / 100, l.barCm / 100, l.platesAtCm / 100)),
      };
    case 'band':
      return { fit: null, scene: of<'band'>((b) => draw.bandScene(b.table.map((t) => ({ x: t.stretchCm, y: t.kg })))) };
    case 'strap-anchor':
      return { fit: null, scene: of<'strap-anchor'>((a) => draw.anchorScene(a.heightCm / 100)) };
  }
}

/** Where a client goes on this piece: the setting, and how well it fits. */
export interface ClientFit {
  readonly name: string;
  readonly setting: string;
  readonly says: string;
  readonly estimated: boolean;
}

const cm = (m: number): string => `${Math.abs(m * 100).toFixed(1)} cm`;

/** Settings of a piece for each client, where the piece has any that depend on the body. */
export function fitClients(
  kind: KitKind,
  spec: SpecValues,
  clients: readonly (BodyInput & { readonly name: string })[],
): ClientFit[] {
  const parsed = KIT_SPEC[kind].safeParse(spec);
  if (!parsed.success) return [];
  return clients.flatMap((c): ClientFit[] => {
    const body = buildBody(c);
    if (kind === 'preacher') {
      const best = fitPreacher(body, toPreacher(parsed.data as KitSpec<'preacher'>))[0]!;
      const says =
        Math.abs(best.gapM) <= SNUG_M
          ? WORDS.armpitOnThePadsEdge
          : best.gapM > 0
            ? WORDS.stillTooLowAGap(cm(best.gapM))
            : WORDS.aboveTheEdge(cm(best.gapM));
      return [{ name: c.name, setting: WORDS.seatNumber(best.hole), says, estimated: best.estimated }];
    }
    if (kind !== 'machine') return [];
    const m = toMachine(parsed.data as KitSpec<'machine'>);
    const axis = m.kind === 'leg-extension' || m.kind === 'leg-curl' ? fitAxis(body, m)?.[0] : undefined;
    const handles = fitHandles(body, m)?.[0];
    if (axis)
      return [
        {
          name: c.name,
          setting: WORDS.backPadNumber(axis.hole),
          says: WORDS.kneeOffTheAxis(
            cm(axis.offM),
            Math.abs(axis.aheadM) > 0.005
              ? WORDS.offIt(cm(axis.aheadM), axis.aheadM > 0 ? WORDS.beyond : WORDS.shortOf)
              : '',
          ),
          estimated: axis.estimated,
        },
      ];
    if (handles)
      return [
        {
          name: c.name,
          setting: WORDS.seatNumber(handles.hole),
          says: WORDS.handlesTheirMark(cm(handles.gapM), handles.gapM > 0 ? WORDS.above : WORDS.below),
          estimated: handles.estimated,
        },
      ];
    return [];
  });
}

/** Bench angles that movements ask for, and the notch nearest to each (common practice). */
const WANTED_ANGLES = [
  { name: 'flat', deg: 0 },
  { name: 'slight incline, upper chest', deg: 20 },
  { name: 'side-lying pulldown', deg: 45 },
  { name: 'incline curl', deg: 60 },
  { name: 'upright', deg: 85 },
] as const;

export function notchesFor(
  spec: SpecValues,
): { readonly name: string; readonly notch: number; readonly offDeg: number }[] {
  const parsed = KIT_SPEC.bench.safeParse(spec);
  if (!parsed.success) return [];
  const bench = toBench(parsed.data);
  return WANTED_ANGLES.map((w) => ({ name: `${w.name}, ${w.deg}°`, ...nearestNotch(bench.backDeg, w.deg) }));
}

import { SIDES, type Side } from '@/core/body/side';
import type { BookEntry } from '@/core/book/book-entry';
import type { PosedQuestion } from '@/core/book/posed-question';
import { add, between, cross, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { USUAL_ATTACHMENT } from '@/core/kit/attachment';
import { barHalfHeightM, plateRadiusM } from '@/core/kit/plates';
import { gear, type Gear } from './gear';
import { handleParts } from './handle-parts';
import type { Hand } from './hands';
import { disc, rod, slab, wayTo } from './solid';

/** Steel, kilograms a cubic metre; what weighs so much is drawn so big. */
const STEEL = 7850;
/** A dumbbell's handle between its bells, and how long a bell is for its radius (common practice). */
const HANDLE_M = 0.125;
const BELL_LONG = 1.2;
/** Bars (common practice). */
export const BAR_M = 2.2;
const SLEEVE_M = 0.42;
const BAR_RADIUS_M = 0.014;
const UP: Vec3 = [0, 1, 0];
const RIGHT: Vec3 = [0, 0, 1];

/** What the hands hold, and where it is fixed; floor frame. */
export interface Grasp {
  readonly posed: Pick<PosedQuestion, 'entry' | 'question'>;
  /** Working hands, thumb directions on the floor. */
  readonly hands: readonly Hand[];
  /** Where a bar or strap in the hand ends. */
  readonly anchorOf: (side: Side) => Vec3 | null;
  /** Where a hand's cable comes from. */
  readonly pulleyOf: (side: Side) => Vec3 | null;
  /** Joint that a machine's axis is set to. */
  readonly axisOf: (side: Side) => Vec3;
  /** A foot's heel and toe, for what the legs press. */
  readonly soleOf: (side: Side) => readonly [Vec3, Vec3];
}

/** What was held, apart by the side that holds it; null: both. */
export type HeldBySide = readonly { readonly side: Side | null; readonly gear: readonly Gear[] }[];

const betweenOf = (hands: readonly Hand[]): Vec3 => between(hands[0]!.at, hands.at(-1)!.at, 0.5);
const acrossOf = (hands: readonly Hand[]): Vec3 =>
  hands.length > 1 ? (wayTo(hands[0]!.at, hands[1]!.at) ?? RIGHT) : hands[0]!.thumb;

/** A dumbbell about a point, its handle along a direction. */
function dumbbell(at: Vec3, axis: Vec3, kg: number): Gear[] {
  // Two bells, each a cylinder whose length goes with its radius: m / 2 = STEEL pi r^2 (BELL_LONG r).
  const r = Math.cbrt(Math.max(1, kg) / 2 / (STEEL * Math.PI * BELL_LONG));
  const out = HANDLE_M / 2 + (BELL_LONG * r) / 2;
  return [
    ...gear('steel', rod(add(at, scale(axis, -out)), add(at, scale(axis, out)), BAR_RADIUS_M)),
    ...gear('weight', ...[-1, 1].map((s) => disc(add(at, scale(axis, s * out)), axis, r, (BELL_LONG * r) / 2))),
  ];
}

/** A bar through the hands with what is on its ends. */
function barbell(at: Vec3, axis: Vec3, kg: number): Gear[] {
  const end = (m: number): Vec3 => add(at, scale(axis, m));
  const inner = BAR_M / 2 - SLEEVE_M;
  const r = barHalfHeightM(kg);
  return [
    ...gear('steel', rod(end(-BAR_M / 2), end(BAR_M / 2), BAR_RADIUS_M)),
    ...gear('weight', ...[-1, 1].map((s) => disc(end(s * (inner + 0.04)), axis, r, 0.035))),
  ];
}

function handle(g: Grasp, hands: readonly Hand[]): Gear[] {
  const { entry, question } = g.posed;
  if (entry.load.kind !== 'cable') return [];
  const kind = question.column?.attachment ?? entry.load.attachments[0]!;
  const lengthM = question.column?.attachmentM ?? USUAL_ATTACHMENT[kind].lengthM;
  const at = betweenOf(hands);
  const pulley = g.pulleyOf(hands.at(-1)!.side);
  const toward = pulley && wayTo(at, pulley);
  if (!toward) return [];
  const apartM = hands.length > 1 ? length(subtract(hands[1]!.at, hands[0]!.at)) : 0;
  const across = acrossOf(hands);
  const place = ([a, t]: readonly [number, number]): Vec3 => add(at, add(scale(across, a), scale(toward, t)));
  return handleParts(kind, lengthM, apartM).flatMap((p) => gear(p.look, rod(place(p.from), place(p.to), p.radiusM)));
}

/** Bar, sleeve and plates of a landmine, from its pivot past the hand. */
function landmine(pivot: Vec3, at: Vec3, g: Grasp): Gear[] {
  const { barM, platesAtM } = g.posed.question.kit.landmine;
  const way = normalise(subtract(at, pivot));
  const r = plateRadiusM(g.posed.question.loadKg);
  return [
    ...gear('steel', rod(pivot, add(pivot, scale(way, barM)), BAR_RADIUS_M + 0.004), rod(pivot, pivot, 0.04)),
    ...gear('weight', disc(add(pivot, scale(way, platesAtM)), way, r, 0.04)),
  ];
}

/** A handle of its own in each hand, along the thumb. */
const grip = ({ at, thumb }: Hand): Gear[] =>
  gear('steel', rod(add(at, scale(thumb, -0.06)), add(at, scale(thumb, 0.06)), BAR_RADIUS_M));

/** A machine's arm from its axis to the roller or handle, or the plate that the feet press. */
function machineArm(e: BookEntry, hand: Hand, g: Grasp): Gear[] {
  if (e.load.kind !== 'machine') return [];
  const { machine } = e.load;
  if (machine === 'leg-press') {
    const [heel, toe] = g.soleOf(hand.side);
    const way = normalise(subtract(toe, heel));
    // Away from the shank, square to the sole.
    const out = normalise(cross(way, RIGHT));
    const away = out[0] >= 0 ? out : scale(out, -1);
    return gear('pad', slab(add(heel, scale(way, -0.1)), add(toe, scale(way, 0.12)), away, 0.04, 0.2));
  }
  const axis = g.axisOf(hand.side);
  if (machine === 'leg-extension' || machine === 'leg-curl')
    return [
      ...gear('steel', rod(axis, hand.at, 0.018), rod(axis, axis, 0.028)),
      ...gear('pad', disc(hand.at, RIGHT, 0.055, 0.16)),
    ];
  // Presses run on a guide; arms that swing do so about the joint that works.
  const swings = machine !== 'chest-press' && machine !== 'shoulder-press';
  return [...(swings ? gear('strap', rod(axis, hand.at, 0.012), rod(axis, axis, 0.022)) : []), ...grip(hand)];
}

function bothHold(e: BookEntry, g: Grasp): Gear[] | null {
  const { load, hold } = e;
  const at = betweenOf(g.hands);
  const { loadKg } = g.posed.question;
  if (load.kind === 'cable') return load.shared ? handle(g, g.hands) : null;
  if (load.kind === 'landmine' && load.at === 'between') {
    const pivot = g.anchorOf('right');
    return pivot && landmine(pivot, at, g);
  }
  if (load.kind === 'body' && load.on === 'bar') {
    const way = scale(acrossOf(g.hands), 0.75);
    return gear('steel', rod(subtract(at, way), add(at, way), 0.016));
  }
  if (load.kind !== 'weight') return null;
  if (load.kit === 'bar') return load.share < 1 ? barbell(at, acrossOf(g.hands), loadKg) : null;
  if (load.kit === 'plates') return gear('weight', disc(at, acrossOf(g.hands), plateRadiusM(loadKg), 0.02));
  // One dumbbell in both hands hangs or stands from its upper bell.
  return hold && load.share < 1 ? dumbbell(add(at, scale(UP, -HANDLE_M / 2)), UP, loadKg) : null;
}

function oneHolds(e: BookEntry, hand: Hand, g: Grasp): Gear[] {
  const { load } = e;
  const { loadKg } = g.posed.question;
  const anchor = g.anchorOf(hand.side);
  switch (load.kind) {
    case 'cable':
      return handle(g, [hand]);
    case 'weight': {
      if (load.kit !== 'dumbbells') return load.kit === 'bar' ? barbell(hand.at, hand.thumb, loadKg) : [];
      const toEnd = e.handlePlace === 'thumb-side' ? -0.02 : e.handlePlace === 'little-finger-side' ? 0.02 : 0;
      return dumbbell(add(hand.at, scale(hand.thumb, toEnd)), hand.thumb, loadKg);
    }
    case 'landmine':
      return anchor ? landmine(anchor, hand.at, g) : [];
    case 'band':
    case 'body':
      return anchor ? [...gear('strap', rod(anchor, hand.at, 0.01)), ...grip(hand)] : [];
    case 'machine':
      return machineArm(e, hand, g);
    case 'none':
      return [];
  }
}

/** Everything that is held: handles, ropes and bars, dumbbells and plates, straps, and a machine's arm. */
export function heldThings(g: Grasp): HeldBySide {
  const { entry } = g.posed;
  if (g.hands.length > 1 || entry.hands === 'one') {
    const both = g.hands.length > 1 ? bothHold(entry, g) : null;
    if (both) return [{ side: null, gear: both }];
  }
  return SIDES.flatMap((side) =>
    g.hands.filter((h) => h.side === side).map((hand) => ({ side, gear: oneHolds(entry, hand, g) })),
  );
}

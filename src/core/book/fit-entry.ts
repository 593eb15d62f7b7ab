import type { Side } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { knucklesOverKneesM, SOFT_KNEES_DEG } from '@/core/fit/hinge-fit';
import { fitAxis, fitHandles } from '@/core/fit/machine-fit';
import { fitPreacher, type SeatFit } from '@/core/fit/preacher-fit';
import { blockDeclineDeg, nearestNotch } from '@/core/kit/bench';
import { toRad } from '@/core/units/angle';
import { lowerArm } from './bend-arm';
import { poseBody } from '@/core/body/pose-body';
import type { BookEntry, GripRule, RuledSetting } from './book-entry';
import { entryLoads } from './entry-load';
import type { FootPlace } from './foot-place';
import { pinHeightM } from './pins';
import { toPosture } from './posture-rule';
import { strapsOf } from './straps';
import { jointStops, type JointStops } from './joint-stops';
import type { PosedEntry } from './pose-entry';
import type { StationKit } from './station-kit';

/** A setting that follows a rule or a fit, with what it was asked for; metres, degrees, hole and notch numbers. */
export type FitSetting =
  /**
   * Angles above level (below for a block). `notch` is null where the bench is not measured, `blockM` where no block
   * comes near.
   */
  | {
      readonly kind: 'notch';
      readonly notch: number | null;
      readonly deg: number;
      readonly wantDeg: number;
      readonly ruleDeg: number | null;
    }
  | {
      readonly kind: 'block';
      readonly blockM: number;
      readonly deg: number;
      readonly wantDeg: number;
      readonly measured: boolean;
    }
  /**
   * `fits`: the hole that fits best, of `holes`. `gapM`: how far the seat leaves armpit, nipples or shoulders below
   * what they should be level with.
   */
  | {
      readonly kind: 'seat-hole';
      readonly hole: number;
      readonly fits: number;
      readonly holes: number;
      readonly gapM: number;
      readonly estimated: boolean;
      readonly on: 'preacher' | 'handles';
    }
  | {
      readonly kind: 'back-hole';
      readonly hole: number;
      readonly fits: number;
      readonly holes: number;
      readonly aheadM: number;
      readonly estimated: boolean;
    }
  /** A pad over the thighs, from the seat. */
  | { readonly kind: 'knee-pad'; readonly overSeatM: number; readonly estimated: boolean }
  | { readonly kind: 'hinge'; readonly trunkDeg: number; readonly overKneesM: number; readonly estimated: boolean }
  /** Floor mark of the client: along the bar's line from the pivot, and beside it. */
  | { readonly kind: 'landmine-mark'; readonly alongM: number; readonly besideM: number }
  /** Hands on a bar: hand to hand, by what rule, and whether somebody chose otherwise. */
  | { readonly kind: 'hands'; readonly apartM: number; readonly rule: GripRule; readonly chosen: boolean }
  /** Pins that a bar starts from, above the floor. */
  | { readonly kind: 'pins'; readonly heightM: number; readonly chosen: boolean; readonly estimated: boolean }
  | { readonly kind: 'feet'; readonly place: FootPlace }
  /** The body leant for its load, degrees, which way it leans, and whether somebody chose so. */
  | {
      readonly kind: 'lean';
      readonly leanDeg: number;
      readonly towards: LeanTowards;
      readonly hips: boolean;
      readonly chosen: boolean;
    }
  /** Feet set further apart for the load: ankle to ankle, one ahead of the other or side by side. */
  | { readonly kind: 'step'; readonly apartM: number; readonly ahead: boolean }
  /** Lean back on straps at the start, the heels from under the anchor, and what the straps carry then, newtons. */
  | {
      readonly kind: 'straps';
      readonly leanDeg: number;
      readonly footMarkM: number;
      readonly carryN: number;
    }
  /** Range stops at the target joint, degrees, and what set each. */
  | (JointStops & { readonly kind: 'stops'; readonly startBy: StopReason; readonly finishBy: StopReason });
/** Every kind of setting by rule or fit, biggest first. */
export const FIT_KINDS = [
  'notch',
  'block',
  'seat-hole',
  'back-hole',
  'knee-pad',
  'hinge',
  'landmine-mark',
  'hands',
  'pins',
  'feet',
  'straps',
  'lean',
  'step',
  'stops',
] as const satisfies readonly FitSetting['kind'][];

/** Which way a body leans, in its own words. */
export type LeanTowards = 'ahead' | 'back' | 'left' | 'right';

/** What ends a range: the movement, the client’s joint, the load or a touch. */
export type StopReason = 'own' | 'joint' | 'load' | 'touch';

const FEET_APART_M = 1.1;
/**
 * Top of the thigh near the knee above the seat, share of stature: half a thigh under the joint and half over it (our
 * judgement).
 */
const THIGH_OVER_SEAT = 0.07;
/** Slope that the preacher movements of the book are written for, degrees. */
const BOOK_PAD_DEG = 50;

const ruleOf = (e: BookEntry, setting: RuledSetting['setting']): RuledSetting | undefined =>
  e.ruled.find((r) => r.setting === setting);

function blockFor(
  kit: StationKit,
  wantDeg: number,
): { readonly blockM: number; readonly deg: number; readonly measured: boolean } {
  const feet = kit.bench?.feetApartM ?? FEET_APART_M;
  const own = (kit.bench?.blockHeightsM ?? []).map((blockM) => ({
    blockM,
    deg: blockDeclineDeg(blockM, feet) ?? 90,
    measured: true,
  }));
  const best = own.reduce<(typeof own)[number] | null>(
    (b, x) => (b === null || Math.abs(x.deg - wantDeg) < Math.abs(b.deg - wantDeg) ? x : b),
    null,
  );
  return best ?? { blockM: feet * Math.sin(toRad(wantDeg)), deg: wantDeg, measured: false };
}

/** The movement on this gym's steel: the notch, block and pad that exist instead of those the book wishes for. */
export function withKit(e: BookEntry, kit: StationKit): BookEntry {
  const notch = ruleOf(e, 'notch');
  const block = ruleOf(e, 'block');
  let own = e;
  if (notch?.wantDeg != null && kit.bench && kit.bench.backDeg.length > 0) {
    const { offDeg } = nearestNotch(kit.bench.backDeg, notch.wantDeg);
    if (own.posture.kind === 'lying' || own.posture.kind === 'seated')
      own = { ...own, posture: { ...own.posture, backDeg: notch.wantDeg + offDeg } };
    // The arm lies on the back pad: a steeper pad hangs it steeper.
    else if (own.armOn === 'bench') own = lowerArm(own, () => offDeg);
  }
  if (own.posture.kind === 'lying' && block?.wantDeg != null)
    own = { ...own, posture: { ...own.posture, backDeg: -blockFor(kit, block.wantDeg).deg } };
  if (own.armOn === 'preacher' && kit.preacher) {
    const steeper = kit.preacher.padDeg - BOOK_PAD_DEG;
    own = lowerArm(own, () => steeper);
  }
  return own;
}

/** The hole as it stands, else the one that fits best. */
const standing = <F extends { readonly hole: number }>(fits: readonly F[], rule: RuledSetting | undefined): F =>
  fits.find((f) => f.hole === rule?.atHole) ?? fits[0]!;

/** The bench's notch by rule, as near as its notches come. */
function notchSetting(e: BookEntry, kit: StationKit): FitSetting[] {
  const rule = ruleOf(e, 'notch');
  if (rule?.wantDeg == null) return [];
  const { wantDeg } = rule;
  const at = kit.bench && kit.bench.backDeg.length > 0 ? nearestNotch(kit.bench.backDeg, wantDeg) : null;
  const ruleDeg = rule.ruleDeg ?? null;
  return [{ kind: 'notch', notch: at?.notch ?? null, deg: at ? wantDeg + at.offDeg : wantDeg, wantDeg, ruleDeg }];
}

/** The seat of a preacher bench or a machine, and the back pad of a machine, by fit. */
function seatSettings(e: BookEntry, body: Body, kit: StationKit): FitSetting[] {
  const [seat, back] = [ruleOf(e, 'seatHole'), ruleOf(e, 'backHole')];
  const machine = e.load.kind === 'machine' ? (kit.machines[e.load.machine] ?? null) : null;
  const seats = (fits: readonly SeatFit[] | null, on: 'preacher' | 'handles'): FitSetting[] => {
    if (!fits) return [];
    const { hole, gapM, estimated } = standing(fits, seat);
    return [{ kind: 'seat-hole', hole, fits: fits[0]!.hole, holes: fits.length, gapM, estimated, on }];
  };
  const axes = machine && back ? fitAxis(body, machine) : null;
  const axis = axes && standing(axes, back);
  return [
    ...seats(e.armOn === 'preacher' && kit.preacher && seat ? fitPreacher(body, kit.preacher) : null, 'preacher'),
    ...seats(machine && seat ? fitHandles(body, machine) : null, 'handles'),
    ...(axes && axis
      ? [
          {
            kind: 'back-hole' as const,
            hole: axis.hole,
            fits: axes[0]!.hole,
            holes: axes.length,
            aheadM: axis.aheadM,
            estimated: axis.estimated,
          },
        ]
      : []),
  ];
}

/** Where the client stands to a landmine: along the bar's line from its pivot, and beside it. */
function landmineSetting({ load }: BookEntry, posed: PosedEntry): FitSetting[] {
  if (load.kind !== 'landmine' || !posed.anchor) return [];
  const [x, , z] = posed.anchor;
  const [alongM, besideM] = load.at === 'square' ? [Math.abs(z), Math.abs(x)] : [-x, Math.abs(z)];
  return [{ kind: 'landmine-mark', alongM, besideM }];
}

/** What decides where hands and feet are: a grip's width, a rack's pins, a plate's place, the lean on straps. */
function handSettings(e: BookEntry, body: Body, posed: PosedEntry, kit: StationKit): FitSetting[] {
  const { hold, load } = e;
  const found: FitSetting[] = [];
  if (hold?.rule !== undefined && typeof hold.start === 'number')
    found.push({ kind: 'hands', apartM: hold.start, rule: hold.rule, chosen: hold.chosen ?? false });
  const heightM = pinHeightM(e, body);
  if (heightM !== null) {
    const chosen = ruleOf(e, 'pinM')?.pinM !== undefined;
    found.push({ kind: 'pins', heightM, chosen, estimated: !chosen && body.height.kneeHeight.source !== 'measured' });
  }
  if (load.kind === 'machine' && load.machine === 'leg-press')
    found.push({ kind: 'feet', place: load.feet ?? 'middle' });
  if (load.kind === 'body' && load.on === 'straps') {
    const { footMarkM } = strapsOf(
      body,
      poseBody(body, toPosture(e.posture, posed.path.side, kit, body)),
      load.leanDeg,
      kit.straps,
    );
    const [on] = entryLoads(e, posed, body, 0, kit);
    const [x, y, z] = on?.kind === 'samples' ? on.forceN : [0, 0, 0];
    found.push({ kind: 'straps', leanDeg: load.leanDeg, footMarkM, carryN: 2 * Math.hypot(x!, y!, z!) });
  }
  return found;
}

/** Everything about a movement that is set by rule or fit, biggest first; places at a column are solved elsewhere. */
export function fitSettings(
  e: BookEntry,
  body: Body,
  kit: StationKit,
  posed: PosedEntry,
  side: Side,
  { startBy, finishBy }: { readonly startBy: StopReason; readonly finishBy: StopReason },
): FitSetting[] {
  const found: FitSetting[] = notchSetting(e, kit);
  const block = ruleOf(e, 'block')?.wantDeg;
  if (block != null) found.push({ kind: 'block', wantDeg: block, ...blockFor(kit, block) });
  found.push(...seatSettings(e, body, kit));
  if (e.legs === 'locked')
    found.push({ kind: 'knee-pad', overSeatM: THIGH_OVER_SEAT * body.statureM, estimated: true });
  const trunk = ruleOf(e, 'trunkDeg')?.wantDeg;
  if (trunk != null)
    found.push({
      kind: 'hinge',
      trunkDeg: trunk,
      overKneesM: knucklesOverKneesM(body, trunk, SOFT_KNEES_DEG),
      estimated: body.height.hipHeight.source !== 'measured',
    });
  found.push(...landmineSetting(e, posed), ...handSettings(e, body, posed, kit));
  // A sweep's ends are told with its line.
  if (!posed.sweep) found.push({ kind: 'stops', ...jointStops(e.action, posed, side), startBy, finishBy });
  return found;
}

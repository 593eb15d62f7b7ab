import type { BookEntry, Facing, LoadRule } from '../book-entry';
import type { AttachmentKind } from '@/core/kit/attachment';
import { STRAIGHT_TRUNK, type TrunkShape } from '@/core/body/posture';
import type { BodyKey, KeyframePath } from '@/core/movement/keyframes';

type Key = readonly [upperAz: number, upperEl: number, foreAz: number, foreEl: number];

const keys = (list: readonly Key[]) =>
  list.map(([ua, ue, fa, fe], i) => ({
    at: list.length === 1 ? 0 : i / (list.length - 1),
    upper: { azimuthDeg: ua, elevationDeg: ue },
    fore: { azimuthDeg: fa, elevationDeg: fe },
  }));

/** An arm's range by evenly spaced keys in the trunk's axes: azimuth and elevation of upper arm and forearm. */
export const inTrunk = (...list: readonly Key[]): KeyframePath => ({ kind: 'arm', frame: 'trunk', keys: keys(list) });
/** The same in the floor's axes, where gravity counts. */
export const inFloor = (...list: readonly Key[]): KeyframePath => ({ kind: 'arm', frame: 'floor', keys: keys(list) });

/**
 * A row with a hanging weight: the upper arm in the trunk's axes, the forearm pointing at the floor throughout; on a
 * bar the elbows may end a little outside the hands, `inDeg` off plumb.
 */
export const rowing = (from: readonly [number, number], to: readonly [number, number], inDeg = 0): KeyframePath => ({
  kind: 'arm',
  frame: 'trunk',
  foreFrame: 'floor',
  keys: [from, to].map(([azimuthDeg, elevationDeg], at) => ({
    at,
    upper: { azimuthDeg, elevationDeg },
    fore: { azimuthDeg: 180, elevationDeg: at * inDeg },
  })),
});

/**
 * A press overhead: the upper arm in the trunk's axes, the forearm upright under the weight, a little in at the top.
 */
export const pressing = (from: readonly [number, number], to: readonly [number, number]): KeyframePath => ({
  kind: 'arm',
  frame: 'trunk',
  foreFrame: 'floor',
  keys: [from, to].map(([azimuthDeg, elevationDeg], at) => ({
    at,
    upper: { azimuthDeg, elevationDeg },
    fore: { azimuthDeg: 180, elevationDeg: 180 - 6 * at },
  })),
});

/**
 * One arm reaches further than two: the ribs turn with it in the stretch and come back square, overhead the girdle
 * rises as well (common practice: a few centimetres). Forward for rows, up for pulls from overhead; mirrored for the
 * left arm.
 */
const RIB_TURN_DEG = 10;
const GIRDLE_M = 0.03;
/** What the trunk does in a one-arm row. */
export const REACHES_AHEAD: readonly BodyKey[] = [
  {
    at: 0,
    trunk: { leanDeg: 0, sideBendDeg: 0, turnDeg: RIB_TURN_DEG },
  },
  { at: 1 },
];
/** What the trunk does in a one-arm pull from overhead; `end` is how it finishes. */
export const reachesUp = (end: Partial<TrunkShape> = {}): readonly BodyKey[] => [
  {
    at: 0,
    trunk: { ...STRAIGHT_TRUNK, sideBendDeg: -4, turnDeg: RIB_TURN_DEG / 2 },
    scapula: { protractionM: 0, elevationM: GIRDLE_M },
  },
  { at: 1, trunk: { ...STRAIGHT_TRUNK, ...end } },
];

/** A load on a cable: carriage between two shares of the stature, attachments that fit, and how the client faces. */
export const cable = (
  facing: Facing,
  attachments: readonly AttachmentKind[],
  more: Partial<Extract<LoadRule, { kind: 'cable' }>> = {},
): LoadRule => ({
  kind: 'cable',
  facing,
  attachments,
  shared: false,
  from: ANYWHERE,
  line: null,
  ...more,
});

/** Pulley heights as shares of stature: at the floor, about the trunk, overhead, or wherever the line asks. */
export const LOW = [0, 0.4] as const;
const HIGH = [0.85, 2] as const;
const ANYWHERE = [0, 2] as const;
/**
 * A cable from over the shoulder up: where the load is lighter than the arm, the least moment would else be had from
 * the floor.
 */
export const fromAbove: typeof cable = (facing, attachments, more) =>
  cable(facing, attachments, { from: HIGH, ...more });
/** A dumbbell, or a share of one in each hand. */
export const dumbbell = (share = 1): LoadRule => ({ kind: 'weight', kit: 'dumbbells', share });
/** A bar, half of it in each hand. */
export const bar: LoadRule = { kind: 'weight', kit: 'bar', share: 0.5 };

const USUAL = {
  work: 'lift',
  hold: null,
  gripBefore: null,
  handlePlace: 'middle',
  grips: [],
  motion: [],
  startAt: 0,
  loadedFrom: null,
  stopAt: 1,
  secondary: [],
  ruled: [],
  armOn: null,
  crosses: false,
  legs: null,
  peakTarget: 'even',
  tempo: '3-1-1-1',
  startsWith: 'lifting',
  reps: { min: 8, max: 12 },
  restS: 90,
  place: 'any',
  standIns: [],
  cautions: [],
  faults: [],
  raises: [],
} as const;

/** An entry whose id the compiler knows. */
export type Entry<Id extends string> = BookEntry & { readonly id: Id };
/** What every entry has of its own, whatever its family. */
export type Named<Id extends string> = { readonly id: Id } & Pick<BookEntry, 'text'>;
/** What an entry of a family has of its own; the rest is the family's. */
export type Own<Id extends string> = Named<Id> &
  Partial<BookEntry> &
  Pick<BookEntry, 'hands' | 'posture' | 'path' | 'load'>;

/** An entry with what is usual filled in; a family's secondary regions without the entry's own target. */
export const entry = <const Id extends string>(
  own: Own<Id> & Pick<BookEntry, 'group' | 'target' | 'action'>,
): Entry<Id> => ({ ...USUAL, ...own, secondary: (own.secondary ?? []).filter((r) => r !== own.target) });

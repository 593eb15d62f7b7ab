import type { FaultCode } from '@/core/movement/fault-code';
import type { CautionCode } from './caution-code';
import type { LandmineStance } from './landmine';
import type { FootPlace } from './foot-place';
import type { Lean } from '@/core/body/posture';
import type { WorkingSide } from '@/core/body/side';
import type { Region } from '@/core/body/region-line';
import type { AttachmentKind } from '@/core/kit/attachment';
import type { KitKind } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import type { BodyKey, KeyframePath } from '@/core/movement/keyframes';
import type { JointAction } from '@/core/movement/joint-action';
import type { Gives } from '@/core/movement/hand-pair';
import type { PeakTarget } from '@/core/movement/peak-target';
import type { SweepPath } from '@/core/movement/sweep-path';

/** Groups of the book, in its order. */
export const GROUPS = ['chest', 'rows', 'pulldowns', 'deltoids', 'biceps', 'triceps', 'legs', 'before'] as const;
/** A group of the book. */
export type Group = (typeof GROUPS)[number];

/**
 * How a client stands up to a load, beside the posture that the book has: leant, and the feet `furtherM` further apart
 * than it has them (one ahead of the other where they stand side by side). Solved for the load; the book has none.
 */
export interface Stance {
  readonly lean: Lean;
  readonly furtherM: number;
}

/** How the body is held; surfaces come from the bench in use, sides from the working arm. Angles as in `Posture`. */
export type PostureRule =
  | { readonly kind: 'standing'; readonly kneeFlexionDeg?: number; readonly stance?: Stance }
  | { readonly kind: 'staggered'; readonly stance?: Stance }
  | { readonly kind: 'wide'; readonly stance?: Stance }
  | { readonly kind: 'hinged'; readonly trunkDeg: number; readonly stance?: Stance }
  /** Bent over a preacher's pad until the armpit meets its top edge. */
  | { readonly kind: 'stooped' }
  | { readonly kind: 'hip-pad'; readonly legDeg: number }
  /** On the knee of the working or the other side. */
  | { readonly kind: 'half-kneeling'; readonly down: 'working' | 'free'; readonly stance?: Stance }
  | { readonly kind: 'tall-kneeling'; readonly stance?: Stance }
  | { readonly kind: 'seated'; readonly on: 'bench' | 'low' | 'floor'; readonly backDeg: number }
  | { readonly kind: 'lying'; readonly on: 'back' | 'front' | 'free-side'; readonly backDeg: number }
  /** Supported by the free side. */
  | { readonly kind: 'hand-and-knee' }
  | { readonly kind: 'hand-on-bench' }
  | { readonly kind: 'forearm-on-thigh'; readonly trunkDeg: number }
  | { readonly kind: 'plank' }
  | { readonly kind: 'hanging' }
  | { readonly kind: 'leg-machine'; readonly backDeg: number };

/** Postures that can lean and set their feet as a load asks. */
export type FreeRule = Extract<PostureRule, { readonly stance?: Stance }>;

/**
 * Which way the client faces at a column: 0 away from it, 180 towards it, 90 its working or free side turned to it, 135
 * half way from facing it to the free side.
 */
export type Facing = 'away' | 'towards' | 'working-side' | 'free-side' | 'half-away';

/** What a movement is loaded by; shares are of the set load, in one hand. */
export type LoadRule =
  /**
   * A cable; `shared`: both hands hold one attachment; `from`: the pulley's height, shares of stature. `line`: what
   * begins on the line of the cable, a straight arm, or the
   * arm whose forearm stays on it all the way; null for what is no pull.
   */
  | {
      readonly kind: 'cable';
      readonly facing: Facing;
      readonly attachments: readonly AttachmentKind[];
      readonly shared: boolean;
      readonly from: readonly [number, number];
      readonly line: 'forearm' | 'arm' | null;
      /** Steps towards the column that a set leaves room for. */
      readonly stepsIn?: number;
    }
  /** A band round both feet, an end in each hand. */
  | { readonly kind: 'band'; readonly at: 'feet' }
  /** Dumbbells, a plate or a bar; `share` is this hand's part. */
  | { readonly kind: 'weight'; readonly kit: Extract<KitKind, 'dumbbells' | 'plates' | 'bar'>; readonly share: number }
  | { readonly kind: 'landmine'; readonly share: number; readonly at: LandmineStance }
  | { readonly kind: 'machine'; readonly machine: MachineKind; readonly feet?: FootPlace }
  /** Part of the body's weight on each hand; a band may take some of it. Straps: leaned back from upright, degrees. */
  | { readonly kind: 'body'; readonly on: 'bar' | 'floor'; readonly band: boolean }
  | { readonly kind: 'body'; readonly on: 'straps'; readonly band: false; readonly leanDeg: number }
  | { readonly kind: 'none' };

/** Settings that are solved for a client, and those that follow a rule. */
export type Setting =
  'hole' | 'standX' | 'standZ' | 'yawDeg' | 'notch' | 'seatHole' | 'backHole' | 'trunkDeg' | 'block' | 'pinM';
/** A setting that a movement asks for by rule or fit, and where a trainer put it. */
export interface RuledSetting {
  readonly setting: Extract<Setting, 'notch' | 'seatHole' | 'backHole' | 'trunkDeg' | 'block' | 'pinM'>;
  /** Degrees for a notch, a trunk or a block; null for a fit to the body. */
  readonly wantDeg: number | null;
  /** A hole that stands instead of the fitted one. */
  readonly atHole?: number;
  /** Height of the pins that a bar starts from, metres; mid shin where none is chosen. */
  readonly pinM?: number;
  /** What the rule asks for, where another angle was chosen. */
  readonly ruleDeg?: number;
}

/** What is done of a movement: reps against a load, reps of a drill without one, or holds of a stretch. */
export type WorkKind = 'lift' | 'drill' | 'hold';

/** How far apart the hands hold one thing, by rule (common practice). */
export const GRIP_RULES = ['narrow', 'shoulder', 'wide', 'past-bend'] as const;
/** A rule for the hands' distance. */
export type GripRule = (typeof GRIP_RULES)[number];
/**
 * One thing in both hands: how far apart they are when the rep starts and finishes (the same on a rigid thing), and
 * which part of the arm gives way to it.
 */
export interface HandHold {
  readonly start: GripRule | number;
  readonly finish: GripRule | number;
  readonly gives: Gives;
  /** Held by pressing: weights against each other, or one between the palms. Neither can be pulled apart. */
  readonly pressed?: 'together' | 'palms';
  /** The rule that the distance in metres came from, where it is somebody's choice. */
  readonly rule?: GripRule;
  readonly chosen?: boolean;
}

/** When in a session a movement belongs. */
export const PLACES = ['first', 'early', 'third', 'late', 'any'] as const;

/** How the hand holds it. */
export const GRIPS = ['pronated', 'neutral', 'supinated'] as const;
/** How the hand holds. */
export type Grip = (typeof GRIPS)[number];

/** Where on the handle of a dumbbell the hand closes: midway, or with the thumb or little finger against the bell. */
export type HandlePlace = 'middle' | 'thumb-side' | 'little-finger-side';

/** What a movement is called and how it is told. */
export interface EntryText {
  readonly name: string;
  /** How it is set and braced, for the trainer. */
  readonly how: string;
  /** For the client, one breath. */
  readonly cue: string;
}

/** Kinds of movement that practitioners hold to be worth it or not. */
export const WORTH_PRACTICES = ['kickbacks', 'neutral-curls', 'squeeze-presses'] as const;
/** Questions of practice that a movement raises by itself; others follow from what it is done with. */
export const RAISED_PRACTICES = ['row-base', 'rear-delt-elbows', ...WORTH_PRACTICES] as const;

/** A movement of the book, as data. Adding one touches one file. */
export interface BookEntry {
  readonly id: string;
  readonly text: EntryText;
  readonly group: Group;
  readonly work: WorkKind;
  readonly target: Region;
  readonly secondary: readonly Region[];
  readonly action: JointAction;
  readonly hands: 'one' | 'two';
  readonly posture: PostureRule;
  readonly path: KeyframePath | SweepPath;
  readonly motion: readonly BodyKey[];
  /** Share of the path at which the rep stops; 1 is its own finish. */
  readonly stopAt: number;
  /** Share at which it begins, where a trainer sets a later start stop. */
  readonly startAt: number;
  /** Begins and ends where the resistance reaches these shares of its peak; null: where the path does. */
  readonly loadedFrom: { readonly start: number | null; readonly finish: number | null } | null;
  readonly load: LoadRule;
  /** One thing in both hands; null where each hand has its own. */
  readonly hold: HandHold | null;
  /** Grips it can be done with, its own first; none where the hand holds nothing. */
  readonly grips: readonly Grip[];
  /** The grip that the lift begins with, where the forearm turns on the way to its own. */
  readonly gripBefore: Grip | null;
  /** Where on the handle of a dumbbell the hand closes. */
  readonly handlePlace: HandlePlace;
  readonly ruled: readonly RuledSetting[];
  /** What carries the upper arm; it has a seat of its own. */
  readonly armOn: 'preacher' | 'bench' | null;
  /** The arms begin across each other, the right one above: it is swapped every other set. */
  readonly crosses: boolean;
  /** Seated under a pulley: thighs locked under a pad, or free; null elsewhere. */
  readonly legs: 'locked' | 'free' | null;
  readonly peakTarget: PeakTarget;
  readonly tempo: string;
  readonly startsWith: 'lifting' | 'lowering';
  readonly reps: { readonly min: number; readonly max: number };
  readonly restS: number;
  readonly place: (typeof PLACES)[number];
  readonly standIns: readonly string[];
  /** Cautions and faults beyond what its posture, load and action bring. */
  readonly cautions: readonly CautionCode[];
  readonly faults: readonly FaultCode[];
  readonly raises: readonly (typeof RAISED_PRACTICES)[number][];
}

/**
 * Whether a movement can be done with this working side: a sweep with one arm or both, others with as many as they
 * have.
 */
export const worksOn = (e: BookEntry, side: WorkingSide): boolean =>
  e.path.kind === 'sweep' || (e.hands === 'two') === (side === 'both');

/** Whether a band is hung: it takes part of the body's weight, or is what the hands pull against. */
export const usesBand = ({ load }: Pick<BookEntry, 'load'>): boolean =>
  load.kind === 'band' || (load.kind === 'body' && load.band);

/** The working sides that a movement is done with, the usual one last. */
export const sidesOf = (e: BookEntry): readonly WorkingSide[] => (e.hands === 'one' ? ['left', 'right'] : ['both']);

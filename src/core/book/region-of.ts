import type { Side } from '@/core/body/side';
import type { Region } from '@/core/body/region-line';
import { toDirection } from '@/core/geometry/direction';
import { intoFrame } from '@/core/geometry/frame';
import { towards } from '@/core/movement/joint-action';
import type { BookEntry, Grip } from './book-entry';
import type { PosedEntry } from './pose-entry';

/** What decides a region, and what would move the load to another; texts are in messages/. */
export type RegionCause =
  | 'elbow-close'
  | 'hands-close'
  | 'elbow-middle'
  | 'elbow-high'
  | 'elbow-to-armpit'
  | 'grip-supinated'
  | 'grip-other'
  | 'hands-wide'
  | 'arm-behind'
  | 'arm-ahead'
  | 'arm-overhead'
  | 'arm-at-side'
  | 'palm-up'
  | 'sweep-down'
  | 'sweep-level'
  | 'sweep-up'
  | 'hand-turned'
  | 'feet'
  | 'movement';
/** What would move the load to another region. */
export interface RegionChange {
  readonly to: Region;
  readonly by: RegionCause;
}
/** The region that a posed movement loads, why, and what would change it. */
export interface LoadedRegion {
  readonly region: Region;
  readonly because: RegionCause;
  readonly changes: readonly RegionChange[];
}

/**
 * Upper arm out from the side of the trunk at the finish of a pull, degrees: below the first it is tucked, above the
 * second wide (our judgement of "close", "middle" and "high and wide").
 */
const CLOSE_DEG = 27;
const HIGH_DEG = 58;
/** Hands this near to each other are on a close handle, metres (common practice: a V-bar). */
const CLOSE_HANDS_M = 0.25;
/** Upper arm ahead of the trunk, degrees, and forearm out to the side, sine: a preacher's arm, and a wide grip. */
const AHEAD_DEG = 25;
const WIDE_HANDS = 0.35;
/** Upper arm from hanging, degrees: past this it is overhead. */
const OVERHEAD_DEG = 110;
/** An arm that ends this far from level, degrees in the trunk's axes, was no level sweep. */
const SLOPE_DEG = 12;

/**
 * How far an upper arm stands out from the trunk's side, seen from behind, degrees; hanging and straight behind are 0.
 */
function flareDeg(upper: readonly [number, number, number], side: Side): number {
  const out = side === 'right' ? upper[2] : -upper[2];
  return (Math.atan2(Math.max(0, out), Math.hypot(upper[0], upper[1])) * 180) / Math.PI;
}

const change = (to: Region, by: RegionCause): RegionChange => ({ to, by });

function ofPull(e: BookEntry, posed: PosedEntry, side: Side): LoadedRegion {
  const last = posed.path.proximal.length - 1;
  const upper = intoFrame(posed.path.frame[last]!, towards(posed.path.proximal[last]!, posed.path.middle[last]!));
  // An arm that ends ahead of the body was not drawn to any side.
  if (upper[0] > 0.5) return { region: e.target, because: 'movement', changes: [] };
  const flare = flareDeg(upper, side);
  const overhead =
    toDirection(intoFrame(posed.path.frame[0]!, towards(posed.path.proximal[0]!, posed.path.middle[0]!)), side)
      .elevationDeg > OVERHEAD_DEG;
  const close: RegionChange = change('lat-lower', 'elbow-close');
  const [hands] = e.hold ? [e.hold.finish] : [];
  const wide: RegionChange = overhead ? change('lat-upper', 'elbow-to-armpit') : change('mid-back', 'elbow-middle');
  const high: RegionChange = change('deltoid-rear', 'elbow-high');
  // A close handle in both hands brings the elbows past the ribs and the blades together (common practice).
  if (!overhead && typeof hands === 'number' && hands <= CLOSE_HANDS_M)
    return { region: 'mid-back', because: 'hands-close', changes: [change('lat-lower', 'hands-wide')] };
  if (flare < CLOSE_DEG) return { region: 'lat-lower', because: 'elbow-close', changes: [wide, high] };
  if (overhead) return { region: 'lat-upper', because: 'elbow-to-armpit', changes: [close] };
  if (flare < HIGH_DEG) return { region: 'mid-back', because: 'elbow-middle', changes: [close, high] };
  return { region: 'mid-back', because: 'elbow-high', changes: [close] };
}

function ofCurl(posed: PosedEntry, side: Side, grip: Grip | undefined): LoadedRegion {
  const start = toDirection(
    intoFrame(posed.path.frame[0]!, towards(posed.path.proximal[0]!, posed.path.middle[0]!)),
    side,
  );
  const behind = start.azimuthDeg < 0 && start.elevationDeg > 4;
  const ahead = start.azimuthDeg > 0 && start.elevationDeg > AHEAD_DEG;
  const mid = (posed.path.proximal.length - 1) / 2;
  const fore = intoFrame(posed.path.frame[mid]!, towards(posed.path.middle[mid]!, posed.path.distal[mid]!));
  const wide = (side === 'right' ? fore[2] : -fore[2]) > WIDE_HANDS;
  if (grip !== undefined && grip !== 'supinated')
    return {
      region: 'brachialis',
      because: 'grip-other',
      changes: [change(ahead ? 'biceps-short' : 'biceps-long', 'grip-supinated')],
    };
  const toBrachialis = change('brachialis', 'grip-other');
  if (ahead || wide)
    return {
      region: 'biceps-short',
      because: ahead ? 'arm-ahead' : 'hands-wide',
      changes: [change('biceps-long', 'arm-behind'), toBrachialis],
    };
  return {
    region: 'biceps-long',
    because: behind ? 'arm-behind' : 'grip-supinated',
    changes: [change('biceps-short', behind ? 'arm-ahead' : 'hands-wide'), toBrachialis],
  };
}

function ofExtension(posed: PosedEntry, side: Side, grip: Grip | undefined): LoadedRegion {
  const mid = (posed.path.proximal.length - 1) / 2;
  const upper = toDirection(
    intoFrame(posed.path.frame[mid]!, towards(posed.path.proximal[mid]!, posed.path.middle[mid]!)),
    side,
  );
  const overhead = upper.elevationDeg > OVERHEAD_DEG;
  if (overhead)
    return { region: 'triceps-long', because: 'arm-overhead', changes: [change('triceps-lateral', 'arm-at-side')] };
  // Lying, the arms stand up from the trunk: the long head is stretched as well.
  if (upper.elevationDeg > 60 && upper.azimuthDeg > 0)
    return { region: 'triceps-long', because: 'arm-overhead', changes: [change('triceps-lateral', 'arm-at-side')] };
  if (grip === 'supinated')
    return {
      region: 'triceps-medial',
      because: 'palm-up',
      changes: [change('triceps-lateral', 'arm-at-side'), change('triceps-long', 'arm-overhead')],
    };
  return {
    region: 'triceps-lateral',
    because: 'arm-at-side',
    changes: [change('triceps-medial', 'palm-up'), change('triceps-long', 'arm-overhead')],
  };
}

/** A sweep across the chest: by where the arm ends, above or below level in the trunk's axes. */
function ofFly(posed: PosedEntry): LoadedRegion {
  const { proximal, contact, frame } = posed.path;
  const last = contact.length - 1;
  const arm = intoFrame(frame[last]!, towards(proximal[last]!, contact[last]!));
  const slope = (Math.asin(arm[1]) * 180) / Math.PI;
  const all: readonly RegionChange[] = [
    change('chest-lower', 'sweep-down'),
    change('chest-mid', 'sweep-level'),
    change('chest-upper', 'sweep-up'),
  ];
  const own = all[slope < -SLOPE_DEG ? 0 : slope > SLOPE_DEG ? 2 : 1]!;
  return { region: own.to, because: own.by, changes: all.filter((c) => c !== own) };
}

/**
 * The region that a posed movement loads most by elbow path, grip and angle, with what would change it. Common
 * practice.
 */
export function loadedRegion(e: BookEntry, posed: PosedEntry, side: Side): LoadedRegion {
  const own = (changes: readonly RegionChange[] = []): LoadedRegion => ({
    region: e.target,
    because: 'movement',
    changes,
  });
  const grip = e.grips[0];
  if (posed.path.chain === 'trunk' || posed.path.chain === 'leg')
    return e.load.kind === 'machine' && e.load.machine === 'leg-press'
      ? own([change('glutes', 'feet'), change('hamstrings', 'feet')])
      : own();
  if (e.action === 'elbow.flexion') return ofCurl(posed, side, grip);
  if (e.action === 'elbow.extension') return ofExtension(posed, side, grip);
  if (e.action === 'shoulder.horizontalAdduction' && e.posture.kind !== 'lying' && e.load.kind === 'cable')
    return ofFly(posed);
  if (e.group === 'rows' || e.group === 'pulldowns') return ofPull(e, posed, side);
  if (e.target === 'deltoid-side') return own([change('deltoid-front', 'hand-turned')]);
  return own();
}

import { SIDES } from '@/core/body/side';
import { turn } from '@/core/geometry/rotation';
import { add, scale, type Vec3 } from '@/core/geometry/vector';
import type { Room } from '@/core/kit/column';
import { LAST_SAMPLE, MIDDLE_SAMPLE } from '@/core/movement/chain-path';
import { SETTABLE_M } from '@/core/setup/settle';
import type { SearchInput } from '@/core/setup/setup-problem';
import { STEP_IN_M } from '@/core/setup/stance-drops';
import type { ColumnPart } from '@/core/setup/violation';
import { toRad } from '@/core/units/angle';
import type { BookEntry, LoadRule } from './book-entry';
import type { PosedEntry } from './pose-entry';

type CableLoad = Extract<LoadRule, { kind: 'cable' }>;

/** Hands and elbows stay this far in front of the column, metres (our judgement: a knuckle and a handle). */
const CLEAR_OF_COLUMN_M = 0.1;

/** Points of the whole body over the range that may not meet the column, stand frame. */
function bodyPoints(
  posed: readonly PosedEntry[],
): Readonly<Record<'hand' | 'elbow' | 'knee' | 'foot' | 'head', Vec3[]>> {
  const poses = posed.flatMap((p) => [0, MIDDLE_SAMPLE, LAST_SAMPLE].map((i) => p.bodyAt(i)));
  const legs = poses.flatMap(({ leg }) => SIDES.map((s) => leg[s]));
  return {
    hand: posed.flatMap((p) => [...p.path.contact]),
    elbow: posed.flatMap((p) => [...p.path.middle]),
    knee: legs.map((l) => l.knee),
    foot: legs.flatMap((l) => [l.toe, l.heel]),
    head: poses.map(({ head, headRadiusM }) => add(head, scale([1, 0, 0], headRadiusM))),
  };
}

/** A knee this low is on the floor, metres. */
const ON_FLOOR_M = 0.12;

/** How far a body reaches towards the columns, metres ahead of its mark, what reaches furthest, and how near it may. */
function columnReach(
  posed: readonly PosedEntry[],
  yawDeg: number,
  plateM: number,
  beside: boolean,
): { readonly m: number; readonly meets: ColumnPart } {
  const ahead = (v: Vec3): number => -turn(v, toRad(yawDeg))[0];
  const points = bodyPoints(posed);
  // Side on, the working hand may pass the column's side.
  const upright = (Object.keys(points) as (keyof typeof points)[]).flatMap((meets) =>
    beside ? [] : points[meets].map((v) => ({ m: ahead(v) + CLEAR_OF_COLUMN_M, meets })),
  );
  const onPlate = (list: readonly Vec3[], meets: ColumnPart) =>
    plateM > 0 ? list.map((v) => ({ m: ahead(v) + plateM, meets })) : [];
  return [
    ...upright,
    ...onPlate(points.foot, 'foot-on-plate'),
    ...onPlate(
      points.knee.filter((v) => v[1] < ON_FLOOR_M),
      'knee-on-plate',
    ),
  ].reduce((most, r) => (r.m > most.m ? r : most), { m: -Infinity, meets: 'foot' as ColumnPart });
}

/** Whole centimetres. */
const cm = (m: number): number => Math.round(m * 100) / 100;
/** The first settable mark no nearer than a distance, metres. */
const wholeMarkFrom = (m: number): number => Math.ceil(m / SETTABLE_M - 1e-9) * SETTABLE_M;

/**
 * Floor that a movement can be done on: all there is, but no nearer than the body reaches towards the column, so that
 * hands, knees, feet and head stay clear of it whichever way the client is turned.
 */
export function standOff(
  load: CableLoad,
  entry: BookEntry,
  posed: readonly PosedEntry[],
  floor: Room,
  yawDeg: number,
  plateM: number,
): Pick<SearchInput, 'room' | 'floor' | 'nearestM' | 'meets'> {
  // Handles of their own run wide of the pulleys they cross to.
  const may = load.shared || entry.hands === 'one';
  const beside = load.facing === 'free-side' || load.facing === 'working-side';
  const reach = may ? columnReach(posed, yawDeg, plateM, beside) : null;
  // A mark that can be found again: whole 5 cm, no nearer.
  const nearest = reach ? wholeMarkFrom(reach.m) : -Infinity;
  const nearestM = cm(Math.max(floor.minDistanceM, nearest));
  const minDistanceM = cm(nearestM + (load.stepsIn ?? 0) * STEP_IN_M);
  const maxDistanceM = Math.max(minDistanceM, floor.maxDistanceM);
  return {
    room: { minDistanceM, maxDistanceM },
    floor: { minDistanceM: floor.minDistanceM, maxDistanceM },
    nearestM,
    meets: reach && nearest > floor.minDistanceM ? reach.meets : null,
  };
}

import { buildBody } from '@/core/body/body-model';
import { dot } from '@/core/geometry/vector';
import { LAST_SAMPLE, type ChainPath } from '@/core/movement/chain-path';
import { jointDegAt, jointOf, towards } from '@/core/movement/joint-action';
import { clampedAcos, toDeg } from '@/core/units/angle';
import { poseEntry, WHOLE_RANGE } from './pose-entry';
import { sidesOf, type BookEntry } from './book-entry';
import { USUAL_KIT } from './station-kit';

/** The ratios' own body of middle height: what joints a movement bends does not depend on whose they are. */
const MIDDLE = buildBody({ statureM: 1.75, massKg: 75, measuredM: {} });
/** A joint that bends by more than this works, degrees (our judgement). */
const WORKS_DEG = 25;

const known = new Map<string, boolean>();

function bothBend(path: ChainPath): boolean {
  const samples = Array.from({ length: LAST_SAMPLE + 1 }, (_, i) => i);
  const upper = samples.map((i) => towards(path.proximal[i]!, path.middle[i]!));
  const swings = Math.max(...upper.map((u) => toDeg(clampedAcos(dot(u, upper[0]!)))));
  const degs = samples.map((i) => jointDegAt(path, 'middle', i));
  return swings > WORKS_DEG && Math.max(...degs) - Math.min(...degs) > WORKS_DEG;
}

/** Whether two joints of the working limb work together: presses, rows, pulldowns and hinges; else one does alone. */
export function isCompound(entry: BookEntry): boolean {
  if (entry.path.kind === 'hinge') return true;
  if (entry.path.kind === 'sweep' || entry.work !== 'lift') return false;
  const is = known.get(entry.id);
  if (is !== undefined) return is;
  const side = sidesOf(entry).at(-1) === 'left' ? 'left' : 'right';
  const path = poseEntry(entry, MIDDLE, side, WHOLE_RANGE, USUAL_KIT)?.path;
  const compound =
    path !== undefined && !(path.chain === 'arm' && jointOf(entry.action) === 'middle') && bothBend(path);
  known.set(entry.id, compound);
  return compound;
}

import type { Body } from '@/core/body/body-model';
import { barHeightM } from '@/core/movement/keyframes';
import { bisect } from '@/core/units/bisect';
import type { BookEntry } from './book-entry';

/** Pins of a rack go by holes about this far apart, metres (common practice). */
export const PIN_STEP_M = 0.05;

/** Height of the pins a bar starts from, metres: as chosen, else mid shin in whole steps; null without pins. */
export function pinHeightM({ ruled }: BookEntry, body: Body): number | null {
  const rule = ruled.find((r) => r.setting === 'pinM');
  if (!rule) return null;
  const shin = (body.height.ankleHeight.m + body.height.kneeHeight.m) / 2;
  return rule.pinM ?? Math.round(shin / PIN_STEP_M) * PIN_STEP_M;
}

/** A hinge begun where the bar lies on its pins: the trunk bends until the hands are there. Bisection. */
export function fromPins(e: BookEntry, body: Body): BookEntry {
  const heightM = pinHeightM(e, body);
  if (heightM === null || e.path.kind !== 'hinge') return e;
  const [first, ...rest] = e.path.keys;
  const trunkDeg = bisect(0, 80, (deg) => barHeightM(body, deg, first!.kneeFlexionDeg) < heightM);
  return { ...e, path: { ...e.path, keys: [{ ...first!, trunkDeg }, ...rest] } };
}

import type { LoadedPart } from '@/core/body/loaded-part';
import type { LoadUnit } from '@/core/units/mass';
import { loadText } from './loads';
import { ON_PART } from './reasons';

/** Why a movement cannot be planned so; loads in grams. */
export const PLAN_REFUSAL = {
  notListed: 'expected one of the list',
  otherVariant: 'expected a variant of this movement',
  noGym: 'expected a gym on record: enter one under Kit first',
  onePulley: 'expected left or right: a single column serves one arm',
  overLimit: (allowedG: number, limitG: number, part: LoadedPart, unit: LoadUnit): string =>
    `expected at most ${loadText(allowedG, unit)} here: a clinician’s limit of ${loadText(limitG, unit)} ` +
    ON_PART[part],
  noSuchLoad: (nearestG: number, unit: LoadUnit): string =>
    `expected a load that is here; the nearest is ${loadText(nearestG, unit)}`,
} as const;

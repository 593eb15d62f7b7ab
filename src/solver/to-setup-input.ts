import { buildBody } from '@/core/body/body-model';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { PLACEMENT_KEYS, type Placement, type SetupInput } from '@/core/setup/setup-problem';
import { toOptions, type Case } from '@/contract/case';

/** A set-up given in full: evaluated as found; a partly given one only fixes those settings. */
export function findFullPlacement(given: Case['given']): Placement | null {
  return given && PLACEMENT_KEYS.every((k) => given[k] !== undefined) ? (given as Placement) : null;
}

/** Core input of a checked case. */
export function toSetupInput(c: Case): SetupInput {
  const fixed = c.given && !findFullPlacement(c.given) ? (Object.fromEntries(Object.entries(c.given).filter(([, v]) => v !== undefined)) as Partial<Placement>) : {};
  return {
    body: buildBody({ statureM: c.client.statureM, massKg: c.client.massKg, measuredM: c.client.measuredM }),
    range: c.client.activeRangeDeg as ActiveRangeDeg,
    movement: MOVEMENT_BOOK[c.movement],
    options: toOptions(c),
    side: c.side,
    column: c.station.column,
    room: c.station.room,
    attachmentM: c.attachment.lengthM,
    loadKg: c.loadKg,
    fixed,
    lastUsed: c.lastUsed ?? null,
  };
}

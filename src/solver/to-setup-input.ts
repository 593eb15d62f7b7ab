import { buildBody } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { PLACEMENT_KEYS, type Placement, type SetupInput } from '@/core/setup/setup-problem';
import { toOptions, type Case } from '@/contract/case';
import { toColumn } from '@/contract/column-schema';

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
    limits: c.client.limitsDeg as ActiveRangeDeg,
    stopLevel: noteDefaults(c.client.notes).stopLevel,
    mostLoadKg: c.client.mostLoadKg ?? null,
    movement: MOVEMENT_BOOK[c.movement],
    options: toOptions(c),
    side: c.side,
    column: toColumn(c.station.column),
    room: c.station.room,
    attachmentM: c.attachment.lengthM,
    loadKg: c.loadKg,
    fixed,
    lastUsed: c.lastUsed ?? null,
  };
}

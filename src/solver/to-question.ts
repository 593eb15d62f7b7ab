import type { ActiveRangeDeg } from '@/core/body/active-range';
import { buildBody } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import { findEntry } from '@/core/book/book';
import { practicesOf, type Practice } from '@/core/book/practice';
import { practicesFor, withOurSides } from '@/core/book/practice-effect';
import { askQuestion, withChoices, type Question } from '@/core/book/question';
import { PLACEMENT_KEYS, type Placement } from '@/core/setup/setup-problem';
import { fitOfCase, type Case } from '@/contract/case';
import { toColumn } from '@/contract/column-schema';
import { toOptions } from '@/contract/options-schema';
import { toStationKit } from '@/contract/station-schema';

/** A set-up given in full: evaluated as found; a partly given one only fixes those settings. */
export function findFullPlacement(given: Case['given']): Placement | null {
  return given && PLACEMENT_KEYS.every((k) => given[k] !== undefined) ? (given as Placement) : null;
}

/** Settings that a case gives without giving all of them: they may not move. */
const fixedOf = (given: Case['given']): Partial<Placement> =>
  given && !findFullPlacement(given)
    ? (Object.fromEntries(Object.entries(given).filter(([, v]) => v !== undefined)) as Partial<Placement>)
    : {};

/** A checked case as core asks it, with the questions of practice left open that it leaves open. */
function askCase(c: Case): Question {
  const own = findEntry(c.movement)!;
  const { client, station } = c;
  const { statureM, massKg, measuredM } = client;
  const fit = fitOfCase(client);
  return askQuestion(own, {
    options: toOptions(own, c.options, fit),
    body: buildBody({ statureM, massKg, measuredM }),
    range: {
      active: client.activeRangeDeg as ActiveRangeDeg,
      limits: client.limitsDeg as ActiveRangeDeg,
      stopLevel: noteDefaults(client.notes).stopLevel,
      fit,
    },
    side: c.side,
    kit: toStationKit(station),
    loadKg: c.loadKg,
    loadLimits: {
      hand: client.mostLoadKg ?? null,
      leg: client.mostLoadOnLegKg ?? null,
      spine: client.mostLoadOnSpineKg ?? null,
    },
    column:
      station.column && c.attachment
        ? {
            column: toColumn(station.column),
            room: station.room,
            attachmentM: c.attachment.lengthM,
            ...(c.attachment.kind ? { attachment: c.attachment.kind } : {}),
            ...(c.attachment.handsM ? { handsM: c.attachment.handsM } : {}),
          }
        : null,
    fixed: fixedOf(c.given),
    lastUsed: c.lastUsed ?? null,
  });
}

/** Questions of practice that a checked case raises, with our side of each. */
export const practicesOfCase = (c: Case): readonly Practice[] => practicesFor(askCase(c), c.client.notes);

/**
 * A checked case as core asks it, with our side of every question of practice that it leaves open: what stands on the
 * bench is what is computed. `known`: our sides where they were told before, which saves solving for them.
 */
export function toQuestion(c: Case, known?: readonly Practice[]): Question {
  const asked = askCase(c);
  const raised = practicesOf(asked.own, c.client.notes, 1);
  if (raised.every((p) => asked.options.practices[p.question])) return asked;
  return withChoices(asked, withOurSides(asked.options, known ?? practicesFor(asked, c.client.notes)), asked.side);
}

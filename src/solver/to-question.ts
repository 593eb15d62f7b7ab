import { buildBody } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import { findEntry } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import type { SetupInput } from '@/core/book/build-problem';
import { fitUnder, withOptions, type EntryOptions } from '@/core/book/entry-options';
import type { EntryInput } from '@/core/book/solve-entry';
import { PLACEMENT_KEYS, type Placement } from '@/core/setup/setup-problem';
import { fitOfCase, type Case } from '@/contract/case';
import { toColumn } from '@/contract/column-schema';
import { toOptions } from '@/contract/options-schema';
import { toStationKit } from '@/contract/station-schema';

/** A set-up given in full: evaluated as found; a partly given one only fixes those settings. */
export function findFullPlacement(given: Case['given']): Placement | null {
  return given && PLACEMENT_KEYS.every((k) => given[k] !== undefined) ? (given as Placement) : null;
}

/**
 * A checked case as core asks it: the movement as chosen, what it is asked of, and its search where it hangs on a
 * cable.
 */
export interface Question {
  /** As the book has it, before any choice. */
  readonly own: BookEntry;
  readonly entry: BookEntry;
  readonly options: EntryOptions;
  readonly input: Omit<EntryInput, 'column'>;
  readonly setup: SetupInput | null;
  /** Most a clinician allows in the hand, kilograms; null when nothing is limited. */
  readonly mostLoadKg: number | null;
}

/** Ask the same with other choices or another side. */
export function withChoices(q: Question, options: EntryOptions, side: EntryInput['side']): Question {
  const entry = withOptions(q.own, options);
  return {
    ...q,
    entry,
    options,
    input: { ...q.input, side },
    setup: q.setup && { ...q.setup, entry, options, side, fit: fitUnder(q.input.range.fit, options) },
  };
}

export function toQuestion(c: Case): Question {
  const own = findEntry(c.movement)!;
  const fit = fitOfCase(c.client);
  const options = toOptions(own, c.options, fit);
  const entry = withOptions(own, options);
  const fixed =
    c.given && !findFullPlacement(c.given)
      ? (Object.fromEntries(Object.entries(c.given).filter(([, v]) => v !== undefined)) as Partial<Placement>)
      : {};
  const body = buildBody({ statureM: c.client.statureM, massKg: c.client.massKg, measuredM: c.client.measuredM });
  const range = {
    active: c.client.activeRangeDeg as ActiveRangeDeg,
    limits: c.client.limitsDeg as ActiveRangeDeg,
    stopLevel: noteDefaults(c.client.notes).stopLevel,
    fit,
  };
  const kit = toStationKit(c.station);
  const { column, room } = c.station;
  return {
    own,
    entry,
    options,
    mostLoadKg: c.client.mostLoadKg ?? null,
    input: { body, range, side: c.side, loadKg: c.loadKg, kit },
    setup:
      entry.load.kind === 'cable' && column && c.attachment
        ? {
            body,
            range: range.active,
            limits: range.limits,
            stopLevel: range.stopLevel,
            fit: fitUnder(fit, options),
            entry,
            options,
            side: c.side,
            kit,
            column: toColumn(column),
            room,
            attachmentM: c.attachment.lengthM,
            loadKg: c.loadKg,
            mostLoadKg: c.client.mostLoadKg ?? null,
            fixed,
            lastUsed: c.lastUsed ?? null,
          }
        : null,
  };
}

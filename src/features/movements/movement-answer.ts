import { findEntry } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import { fitUnder, usualOptions, withOptions, type EntryOptions } from '@/core/book/entry-options';
import { fitSettings, withKit } from '@/core/book/fit-entry';
import { loadedRegion } from '@/core/book/region-of';
import { schoolsOf, type School, type SchoolChoice } from '@/core/book/school';
import { profileEntry } from '@/core/book/profile-entry';
import { solveEntry, type EntryAnswer } from '@/core/book/solve-entry';
import { USUAL_ATTACHMENT } from '@/core/kit/attachment';
import { SAMPLES } from '@/core/movement/chain-path';
import type { WorkingSide } from '@/core/setup/setup-problem';
import type { ChoosingData } from '@/contract/choosing-data';
import { SHOWN_KG } from './movement-player';

type GymColumn = ChoosingData['gym']['columns'][number];

/** Length of a handle here that fits, else of its kind as usual, metres. */
export function handleLengthM({ load }: BookEntry, data: ChoosingData): number {
  if (load.kind !== 'cable') return 0;
  return (
    data.gym.attachments.find((a) => load.attachments.includes(a.kind))?.lengthM ??
    USUAL_ATTACHMENT[load.attachments[0]!].lengthM
  );
}

/** The movement on the first column here that serves it, with a handle that fits or its usual length. */
function answerFor(
  entry: BookEntry,
  options: EntryOptions,
  data: ChoosingData,
  side: WorkingSide,
): { readonly answer: EntryAnswer; readonly column: GymColumn | null } {
  const { load } = entry;
  const base = {
    body: data.body,
    range: { ...data.range, fit: fitUnder(data.range.fit, options) },
    side,
    loadKg: SHOWN_KG,
    kit: data.kit,
  };
  if (load.kind === 'cable') {
    const attachmentM = handleLengthM(entry, data);
    let refusal: EntryAnswer | null = null;
    for (const column of data.gym.columns) {
      const answer = solveEntry(
        entry,
        { ...base, column: { column: column.column, room: column.room, attachmentM } },
        options,
      );
      if (answer.ok) return { answer, column };
      refusal ??= answer;
    }
    if (refusal) return { answer: refusal, column: null };
  }
  return { answer: solveEntry(entry, { ...base, column: null }, options), column: null };
}

/** The stand-in as the book has it, on what is here. */
export const answerOfStandIn = (id: string, data: ChoosingData, side: WorkingSide): EntryAnswer => {
  const entry = findEntry(id)!;
  return answerFor(
    entry,
    usualOptions(entry, data.range.fit),
    data,
    entry.hands === 'two' ? 'both' : side === 'both' ? 'right' : side,
  ).answer;
};

/** The movement as chosen, our side of every question where none is, with its answer and what is set by rule. */
export function answerAsChosen(entryId: string, data: ChoosingData, side: WorkingSide, options: EntryOptions) {
  const own = findEntry(entryId)!;
  // What the top of the range asks is judged on the movement as it is in the book.
  const plain = answerFor(own, usualOptions(own, data.range.fit), data, side).answer;
  const finishShare =
    plain.ok && plain.metrics.peakResistanceNm > 0
      ? plain.samples.resistanceNm[SAMPLES - 1]! / plain.metrics.peakResistanceNm
      : 1;
  const schools: readonly School[] = schoolsOf(own, data.notes, finishShare);
  const chosen: SchoolChoice = {
    ...Object.fromEntries(schools.map((s) => [s.question, s.preset])),
    ...options.schools,
  };
  const all = { ...options, schools: chosen };
  const entry = withOptions(own, all);
  const { answer, column } = answerFor(entry, all, data, side);
  const free =
    answer.ok && answer.placement === null
      ? profileEntry(entry, { body: data.body, range: data.range, loadKg: SHOWN_KG, kit: data.kit }, answer.side)
      : null;
  const settings = answer.ok
    ? fitSettings(entry, data.body, data.kit, answer.posed, answer.side, {
        startBy: free?.startBy ?? 'own',
        finishBy: free?.finishBy ?? 'own',
      })
    : [];
  const region = answer.ok ? loadedRegion(withKit(entry, data.kit), answer.posed, answer.side) : null;
  return { own, entry, schools, chosen, answer, column, settings, region };
}

import type { ClientNote } from '@/core/body/client-note';
import type { Region } from '@/core/body/region-line';
import type { AttachmentShape } from '@/core/kit/attachment';
import type { Column, Room } from '@/core/kit/column';
import type { KitKind } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import { BOOK } from './book';
import { sidesOf, type BookEntry } from './book-entry';
import { takesBand } from './book-entry';
import { rangeDegOf } from './range-deg';
import { answerQuestion, posedOf, type NoAnswer } from './answer-question';
import { askQuestion, type Question } from './question';

/** What a gym has in working order. */
export interface GymKit {
  readonly columns: readonly {
    readonly id: string;
    readonly name: string;
    readonly column: Column;
    readonly room: Room;
  }[];
  readonly attachments: readonly AttachmentShape[];
  readonly machines: readonly MachineKind[];
  readonly kinds: readonly KitKind[];
}

/** What a region’s movements are chosen by. */
export interface ChooseInput extends Pick<Question, 'body' | 'range' | 'kit' | 'loadKg'> {
  readonly notes: readonly ClientNote[];
  readonly gym: GymKit;
}

/** What speaks against a movement: kit that is missing, a note, or what the solver says. */
export type Objection =
  | { readonly kind: 'kit'; readonly missing: KitKind | MachineKind }
  | { readonly kind: 'note'; readonly note: ClientNote }
  | { readonly kind: 'solver'; readonly reason: NoAnswer['reason'] };

/** A movement for a region, how it serves, or why it cannot be done here. */
export interface Choice {
  readonly entry: BookEntry;
  /** The region is the movement's own target, not one it works beside. */
  readonly direct: boolean;
  readonly objection: Objection | null;
  /** Column of the gym that serves it; null where none is needed. */
  readonly columnId: string | null;
  readonly loadedShare: number;
  /** How far the target joint turns over the working range, degrees. */
  readonly rangeDeg: number;
  readonly score: number;
  /** Movements of the book that stand in, where this one cannot be done. */
  readonly standIns: readonly string[];
}

/** Kit that a movement cannot do without. */
export function needsOf(e: BookEntry): readonly (KitKind | MachineKind)[] {
  const needs: (KitKind | MachineKind)[] = [];
  const { load, posture } = e;
  if (load.kind === 'cable') needs.push('column');
  if (load.kind === 'weight') needs.push(load.kit);
  if (load.kind === 'landmine') needs.push('landmine', 'plates');
  if (load.kind === 'machine') needs.push(load.machine);
  if (takesBand(e) || load.kind === 'band') needs.push('band');
  if (load.kind === 'body' && load.on === 'straps') needs.push('strap-anchor');
  if (
    load.kind !== 'machine' &&
    !e.armOn &&
    (posture.kind === 'lying' ||
      posture.kind === 'hand-on-bench' ||
      posture.kind === 'hand-and-knee' ||
      (posture.kind === 'seated' && posture.on === 'bench'))
  )
    needs.push('bench');
  if (e.armOn) needs.push(e.armOn);
  return needs;
}

/** Unsupported hinges flatter than this are not for a noted low back, degrees above level (our judgement). */
const LOW_BACK_HINGE_DEG = 50;
/** Longest pause that a blood-pressure note allows is in `client-note`; holds of this book that are longer than it. */
const LONG_HOLD_S = 2;

function noteAgainst(e: BookEntry, notes: readonly ClientNote[]): ClientNote | null {
  const unsupported = e.posture.kind === 'hinged' && e.posture.trunkDeg < LOW_BACK_HINGE_DEG;
  if (notes.includes('low-back') && (unsupported || e.action === 'trunk.extension')) return 'low-back';
  if (notes.includes('abdomen-or-groin') && e.posture.kind === 'hand-and-knee') return 'abdomen-or-groin';
  if (notes.includes('blood-pressure') && e.tempo.split('-').some((p, i) => i % 2 === 1 && Number(p) > LONG_HOLD_S))
    return 'blood-pressure';
  return null;
}

/** A range this wide counts in full: about what the widest movements of the book turn. */
const WIDE_RANGE_DEG = 140;
const LOADED_WEIGHT = 0.6;
/** Working beside the target counts for this much of a direct movement. */
const INDIRECT = 0.5;

function judge(entry: BookEntry, region: Region, input: ChooseInput): Choice {
  const direct = entry.target === region;
  const base = { entry, direct, columnId: null, loadedShare: 0, rangeDeg: 0, score: 0, standIns: entry.standIns };
  const has = new Set<string>([...input.gym.kinds, ...input.gym.machines]);
  const missing = needsOf(entry).find((n) => !has.has(n));
  if (missing) return { ...base, objection: { kind: 'kit', missing } };
  const handle =
    entry.load.kind === 'cable'
      ? input.gym.attachments.find((a) => entry.load.kind === 'cable' && entry.load.attachments.includes(a.kind))
      : undefined;
  if (entry.load.kind === 'cable' && !handle) return { ...base, objection: { kind: 'kit', missing: 'attachment' } };
  const note = noteAgainst(entry, input.notes);
  if (note) return { ...base, objection: { kind: 'note', note } };
  const side = sidesOf(entry).at(-1)!;
  const columns = entry.load.kind === 'cable' ? input.gym.columns : [null];
  let refusal: NoAnswer | null = null;
  for (const c of columns) {
    const column = c && { column: c.column, room: c.room, attachmentM: handle!.lengthM, handsM: handle!.handsM };
    const { body, range, kit, loadKg } = input;
    const answer = answerQuestion(askQuestion(entry, { body, range, kit, loadKg, side, column }));
    if (!answer.ok) {
      refusal ??= answer;
      continue;
    }
    const { path, target } = posedOf(answer);
    const rangeDeg = rangeDegOf(path, target.joint);
    const { loadedShare } = answer.metrics;
    const score =
      (LOADED_WEIGHT * loadedShare + (1 - LOADED_WEIGHT) * Math.min(1, rangeDeg / WIDE_RANGE_DEG)) *
      (direct ? 1 : INDIRECT);
    return { ...base, objection: null, columnId: c?.id ?? null, loadedShare, rangeDeg, score };
  }
  return { ...base, objection: { kind: 'solver', reason: refusal?.reason ?? 'no-column' } };
}

/**
 * Movements that load a region, best first by how much of how wide a range is loaded; those that the kit, the client's
 * range or a note do not allow come last, with why. `onOne` is told after each, for progress.
 */
export function chooseMovements(
  region: Region,
  input: ChooseInput,
  onOne: (done: number, of: number) => void = () => {},
): Choice[] {
  const fitting = BOOK.filter((e) => e.group !== 'before' && (e.target === region || e.secondary.includes(region)));
  return fitting
    .map((e, i) => {
      const choice = judge(e, region, input);
      onOne(i + 1, fitting.length);
      return choice;
    })
    .sort((a, b) => b.score - a.score || Number(b.direct) - Number(a.direct));
}

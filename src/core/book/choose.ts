import type { ClientNote } from '@/core/body/client-note';
import type { Region } from '@/core/body/region-line';
import type { AttachmentShape } from '@/core/kit/attachment';
import type { Column, Room } from '@/core/kit/column';
import type { KitKind } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import { BOOK } from './book';
import { sidesOf, type BookEntry } from './book-entry';
import { usesBand } from './book-entry';
import { answerQuestion, posedOf, type GoodAnswer, type NoAnswer } from './answer-question';
import { askQuestion, type Question } from './question';
import { mean } from '@/core/units/mean';
import { regionWork } from './region-work';

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
  /**
   * Mean demand on the region over the rep, share of its own peak; of a region that works beside the target, share of
   * the target's peak where that is more.
   */
  readonly demand: number;
  /** Part of the region's range that the movement takes it through, and what of that is in its long half. */
  readonly covered: number;
  readonly stretched: number;
  /** Which of demand and range sets the movement apart from the others of the list. */
  readonly by: 'demand' | 'range';
  /** Demand times range. */
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
  if (usesBand(e)) needs.push('band');
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

/** How a movement serves a region. */
type Work = Pick<Choice, 'demand' | 'covered' | 'stretched' | 'by' | 'score'>;

/** What is known of a region's work in a movement that has not been answered, or whose load does not reach it. */
const NO_WORK: Work = { demand: 0, covered: 0, stretched: 0, by: 'range', score: 0 };

/**
 * Mean demand on a region times the part of its range that is covered. The load of a set is chosen by what works
 * hardest: a region that works beside the target is held against the target's peak.
 */
export function workOf(region: Region, answer: GoodAnswer, input: ChooseInput): Work {
  const { path } = posedOf(answer);
  const { target } = answer.from.entry;
  const load = answer.samples.load;
  const own = regionWork(region, input.body, path, load);
  if (!own) return NO_WORK;
  const first = region === target ? own : regionWork(target, input.body, path, load);
  const peak = Math.max(...own.demand, ...(first?.demand ?? []));
  const demand = peak > 0 ? Math.min(1, mean(own.demand) / peak) : 0;
  const { covered, stretched } = own;
  return { demand, covered, stretched, by: 'range', score: demand * covered };
}

/** Which of demand and range sets each usable movement apart from the mean of them all. */
function told(choices: readonly Choice[]): Choice[] {
  const usable = choices.filter((c) => !c.objection && c.score > 0);
  const [demand, covered] = [mean(usable.map((c) => c.demand)), mean(usable.map((c) => c.covered))];
  const apart = (value: number, usual: number): number => Math.abs(Math.log(value / usual));
  return choices.map((c) =>
    c.score > 0 && apart(c.demand, demand) > apart(c.covered, covered) ? { ...c, by: 'demand' } : c,
  );
}

/** The first handle that a movement is made for, else one of a gym's own making; none where no cable is pulled. */
export function handleFor<T extends Pick<AttachmentShape, 'kind'>>(
  { load }: BookEntry,
  handles: readonly T[],
): T | undefined {
  if (load.kind !== 'cable') return undefined;
  return handles.find((a) => load.attachments.includes(a.kind)) ?? handles.find((a) => a.kind === 'own');
}

/** A movement answered with a gym's kit, on which column, or what speaks against it there. */
export type Served =
  | { readonly objection: null; readonly answer: GoodAnswer; readonly columnId: string | null }
  | { readonly objection: Objection };

/** Answer a movement for a client with a gym's kit, on its first column that serves. */
export function serveHere(entry: BookEntry, input: ChooseInput): Served {
  const has = new Set<string>([...input.gym.kinds, ...input.gym.machines]);
  const missing = needsOf(entry).find((n) => !has.has(n));
  if (missing) return { objection: { kind: 'kit', missing } };
  const handle = handleFor(entry, input.gym.attachments);
  if (entry.load.kind === 'cable' && !handle) return { objection: { kind: 'kit', missing: 'attachment' } };
  const note = noteAgainst(entry, input.notes);
  if (note) return { objection: { kind: 'note', note } };
  const side = sidesOf(entry).at(-1)!;
  const columns = entry.load.kind === 'cable' ? input.gym.columns : [null];
  let refusal: NoAnswer | null = null;
  for (const c of columns) {
    const column = c && {
      column: c.column,
      room: c.room,
      attachmentM: handle!.lengthM,
      handsM: handle!.handsM,
      attachment: handle!.kind,
    };
    const { body, range, kit, loadKg } = input;
    const answer = answerQuestion(askQuestion(entry, { body, range, kit, loadKg, side, column }));
    if (!answer.ok) {
      refusal ??= answer;
      continue;
    }
    return { objection: null, answer, columnId: c?.id ?? null };
  }
  return { objection: { kind: 'solver', reason: refusal?.reason ?? 'no-column' } };
}

function judge(entry: BookEntry, region: Region, input: ChooseInput): Choice {
  const base = { entry, direct: entry.target === region, columnId: null, ...NO_WORK, standIns: entry.standIns };
  const served = serveHere(entry, input);
  if (served.objection) return { ...base, objection: served.objection };
  return { ...base, ...workOf(region, served.answer, input), objection: null, columnId: served.columnId };
}

/**
 * Movements that load a region: those made for it before those that work it beside their own target, each best first
 * by how hard they make it work over how much of its range; those that the kit, the client's range or a note do not
 * allow come last, with why. `onOne` is told after each, for progress.
 */
export function chooseMovements(
  region: Region,
  input: ChooseInput,
  onOne: (done: number, of: number) => void = () => {},
): Choice[] {
  const fitting = BOOK.filter((e) => e.group !== 'before' && (e.target === region || e.secondary.includes(region)));
  const choices = fitting.map((e, i) => {
    const choice = judge(e, region, input);
    onOne(i + 1, fitting.length);
    return choice;
  });
  const order = (c: Choice): number => (c.objection ? 2 : c.direct ? 0 : 1);
  return told(choices).sort((a, b) => order(a) - order(b) || b.score - a.score);
}

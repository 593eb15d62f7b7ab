import { entryOf } from '@/core/book/book';
import { correctionFits } from '@/core/fault/correction-fits';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { judgeSet, sessionResults } from '@/core/fault/judge-set';
import { nextLoad } from '@/core/load/progress';
import { findNearestStep, findNeighbourStep } from '@/core/load/stack-steps';
import { CORRECTION_KIND, type CorrectionCode, type RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import type { FloorEvent, FloorEventBody, Outcome } from '@/core/record/floor-event';
import { foldSetLog, type PlannedItems } from '@/core/record/set-log';
import { kgToGrams } from '@/core/units/mass';
import type { Actor } from '@/contract/actor';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import type { NewItem } from '@/contract/views/plan';
import type { Db } from '@/data/open-db';
import { findStation } from '@/data/queries/kit';
import { loadSteps } from '@/server/load-steps';
import { recordEvents } from '@/server/record-events';
import { solvePlanned, type SolvedPlan } from './solve-planned';
import type { Exercise, Habit, Regular } from './weeks';

/*
 * What regulars did, week by week, made by chance from a seed: faults have causes (a hole that is off, more load than
 * there is strength for, a habit), a trainer sees most of them and does what the records judge, and the next set says
 * how it fared. Everything is kept through the same use case as a trainer's taps.
 */

/** A fault as it was tapped, and why it had come. */
export interface Truth {
  readonly fault: FaultCode;
  readonly from: Habit['from'];
  readonly judged: RemedyKind;
}

/** Of what goes wrong the trainer sees so much. */
const SEEN = 0.88;
/** A cue takes so much of a habit when it works, which it does so often; and so much comes back until next time. */
const CUE = { works: 0.62, takes: 0.5, comesBack: 0.08 } as const;
/** How often a carriage that has been off stands off again. */
const BY_MEMORY = 0.25;
/** Strength gained in a session. */
const STRONGER = 1.006;
/** One-repetition maximum over the load planned for twelve reps: all of them, and hardly one more (Epley 1985). */
const MAX_OVER_PLANNED = 1 + 13 / 30;
/** A fault of the load comes when fewer reps than these are left at the end of the set. */
const LEFT = 2;

/** A regular's way with one exercise on one side. */
export interface Doing {
  readonly exercise: Exercise;
  maxKg: number;
  /** Share of each habit that was cued away. */
  readonly cued: Map<FaultCode, number>;
  /** The carriage stands where it was computed. */
  computed: boolean;
  readonly events: FloorEvent[];
  solved: SolvedPlan | null;
}

export const beginDoing = (exercise: Exercise): Doing => ({
  exercise,
  maxKg: exercise.kg * MAX_OVER_PLANNED,
  cued: new Map(),
  computed: exercise.offAtFirst === undefined,
  events: [],
  solved: null,
});

interface Session {
  readonly db: Db;
  readonly regular: Regular;
  readonly actor: Actor;
  readonly random: () => number;
  readonly planned: PlannedItems;
}

/** Reps of a set, and which of them show which habit, as far as it was seen. */
function doSet(d: Doing, item: NewItem, loadKg: number, off: boolean, random: () => number) {
  const most = Math.floor(30 * (d.maxKg / loadKg - 1) + random() * 1.5);
  const reps = Math.max(4, Math.min(item.reps, most));
  const lastThird = reps - Math.ceil(reps / 3);
  const seen = d.exercise.habits.map((habit) => {
    const share = habit.share * (1 - (d.cued.get(habit.fault) ?? 0));
    const here = (rep: number): boolean => {
      // A habit is strongest while nobody thinks of it yet.
      if (habit.from === 'cue') return random() < (rep <= 2 ? Math.min(1, 1.6 * share) : share);
      if (habit.from === 'set-up') return off && random() < share;
      return rep > lastThird && most - reps < LEFT && random() < share;
    };
    const at = Array.from({ length: reps }, (_, k) => k + 1).filter((rep) => here(rep) && random() < SEEN);
    return { habit, reps: at };
  });
  return { reps, seen: seen.filter((s) => s.reps.length > 0) };
}

const outcomeOf = (before: number, after: number): Outcome =>
  after === 0 ? 'held' : after <= before / 2 ? 'partly' : 'not';

/** One planned movement of a session, done and kept; tells what was judged of what, and why it had come. */
export function doItem(s: Session, d: Doing, item: NewItem, beginsMs: number): readonly Truth[] {
  const { db, regular, actor, random } = s;
  const entry = entryOf(item.movement);
  const fits = (c: CorrectionCode): boolean => correctionFits(entry, c);
  const { options, at: computed } = (d.solved ??= solvePlanned({ db, actor, nowMs: beginsMs }, item.id));
  const station = item.stationId === null ? null : findStation(db, item.stationId);
  const steps = loadSteps(db, regular.gymId, entry, station);
  const own: FloorEvent[] = [];
  let atMs = beginsMs;
  const add = (body: FloorEventBody, afterMs = 1000): string => {
    atMs += afterMs;
    const id = `${item.id}-e${own.length}`;
    const where = { clientId: regular.client.id, itemId: item.id, movement: item.movement };
    const by = { id, actorId: actor.id, deviceId: 'demo-tablet', seq: own.length, atMs };
    const event = { ...body, ...where, ...by } as FloorEvent;
    own.push(event);
    d.events.push(event);
    return id;
  };
  const records = () => foldSetLog(d.events, s.planned);
  const stand = (): void => {
    const solved = computed?.placement ?? null;
    const placement = solved && { ...solved, hole: solved.hole + (d.computed ? 0 : (d.exercise.offAtFirst ?? 0)) };
    const off = placement !== null && computed!.off(placement);
    const { stationId, attachmentId, side } = item;
    add({ kind: 'setup-saved', placement, solved, off, stationId, attachmentId, side, options });
  };
  // Now and then somebody goes by memory again.
  if (d.exercise.offAtFirst !== undefined && d.computed && random() < BY_MEMORY) d.computed = false;
  stand();
  const plannedG = findNearestStep(steps, kgToGrams(d.exercise.kg)) ?? kgToGrams(d.exercise.kg);
  let { loadG } = nextLoad(sessionResults(records().sets, item.sessionId, fits), plannedG, steps, null);
  let open: { readonly id: string; readonly fault: FaultCode; readonly marks: number } | null = null;
  const truths: Truth[] = [];
  for (let setNo = 1; setNo <= item.sets; setNo++) {
    const setId = `${item.id}-s${setNo}`;
    add({ kind: 'set-started', setId, setNo, loadG, targetReps: item.reps, tempo: item.tempo }, 90_000);
    const off = !d.computed && computed !== null;
    const done = doSet(d, item, loadG / 1000, off, random);
    for (const { habit, reps } of done.seen)
      for (const rep of reps) {
        const { severity, side } = FAULT_BOOK[habit.fault];
        const on = side === 'whole' ? 'both' : (habit.side ?? 'both');
        add({ kind: 'fault', setId, rep, fault: habit.fault, side: on, severity }, 3000);
      }
    add({ kind: 'set-ended', setId, reps: done.reps }, done.reps * 6000);
    add({ kind: 'set-confirmed', setId, loadG, reps: done.reps });
    const marks = (fault: FaultCode): number => done.seen.find((x) => x.habit.fault === fault)?.reps.length ?? 0;
    if (open) {
      const outcome = outcomeOf(open.marks, marks(open.fault));
      add({ kind: 'outcome', correctionId: open.id, setId, outcome });
    }
    open = null;
    const all = records().sets;
    const judged = judgeSet(
      all.find((x) => x.setId === setId)!,
      all,
      fits,
    );
    for (const j of judged) {
      const { from } = done.seen.find((x) => x.habit.fault === j.fault)!.habit;
      truths.push({ fault: j.fault, from, judged: j.cause });
    }
    const [first] = judged;
    const correction = first?.remedies[0];
    if (!first || !correction || correction === 'refer' || setNo === item.sets) continue;
    const { fault, cause } = first;
    open = { id: add({ kind: 'correction', setId, fault, correction, cause }), fault, marks: marks(fault) };
    const kind = CORRECTION_KIND[correction];
    if (kind === 'set-up' && !d.computed) {
      d.computed = true;
      stand();
    } else if (kind === 'load') loadG = findNeighbourStep(steps, loadG, -1) ?? loadG;
    else if (random() < CUE.works) d.cued.set(fault, Math.min(0.95, (d.cued.get(fault) ?? 0) + CUE.takes));
  }
  d.maxKg *= STRONGER;
  for (const [fault, share] of d.cued) d.cued.set(fault, Math.max(0, share - CUE.comesBack));
  const kept = recordEvents(
    { db, actor, nowMs: atMs },
    { events: own.map((e) => ({ ...e, version: FLOOR_EVENT_VERSION })) },
  );
  if (!kept.ok || kept.reply.refused.length > 0) throw new Error(`demo: ${item.id}: ${JSON.stringify(kept)}`);
  return truths;
}

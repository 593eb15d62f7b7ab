import type { NewItem } from '@/contract/views/plan';
import type { Db } from '@/data/open-db';
import { findCare, setTrainer } from '@/data/queries/care';
import { appendScreening, findClient, saveClient } from '@/data/queries/clients';
import { addSession, findSession, setCalledOff } from '@/data/queries/sessions';
import { dayText, toLocalDay } from '@/server/clock';
import { entryOf } from '@/core/book/book';
import { findNearestStep } from '@/core/load/stack-steps';
import { kgToGrams } from '@/core/units/mass';
import { findStation } from '@/data/queries/kit';
import { loadSteps } from '@/server/load-steps';
import { seeded } from '../tracker/seeded';
import { DEMO_OWNER, DEMO_TRAINER, RELIEF } from './people';
import { beginDoing, doItem, type Doing, type Truth } from './simulate';
import { REGULARS, type Exercise, type Regular } from './weeks';
import { dayOnShow } from './world';

const WEEKS = 8;
const MINUTE_MS = 60_000;
const ACTORS = Object.fromEntries([DEMO_TRAINER, DEMO_OWNER, RELIEF].map((a) => [a.id, a]));
/** A session that is under way began so long ago, and its first movement five minutes later. */
const BEGAN_MS = 30 * MINUTE_MS;
/** Sessions begin at a time that somebody would agree on. */
const ROUND_MS = 5 * MINUTE_MS;

/** What an exercise is planned with: a load that is on its stack, rack or bar. */
function plannedLoad(db: Db, gymId: string, { movement, stationId, kg }: Exercise): number {
  const station = stationId === undefined ? null : findStation(db, stationId);
  return findNearestStep(loadSteps(db, gymId, entryOf(movement), station), kgToGrams(kg)) ?? kgToGrams(kg);
}

/** What is planned of a regular's exercises in one session; of one arm the left and the right. */
function itemsOf(db: Db, { exercises, gymId }: Regular, sessionId: string) {
  const sides = (x: Exercise): NewItem['side'][] => (x.oneArm ? ['left', 'right'] : ['both']);
  return exercises
    .flatMap((exercise) => sides(exercise).map((side) => ({ exercise, side })))
    .map(({ exercise: x, side }, position) => ({
      exercise: x,
      item: {
        id: `${sessionId}-${position}`,
        sessionId,
        position,
        movement: x.movement,
        variantId: null,
        side,
        stationId: x.stationId ?? null,
        attachmentId: x.attachmentId ?? null,
        bandId: null,
        sets: 3,
        reps: x.reps,
        tempo: x.tempo,
        loadG: plannedLoad(db, gymId, x),
      } satisfies NewItem,
    }));
}

const startOf = (today: Date, daysAgo: number, hour: number): number => {
  const day = new Date(today);
  day.setDate(day.getDate() - daysAgo);
  return day.setHours(hour, 0, 0, 0);
};

function plan(db: Db, regular: Regular, key: string, startsAtMs: number) {
  const id = `${regular.client.id}-${key}`;
  const items = itemsOf(db, regular, id);
  const { gymId, client } = regular;
  addSession(
    db,
    { id, gymId, clientId: client.id, startsAtMs, minutes: 60, items: items.map((i) => i.item) },
    regular.trainerId,
  );
  return items;
}

/** Every session of a regular's weeks, oldest first. */
function liveThrough(db: Db, regular: Regular, today: Date, random: () => number): Truth[] {
  const doings = new Map<string, Doing>();
  const days = Array.from({ length: 7 * WEEKS }, (_, k) => 7 * WEEKS - k);
  return days
    .filter((ago) => regular.days.includes(new Date(startOf(today, ago, 12)).getDay()))
    .flatMap((ago) => {
      const startsMs = startOf(today, ago, regular.hour);
      const items = plan(db, regular, `week-${ago}`, startsMs);
      const planned = Object.fromEntries(items.map(({ item }) => [item.id, item]));
      return items.flatMap(({ exercise, item }, k) => {
        const key = `${exercise.movement} ${item.side}`;
        const doing = doings.get(key) ?? beginDoing(exercise);
        doings.set(key, doing);
        const actor = ACTORS[regular.trainerId]!;
        return doItem({ db, regular, actor, random, planned }, doing, item, startsMs + k * 8 * MINUTE_MS);
      });
    });
}

/** Today's session of a regular; one that is under way has its first movement behind it, whatever the clock says. */
function planToday(db: Db, regular: Regular, today: Date, nowMs: number): void {
  const { hour, key } = dayOnShow(nowMs);
  if (regular.today === null) return;
  if (regular.today !== 'under-way') {
    plan(db, regular, key, startOf(today, 0, hour + regular.today));
    return;
  }
  const startsMs = Math.max(today.getTime(), Math.floor((nowMs - BEGAN_MS) / ROUND_MS) * ROUND_MS);
  const known = findSession(db, `${regular.client.id}-${key}`) !== null;
  const items = plan(db, regular, key, startsMs);
  const [first] = items;
  if (known || !first) return;
  const planned = Object.fromEntries(items.map(({ item }) => [item.id, item]));
  const actor = ACTORS[regular.trainerId]!;
  const session = { db, regular, actor, random: seeded(Math.floor(today.getTime() / MINUTE_MS)), planned };
  doItem(session, beginDoing(first.exercise), first.item, nowMs - BEGAN_MS + 5 * MINUTE_MS);
}

/** Days ahead that a regular's sessions are planned for. */
const AHEAD = 6;

/** A regular's sessions of the days ahead; what was planned ahead for today by an earlier loading is called off. */
function planAhead(db: Db, regular: Regular, today: Date, nowMs: number): void {
  const keyOf = (daysOn: number): string => `ahead-${dayText(startOf(today, -daysOn, 12))}`;
  setCalledOff(db, `${regular.client.id}-${keyOf(0)}`, nowMs);
  for (let on = 1; on <= AHEAD; on++) {
    const startsMs = startOf(today, -on, regular.hour);
    if (regular.days.includes(new Date(startsMs).getDay())) plan(db, regular, keyOf(on), startsMs);
  }
}

/**
 * Eight weeks of the demo's regulars up to yesterday, once, and today's sessions of those who come, one of them under
 * way. Tells of every
 * fault that was tapped why it had come and what it was judged to come from.
 */
export function loadEightWeeks(db: Db, nowMs: number): readonly Truth[] {
  const today = new Date(nowMs);
  today.setHours(0, 0, 0, 0);
  const truths = REGULARS.flatMap((regular, k) => {
    const { client, trainerId } = regular;
    const known = findClient(db, client.id) !== null;
    if (!known) saveClient(db, client, DEMO_OWNER.id);
    if (findCare(db, client.id)?.trainerId === null) setTrainer(db, client.id, trainerId);
    if (!known)
      appendScreening(db, {
        id: `screening-${client.id}`,
        clientId: client.id,
        day: toLocalDay(nowMs) - 60 - 30 * k,
        doneBy: 'Tomasz Adeyemi',
        procedure: 'front-desk questionnaire and talk',
        recordedAtMs: nowMs,
        actorId: DEMO_OWNER.id,
      });
    return known ? [] : liveThrough(db, regular, today, seeded(101 + k));
  });
  for (const regular of REGULARS) {
    planToday(db, regular, today, nowMs);
    planAhead(db, regular, today, nowMs);
  }
  return truths;
}

import { CORRECTION_KIND, type CorrectionCode } from '@/core/movement/correction-code';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { foldSetLog } from '@/core/record/set-log';
import { usualOptions } from '@/core/book/entry-options';
import { entryOf } from '@/core/book/book';
import { kgToGrams } from '@/core/units/mass';
import type { Client } from '@/contract/views/client';
import type { NewItem } from '@/contract/views/plan';
import type { Db } from '@/data/open-db';
import { setTrainer } from '@/data/queries/care';
import { saveClient } from '@/data/queries/clients';
import { insertFloorEvents } from '@/data/queries/floor-events';
import { foldSome, writeFold } from '@/data/queries/folds';
import { addSession } from '@/data/queries/sessions';
import { seeded } from '../tracker/seeded';
import { GYM } from './kit';
import { DEMO_TRAINER } from './people';
import { REGULARS, type Exercise } from './weeks';

/** How long and how busy: clients, years, sessions a week. */
export interface Busy {
  readonly clients: number;
  readonly years: number;
  readonly aWeek: number;
}

/** Five years of a busy gym: about a million sets. */
export const FIVE_YEARS: Busy = { clients: 60, years: 5, aWeek: 3 };

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const EXERCISES_EACH = 5;
const actorId = DEMO_TRAINER.id;

const FIRST = ['Amahle', 'Birger', 'Calypso', 'Dragan', 'Eluned', 'Farrukh', 'Ginevra', 'Hakan', 'Imogen', 'Jovana'];
const LAST = ['Abelard-Nkosi', 'Brannigan-Sato', 'Castellane', 'Dubrovnik-Hale', 'Eskildsen', 'Fonoti-Marsh'];

/** The exercises of the demo's regulars at the gym itself. */
const POOL: readonly Exercise[] = REGULARS.filter((r) => r.gymId === GYM.id).flatMap((r) => r.exercises);

const clientOf = (k: number): Client => ({
  ...REGULARS[0]!.client,
  id: `busy-${k}`,
  name: `${FIRST[k % FIRST.length]} ${LAST[Math.floor(k / FIRST.length) % LAST.length]}`,
  statureM: Math.round((1.48 + ((k * 37) % 54) / 100) * 100) / 100,
  massKg: 52 + ((k * 29) % 50),
  note: '',
  measuredM: {},
  notes: [],
});

/** Planned movements of a session: some of the pool, one arm as left and right. */
function itemsOf(k: number, sessionId: string): { readonly exercise: Exercise; readonly item: NewItem }[] {
  return Array.from({ length: EXERCISES_EACH }, (_, i) => POOL[(k + i * 3) % POOL.length]!)
    .filter((x, i, all) => all.findIndex((y) => y.movement === x.movement) === i)
    .flatMap((exercise) =>
      (exercise.oneArm ? (['left', 'right'] as const) : (['both'] as const)).map((side) => ({ exercise, side })),
    )
    .map(({ exercise: x, side }, position) => ({
      exercise: x,
      item: {
        ...{ id: `${sessionId}-${position}`, sessionId, position, movement: x.movement, variantId: null, side },
        ...{ stationId: x.stationId ?? null, attachmentId: x.attachmentId ?? null, bandId: null },
        ...{ sets: 3, reps: x.reps, tempo: x.tempo, loadG: kgToGrams(x.kg) },
      },
    }));
}

/** What was tapped of a planned movement: three sets, faults by chance, corrections that hold or not. */
function eventsOf(
  clientId: string,
  { exercise, item }: ReturnType<typeof itemsOf>[number],
  atMs: number,
  random: () => number,
): FloorEvent[] {
  const events: FloorEvent[] = [];
  const where = { clientId, itemId: item.id, movement: item.movement, actorId, deviceId: 'busy' };
  const add = (body: FloorEventBody, afterMs: number): string => {
    const id = `${item.id}-${events.length}`;
    const last = events.at(-1)?.atMs ?? atMs;
    events.push({ ...body, ...where, id, seq: events.length, atMs: last + afterMs } as FloorEvent);
    return id;
  };
  const placement = item.stationId === null ? null : { hole: 8, standX: 0.3, standZ: 0, yawDeg: 0 };
  const { stationId, attachmentId, side, loadG } = item;
  const options = usualOptions(entryOf(item.movement));
  add({ kind: 'setup-saved', placement, solved: placement, off: false, stationId, attachmentId, side, options }, 0);
  let open: string | null = null;
  for (let setNo = 1; setNo <= item.sets; setNo++) {
    const setId = `${item.id}s${setNo}`;
    const reps = item.reps - Math.floor(random() * 3);
    add({ kind: 'set-started', setId, setNo, loadG, targetReps: item.reps, tempo: item.tempo }, 90_000);
    const [habit] = exercise.habits;
    const fault = habit && random() < 0.35 ? habit.fault : null;
    if (fault)
      add(
        {
          kind: 'fault',
          setId,
          rep: 1 + Math.floor(random() * reps),
          fault,
          side: 'both',
          severity: FAULT_BOOK[fault].severity,
        },
        20_000,
      );
    add({ kind: 'set-ended', setId, reps }, 40_000);
    add({ kind: 'set-confirmed', setId, loadG, reps }, 2000);
    if (open !== null)
      add({ kind: 'outcome', correctionId: open, setId, outcome: random() < 0.6 ? 'held' : 'not' }, 1000);
    open = null;
    const correction: CorrectionCode | undefined = fault ? FAULT_BOOK[fault].corrections[0] : undefined;
    if (fault && correction && setNo < item.sets)
      open = add({ kind: 'correction', setId, fault, correction, cause: CORRECTION_KIND[correction] }, 1000);
  }
  return events;
}

/** One session of a client with all that was tapped in it; how many sets. */
function keepSession(db: Db, k: number, startsAtMs: number, done: boolean, random: () => number): number {
  const clientId = `busy-${k}`;
  const id = `${clientId}-${startsAtMs}`;
  const items = itemsOf(k, id);
  addSession(db, { id, gymId: GYM.id, clientId, startsAtMs, minutes: 60, items: items.map((i) => i.item) }, actorId);
  if (!done) return 0;
  items.forEach((planned, i) => {
    const { item } = planned;
    const events = eventsOf(clientId, planned, startsAtMs + i * 7 * MINUTE_MS, random);
    insertFloorEvents(db, events, events.at(-1)!.atMs);
    const { sets, pains, setups } = foldSetLog(events, { [item.id]: item });
    const folded = { atMs: events[0]!.atMs, log: { sets, pains, setups }, unreadable: [] };
    writeFold(db, item.id, { clientId, movement: item.movement }, folded);
  });
  return items.length * 3;
}

/**
 * Years of a busy gym in a database that has the demo's kit and people, up to today, whose sessions are planned. Tells
 * after every day how far it is, from 0 to 1, and how many sets there are.
 */
export function loadYears(
  db: Db,
  nowMs: number,
  { clients, years, aWeek }: Busy,
  tell: (share: number, sets: number) => void,
): number {
  const random = seeded(77);
  const today = new Date(nowMs).setHours(0, 0, 0, 0);
  const days = Math.round(years * 364);
  for (let k = 0; k < clients; k++) {
    saveClient(db, clientOf(k), actorId);
    setTrainer(db, `busy-${k}`, actorId);
  }
  let sets = 0;
  for (let ago = days; ago >= 0; ago--) {
    db.transaction(() => {
      for (let k = 0; k < clients; k++) {
        const comes = (ago * aWeek + k * 2) % 7 < aWeek;
        const startsMs = today - ago * DAY_MS + (7 * 60 + ((k * 23) % (13 * 60))) * MINUTE_MS;
        if (comes) sets += keepSession(db, k, startsMs, ago > 0, random);
      }
    })();
    tell(1 - ago / days, sets);
  }
  // Everything is folded: that is noted.
  while (foldSome(db, 500) > 0);
  return sets;
}

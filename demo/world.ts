import { CORRECTION_KIND, type CorrectionCode, type RemedyKind } from '@/core/movement/correction-code';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { poseKnown } from '@/core/book/pose-question';
import { searchOf } from '@/core/book/posed-question';
import { solveSetup } from '@/core/setup/solve-setup';
import { findTolerance, isWithin } from '@/core/setup/tolerance';
import { caseSchema } from '@/contract/case';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-record';
import { toQuestion } from '@/solver/to-question';
import type { Db } from '@/data/open-db';
import type { Actor } from '@/contract/actor';
import type { Client } from '@/contract/views/client';
import type { SessionItem } from '@/contract/views/plan';
import { addAccount, findAccount } from '@/data/queries/accounts';
import { findCare, setTrainer } from '@/data/queries/care';
import { appendScreening, saveClient } from '@/data/queries/clients';
import { listGyms, saveGym } from '@/data/queries/gyms';
import { saveKit } from '@/data/queries/kit';
import { GYM, KIT, YARD } from './kit';
import { addSession, findItem } from '@/data/queries/sessions';
import { toLocalDay } from '@/server/clock';
import { loadItem } from '@/server/item-context';
import { recordEvents } from '@/server/record-events';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { Outcome } from '@/core/record/floor-event';

/** An invented gym, its kit, its people and what they did. Nobody and nothing here is real. */

const PLAIN = { notes: [], unfelt: [], limits: [], armPath: { left: [], right: [] }, chestLineDeg: null } as const;

const CLIENTS: readonly Client[] = [
  {
    ...PLAIN,
    id: 'corvin',
    name: 'Corvin Haldane-Abara',
    statureM: 1.81,
    massKg: 84,
    note: 'Trains with Tindra; comes on Thursdays.',
    measuredM: {},
    range: { left: {}, right: {} },
  },
  {
    ...PLAIN,
    id: 'sefina',
    name: 'Sefina Taualofa',
    statureM: 1.52,
    massKg: 58,
    note: 'First month. Does not feel the lower chest yet.',
    measuredM: { shoulderHeight: 1.25 },
    notes: ['first-month', 'does-not-feel'],
    unfelt: ['chest-lower'],
    range: { left: { 'shoulder.horizontalAbduction': 14 }, right: { 'shoulder.horizontalAbduction': 12 } },
  },
  {
    ...PLAIN,
    id: 'anselm',
    name: 'Anselm Okparaeke',
    statureM: 1.75,
    massKg: 77,
    note: 'Right shoulder stiff: opens to 4° behind on that side.',
    measuredM: {},
    range: {
      left: { 'shoulder.horizontalAbduction': 11, 'shoulder.flexion': 168 },
      right: { 'shoulder.horizontalAbduction': 4, 'shoulder.flexion': 141, 'shoulder.externalRotation': 62 },
    },
    armPath: {
      left: [
        [0, 4],
        [10, 7],
        [20, 8.5],
        [30, 7],
      ].map(([belowDeg, cm]) => ({ belowDeg: belowDeg!, behindM: cm! / 100 })),
      right: [
        [0, 1],
        [10, 3],
        [20, 5],
        [30, 5.5],
        [40, 4],
      ].map(([belowDeg, cm]) => ({ belowDeg: belowDeg!, behindM: cm! / 100 })),
    },
  },
  {
    ...PLAIN,
    id: 'iolana',
    name: 'Iolana Brzezicki',
    statureM: 1.63,
    massKg: 66,
    note: 'Back after the clinic: within the limits only.',
    measuredM: { shoulderHeight: 1.34, kneeHeight: 0.47 },
    range: {},
    notes: ['shoulder', 'recent-surgery', 'blood-pressure'],
    limits: [
      {
        subject: 'shoulder.horizontalAbduction',
        side: 'left',
        most: 0,
        setBy: 'physiotherapist',
        fromDay: 20_000,
        untilDay: null,
      },
      { subject: 'load-in-hand', side: 'both', most: 8, setBy: 'physiotherapist', fromDay: 20_000, untilDay: null },
    ],
  },
  {
    ...PLAIN,
    id: 'wilhelmina',
    name: 'Wilhelmina Brandstrup-Kjeldgaard',
    statureM: 1.98,
    massKg: 88,
    note: '',
    measuredM: { shoulderHeight: 1.63, elbowHeight: 1.26, upperArm: 0.375 },
    range: {},
  },
];

/**
 * Screenings on record: how many days ago, by whom, how. Wilhelmina's is too old, so that the warning has something to
 * say.
 */
const SCREENINGS = [
  { client: 'sefina', daysAgo: 20, doneBy: 'Tomasz Adeyemi', procedure: 'front-desk questionnaire and talk' },
  { client: 'anselm', daysAgo: 140, doneBy: 'Tomasz Adeyemi', procedure: 'front-desk questionnaire and talk' },
  {
    client: 'wilhelmina',
    daysAgo: 400,
    doneBy: 'Ngaire Castellanos',
    procedure: 'questionnaire on paper, in the blue folder',
  },
] as const;

type Plan = Omit<SessionItem, 'id' | 'sessionId' | 'position'>;
const plan = (movement: Plan['movement'], stationId: string, loadKg: number, reps = 12, tempo = '3-1-2-1'): Plan => ({
  movement,
  variantId: null,
  side: 'both',
  stationId,
  attachmentId: 'd-handle',
  bandId: null,
  sets: 3,
  reps,
  tempo,
  loadG: loadKg * 1000,
});

/** One of the book beside the flies: its own side, load and tempo. */
const own = (movement: SessionItem['movement'], change: Partial<Plan>): Plan => ({
  movement,
  variantId: null,
  side: 'right',
  stationId: null,
  attachmentId: null,
  bandId: null,
  sets: 3,
  reps: 12,
  tempo: '3-1-1-1',
  loadG: 8000,
  ...change,
});

const PLANS: Readonly<Record<string, readonly Plan[]>> = {
  sefina: [plan('cable-fly-high-to-low', 'long-pair', 7.5), plan('cable-fly-low-to-high', 'long-pair', 5, 15)],
  anselm: [plan('cable-fly-level', 'long-pair', 15), plan('cable-fly-high-to-low', 'long-pair', 12.5)],
  wilhelmina: [
    plan('cable-fly-high-to-low', 'short-pair', 30, 10, '4-1-2-1'),
    plan('cable-fly-level', 'long-pair', 17.5),
    own('cable-row-level-one-arm', { stationId: 'long-pair', attachmentId: 'd-handle', loadG: 25_000 }),
    own('preacher-curl-neutral', { loadG: 9000, tempo: '3-0-1-1, 40-75deg: 3s' }),
    own('leg-extension', { side: 'both', loadG: 40_823, tempo: '3-0-1-1' }),
    own('dumbbell-row-hinged', { side: 'both', loadG: 14_000 }),
    own('pull-up-band-assisted', { side: 'both', loadG: 0, bandId: 'grey-band' }),
  ],
};

/** One set of the past: load, reps, faults by rep, the correction given after it and how it fared. */
interface PastSet {
  readonly kg: number;
  readonly reps: number;
  readonly faults?: readonly (readonly [FaultCode, readonly number[]])[];
  readonly correction?: readonly [FaultCode, CorrectionCode, Outcome];
}

const PAST: readonly {
  readonly client: string;
  readonly daysAgo: number;
  readonly item: number;
  readonly holeOff?: number;
  readonly sets: readonly PastSet[];
}[] = [
  {
    client: 'sefina',
    daysAgo: 8,
    item: 0,
    holeOff: -3,
    sets: [
      {
        kg: 7.5,
        reps: 12,
        faults: [
          ['line-off-arm', [2, 6, 9]],
          ['shrugs', [10, 12]],
        ],
        correction: ['line-off-arm', 'solved-hole', 'held'],
      },
      { kg: 7.5, reps: 12, faults: [['shrugs', [11, 12]]], correction: ['shrugs', 'one-step-lighter', 'partly'] },
      { kg: 5, reps: 12, faults: [['shrugs', [12]]] },
    ],
  },
  {
    client: 'sefina',
    daysAgo: 4,
    item: 0,
    sets: [
      {
        kg: 5,
        reps: 12,
        faults: [['arms-stay-bent', [1, 4, 8]]],
        correction: ['arms-stay-bent', 'straighten-at-finish', 'held'],
      },
      { kg: 5, reps: 13 },
      { kg: 7.5, reps: 11, faults: [['shrugs', [9, 11]]] },
    ],
  },
  {
    client: 'anselm',
    daysAgo: 7,
    item: 0,
    sets: [
      {
        kg: 15,
        reps: 12,
        faults: [
          ['shoulders-roll-forward', [1, 3, 7]],
          ['lowering-dropped', [12]],
        ],
        correction: ['shoulders-roll-forward', 'blades-down', 'not'],
      },
      {
        kg: 15,
        reps: 12,
        faults: [['shoulders-roll-forward', [2, 5, 8]]],
        correction: ['shoulders-roll-forward', 'one-step-lighter', 'held'],
      },
      { kg: 12.5, reps: 12 },
    ],
  },
  {
    client: 'anselm',
    daysAgo: 3,
    item: 0,
    sets: [
      { kg: 12.5, reps: 12 },
      {
        kg: 15,
        reps: 12,
        faults: [['shoulders-roll-forward', [9, 10, 12]]],
        correction: ['shoulders-roll-forward', 'one-step-lighter', 'held'],
      },
      { kg: 12.5, reps: 12, faults: [['lowering-dropped', [12]]] },
    ],
  },
  {
    client: 'wilhelmina',
    daysAgo: 5,
    item: 1,
    sets: [
      {
        kg: 17.5,
        reps: 12,
        faults: [['range-shrinks', [10, 11, 12]]],
        correction: ['range-shrinks', 'end-set-sooner', 'held'],
      },
      { kg: 17.5, reps: 10 },
    ],
  },
];

/** Who works in the demo: gone in with a tap, without passphrases. */
export const DEMO_TRAINER: Actor = { id: 'marit', name: 'Marit Oduya-Lindqvist', role: 'trainer' };
export const DEMO_OWNER: Actor = { id: 'owner', name: 'Casimir Vell', role: 'owner' };
const RELIEF: Actor = { id: 'relief', name: 'Tindra Asante-Rowe', role: 'trainer' };
const actorId = DEMO_TRAINER.id;

/** Everybody who may go in, and whose clients are whose; accounts that are there already stay as they are. */
function loadAccounts(db: Db): void {
  for (const a of [DEMO_TRAINER, DEMO_OWNER, RELIEF])
    if (!findAccount(db, a.id)) addAccount(db, { ...a, passphraseHash: null });
  for (const { id } of CLIENTS)
    if (findCare(db, id)?.trainerId === null) setTrainer(db, id, id === 'corvin' ? RELIEF.id : DEMO_TRAINER.id);
}

function loadKitAndPeople(db: Db, nowMs: number): void {
  saveGym(db, GYM, actorId);
  saveGym(db, YARD, actorId);
  KIT.forEach((p) => saveKit(db, p, actorId));
  CLIENTS.forEach((c) => saveClient(db, c, actorId));
  for (const s of SCREENINGS)
    appendScreening(db, {
      id: `screening-${s.client}`,
      clientId: s.client,
      day: toLocalDay(nowMs) - s.daysAgo,
      doneBy: s.doneBy,
      procedure: s.procedure,
      recordedAtMs: nowMs,
      actorId,
    });
}

function addDay(db: Db, dayStart: Date, key: string, clientId: string, hour: number): void {
  const startsAt = new Date(dayStart);
  startsAt.setHours(hour, 0, 0, 0);
  const sessionId = `${clientId}-${key}`;
  const session = {
    id: sessionId,
    gymId: GYM.id,
    clientId,
    startsAtMs: startsAt.getTime(),
    minutes: 60,
    items: PLANS[clientId]!.map((p, i) => ({ ...p, id: `${sessionId}-${i}`, sessionId, position: i })),
  };
  addSession(db, session, actorId);
}

/** Replays a past session through the same use case as real taps. */
function replay(db: Db, past: (typeof PAST)[number], dayStart: Date): void {
  const itemId = `${past.client}-past-${past.daysAgo}-${past.item}`;
  const item = findItem(db, itemId)!;
  const context = loadItem({ db, actor: DEMO_TRAINER, nowMs: dayStart.getTime() }, itemId)!;
  const question = toQuestion(caseSchema.parse(context.setupCase));
  const problem = searchOf(poseKnown(question));
  const solution = solveSetup(problem);
  if (!solution.feasible) throw new Error(`demo: ${itemId} has no set-up`);
  const solved = solution.best.placement;
  const tolerance = findTolerance(problem, solution.best);
  const events: FloorEvent[] = [];
  let atMs = dayStart.getTime() + 10 * 3_600_000;
  let seq = 0;
  const add = (body: FloorEventBody): string => {
    seq += 1;
    atMs += 1000;
    const id = `${itemId}-e${seq}`;
    events.push({
      ...body,
      id,
      actorId,
      deviceId: 'demo-tablet',
      seq,
      atMs,
      clientId: past.client,
      itemId,
      movement: item.movement,
    });
    return id;
  };
  const saveSetup = (off: number): void => {
    const placement = { ...solved, hole: solved.hole + off };
    add({
      kind: 'setup-saved',
      placement,
      solved,
      off: !isWithin(tolerance, solved, placement),
      stationId: item.stationId,
      attachmentId: item.attachmentId,
      side: item.side,
      options: question.options,
    });
  };
  saveSetup(past.holeOff ?? 0);
  let open: { id: string; outcome: Outcome } | null = null;
  past.sets.forEach((set, i) => {
    const setId = `${itemId}-s${i + 1}`;
    const loadG = set.kg * 1000;
    add({ kind: 'set-started', setId, setNo: i + 1, loadG, targetReps: item.reps, tempo: item.tempo });
    for (let rep = 1; rep <= set.reps; rep++) {
      for (const [fault, reps] of set.faults ?? [])
        if (reps.includes(rep))
          add({ kind: 'fault', setId, rep, fault, side: 'both', severity: FAULT_BOOK[fault].severity });
      atMs += 6000;
      add({ kind: 'rep', setId, rep });
    }
    add({ kind: 'set-ended', setId, reps: set.reps });
    add({ kind: 'set-confirmed', setId, loadG, reps: set.reps });
    if (open) add({ kind: 'outcome', correctionId: open.id, setId, outcome: open.outcome });
    open = null;
    if (set.correction) {
      const [fault, correction, outcome] = set.correction;
      const cause: RemedyKind = CORRECTION_KIND[correction];
      open = { id: add({ kind: 'correction', setId, fault, correction, cause }), outcome };
      if (correction === 'solved-hole') saveSetup(0);
    }
    atMs += 90_000;
  });
  const result = recordEvents(
    { db, actor: DEMO_TRAINER, nowMs: atMs },
    { events: events.map((e) => ({ ...e, version: FLOOR_EVENT_VERSION })) },
  );
  if (!result.ok) throw new Error(`demo: ${itemId}: ${JSON.stringify(result.issues)}`);
}

/** Load the world where it is missing, and give today its sessions; what was recorded stays. */
export function loadDemoWorld(db: Db, nowMs: number): void {
  const today = new Date(nowMs);
  today.setHours(0, 0, 0, 0);
  const fresh = !listGyms(db).some((g) => g.id === GYM.id);
  if (fresh) loadKitAndPeople(db, nowMs);
  loadAccounts(db);
  if (fresh) {
    for (const past of PAST.toSorted((a, b) => b.daysAgo - a.daysAgo)) {
      const dayStart = new Date(today);
      dayStart.setDate(dayStart.getDate() - past.daysAgo);
      addDay(db, dayStart, `past-${past.daysAgo}`, past.client, 10);
      replay(db, past, dayStart);
    }
  }
  // Sessions sit around now, so that whoever opens the demo finds somebody next.
  const hour = Math.min(20, Math.max(7, new Date(nowMs).getHours()));
  const two = (n: number): string => String(n).padStart(2, '0');
  const key = `${today.getFullYear()}-${two(today.getMonth() + 1)}-${two(today.getDate())}`;
  addDay(db, today, key, 'sefina', hour);
  addDay(db, today, key, 'anselm', hour + 1);
  addDay(db, today, key, 'wilhelmina', hour + 2);
}

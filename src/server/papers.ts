import 'server-only';
import { limitsOn } from '@/core/body/clinician-limit';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { correctionFits } from '@/core/fault/correction-fits';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { rankFaults } from '@/core/fault/watch-list';
import { CORRECTION_KIND, type CorrectionCode } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { handOverOf, rangesThatDiffer, type MovementHandOver } from '@/core/fault/hand-over';
import type { SetRecord, UsedSetup } from '@/core/record/set-log';
import type { PaperRow, PaperView } from '@/contract/views/paper';
import type { Session } from '@/contract/views/plan';
import { readNewest } from '@/data/queries/newest-records';
import { readFolds } from '@/data/queries/read-folds';
import { BOOK_TEXT, doneName } from '@/messages/book';
import { day, moment } from '@/messages/day';
import { cueOfCorrection, FAULT_TEXT } from '@/messages/faults';
import { holeText } from '@/messages/holes';
import { REGION_NAME } from '@/messages/movements';
import { NOTE_TEXT, screeningText } from '@/messages/notes';
import { saidText } from '@/messages/numbers';
import { bySideText, limitInForceText, PAPER, rangeDiffersText, setsText } from '@/messages/papers';
import { setupPlaceText } from '@/messages/setup-book';
import { tempoNumbers } from '@/messages/schemes';
import { toLocalDay } from './clock';
import { kitNames } from './kit-names';
import { loadsOf } from './ledger';
import { reachClient, reachSession, reachSessionsWith } from './reach';
import { loadScreening } from './screening';
import type { UseCase } from './use-case';

/** Movements that are handed over: the newest ones, as many as fit a page. */
const MOST_MOVEMENTS = 12;

type Names = ReturnType<typeof kitNames>;

/** Where a set-up stood and on what, in words. */
function placeText(names: Names, u: UsedSetup): string {
  const station = names.stationOf(u.stationId);
  const hole = u.placement && station ? holeText(station.column, u.placement, u.side) : null;
  const where = [station?.name, names.handle(u.attachmentId)].filter(Boolean).join(', ');
  return PAPER.stands(setupPlaceText(u.placement, hole), where);
}

/** What is said of one movement: how it stands and was last done on each side, what works, what to watch. */
function handedOver(uc: UseCase, movement: MovementId, m: MovementHandOver, session: Session | null): PaperRow {
  const names = kitNames(uc.db);
  const sayLoad = loadsOf(uc.db);
  // What is set by rule is computed for whoever comes: only a place at a column is remembered.
  const places = m.sides.flatMap(({ side, setup }) =>
    setup?.placement ? [{ side, text: placeText(names, setup) }] : [],
  );
  const done = m.sides.map(({ side, last }) => {
    const load = sayLoad(movement, session, last);
    return { side, text: PAPER.lastDone(load, last.reps, tempoNumbers(last.tempo), day(last.startedAtMs)) };
  });
  const sides = [...bySideText(places), ...bySideText(done)];
  const works = m.works.map((e) => PAPER.works(cueOfCorrection(e.correction), e));
  const watch = m.watch.map((w) => PAPER.watch(FAULT_TEXT[w.fault].seen, w.setsSeen, w.sets));
  return {
    name: doneName(movement, 'both'),
    lines: [...sides, ...works, ...(watch.length > 0 ? watch : [PAPER.nothingToWatch])],
  };
}

/** Everything that the next trainer needs of a client, on one page; null for nobody in the care of who asks. */
export function loadHandOver(uc: UseCase, clientId: string): PaperView | null {
  const client = reachClient(uc, clientId);
  if (!client) return null;
  const { db, nowMs, actor } = uc;
  const { items, byMovement } = readNewest(db, clientId, null);
  const done = BOOK.flatMap(({ id }) => {
    const log = byMovement.get(id);
    const m = log && handOverOf(log);
    return m ? [{ id, m }] : [];
  })
    .toSorted((a, b) => b.m.lastAtMs - a.m.lastAtMs)
    .slice(0, MOST_MOVEMENTS);
  const sessions = new Map(reachSessionsWith(uc, clientId, items).map((s) => [s.id, s]));
  const saidIn = client.saidIn ?? 'metric';
  const limits = limitsOn(client.limits, toLocalDay(nowMs)).map(limitInForceText);
  const differ = rangesThatDiffer(client.range).map(rangeDiffersText);
  const screening = screeningText(loadScreening(uc, clientId, null).state);
  const row = (name: string, lines: readonly string[]): PaperRow[] => (lines.length > 0 ? [{ name, lines }] : []);
  const stature = saidText(Math.round(client.statureM * 100), 'cm', saidIn);
  return {
    title: PAPER.handOver(client.name),
    under: PAPER.asOf(moment(nowMs), actor.name),
    parts: [
      {
        title: PAPER.whoItIs,
        rows: [
          ...row(PAPER.body, [`${stature}, ${saidText(client.massKg, 'kg', saidIn)}`]),
          ...row(PAPER.mind, [
            ...(client.note === '' ? [] : [client.note]),
            ...client.notes.map((n) => `${NOTE_TEXT[n].name}. ${NOTE_TEXT[n].does}`),
          ]),
          ...row(PAPER.limits, limits),
          ...row(PAPER.leftAndRight, differ),
          ...row(PAPER.screening, screening === null ? [] : [screening]),
        ],
      },
      {
        title: PAPER.movements,
        rows:
          done.length > 0
            ? done.map(({ id, m }) => handedOver(uc, id, m, sessions.get(m.sides[0]!.last.sessionId) ?? null))
            : [{ name: PAPER.nothingDone, lines: [] }],
      },
    ],
    foot: PAPER.handOverFoot,
  };
}

/** A cue that a client can practise alone: of a fault the one that held, else the first there is. */
function cueFor(movement: MovementId, fault: FaultCode, sets: readonly SetRecord[]): CorrectionCode | null {
  const given = sets.flatMap((s) => s.corrections).filter((c) => c.fault === fault);
  const held = given.findLast((c) => c.outcome === 'held' && CORRECTION_KIND[c.correction] === 'cue');
  const fits = (c: CorrectionCode): boolean => correctionFits(entryOf(movement), c) && CORRECTION_KIND[c] === 'cue';
  return held?.correction ?? FAULT_BOOK[fault].corrections.find(fits) ?? null;
}

interface DoneMovement {
  readonly movement: MovementId;
  readonly sets: readonly SetRecord[];
  readonly setups: readonly UsedSetup[];
}

/** The one thing to practise: a cue for the fault that weighs most, else the cue of the last movement. */
function practise(done: readonly DoneMovement[]): string {
  const ranked = done
    .flatMap((own) => rankFaults(own.sets).map(({ fault, weight }) => ({ own, fault, weight })))
    .toSorted((a, b) => b.weight - a.weight);
  for (const { own, fault } of ranked) {
    const cue = cueFor(own.movement, fault, own.sets);
    if (cue) return `${doneName(own.movement, 'both')}: ${cueOfCorrection(cue)}.`;
  }
  const { movement } = done.at(-1)!;
  return `${doneName(movement, 'both')}: ${BOOK_TEXT[movement]!.cue}.`;
}

/** What a client takes home from a session; null for none in the care of who asks. Nothing medical is on it. */
export function loadSummary(uc: UseCase, sessionId: string): PaperView | null {
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  if (!client) return null;
  const items = session.items.map((i) => i.id);
  const folds = readFolds(uc.db, { clientId: client.id, items });
  const movements = [...new Set(session.items.map((i) => i.movement))];
  const done = movements.flatMap((movement): DoneMovement[] => {
    const log = folds.get(movement);
    const sets = log?.sets.filter((s) => s.endedAtMs !== null) ?? [];
    return sets.length > 0 ? [{ movement, sets, setups: log!.setups }] : [];
  });
  const names = kitNames(uc.db);
  const sayLoad = loadsOf(uc.db);
  const rows = done.map(({ movement, sets, setups }): PaperRow => {
    const sides = [...new Set(sets.map((s) => s.side))];
    return {
      name: doneName(movement, 'both'),
      lines: [
        ...bySideText(
          sides.map((side) => {
            const own = sets.filter((s) => s.side === side);
            return { side, text: setsText(own.map((s) => ({ load: sayLoad(movement, session, s), reps: s.reps }))) };
          }),
        ),
        ...bySideText(
          sides.flatMap((side) => {
            const setup = setups.findLast((u) => u.side === side && u.placement !== null);
            return setup ? [{ side, text: placeText(names, setup) }] : [];
          }),
        ),
        PAPER.feel(REGION_NAME[entryOf(movement).target]),
      ],
    };
  });
  return {
    title: PAPER.summary(client.name),
    under: moment(session.startsAtMs),
    parts:
      done.length === 0
        ? [{ title: PAPER.whatWeDid, rows: [{ name: PAPER.noSets, lines: [] }] }]
        : [
            { title: PAPER.whatWeDid, rows },
            { title: PAPER.practise, rows: [{ name: practise(done), lines: [] }] },
          ],
    foot: PAPER.summaryFoot,
  };
}

import type { ClientNote } from '@/core/body/client-note';
import type { Region } from '@/core/body/region-line';
import { BOOK, entryOf, type MovementId } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { handleFor, serveHere, workOf, type ChooseInput } from '@/core/book/choose';
import { worthOfKind, type PlanPractice } from '@/core/book/standing-practice';
import { bestOrderBy } from '@/core/plan/fit-session';
import { planBlocks, type PlanBlock, type PlannedMovement } from '@/core/plan/plan-blocks';
import { brokenRules, isKept } from '@/core/plan/session-order';
import { betweenS, type ChangeTimes } from '@/core/plan/session-time';
import { blocksSeconds } from '@/core/plan/turns';
import { MUSCLES, muscleOf, type Muscle } from '@/core/week/muscle';
import type { Span } from '@/core/week/range-coverage';
import { loadedBy, spansOf, type UsedMovement } from '@/core/week/week-coverage';
import { chooseSession, extended, whyOf, type Why } from './propose-session';
import { SETS, type Candidate, type Chosen, type Wanted } from './session-value';
import { needsOf, type WeeksSoFar } from './session-need';

/** What a session is proposed from. */
export interface ProposeInput {
  readonly goals: readonly Region[];
  readonly choosing: ChooseInput;
  readonly weeks: WeeksSoFar;
  /** This week's movements as they were set up, with what is planned in it. */
  readonly used: readonly UsedMovement[];
  /** Movements that the client has done lately. */
  readonly known: readonly string[];
  /** Regions that the client does not feel yet. */
  readonly unfelt: readonly Region[];
  readonly isFirstMonth: boolean;
  /** Where practitioners differ on a plan: what stands for this client. */
  readonly practice: PlanPractice;
  /** What the session holds already: it stays. */
  readonly planned: readonly (PlanBlock & { readonly isBegun: boolean })[];
  readonly minutes: number;
  readonly times: ChangeTimes;
}

/** A movement that could be planned, with all that its time and order follow from. */
export interface Offer extends Omit<Candidate, 'seconds'> {
  readonly id: MovementId;
  readonly reps: number;
  /** As it would be planned, a set of it each; both sides where it has two. */
  readonly items: readonly PlannedMovement[];
}

/** A movement of the proposal, and why it is there; null for what is done before the work. */
export interface ProposedMovement {
  readonly id: MovementId;
  readonly sets: number;
  readonly why: Why | null;
}

/** A session as it is proposed, in its order, beside what could be planned instead. */
export interface Proposal {
  readonly movements: readonly ProposedMovement[];
  readonly offers: readonly Offer[];
}

/** A movement that the client has not done lately counts so much of what it would (ours: what is known goes well). */
const NEW_TO_THEM = 0.9;
/** So many movements of a region are looked at, best first. */
const LOOKED_AT = 8;

/** A movement as it would be planned. */
function itemsOf(entry: BookEntry & { readonly id: MovementId }, columnId: string | null, input: ChooseInput) {
  const { id, tempo, reps } = entry;
  const attachmentId = handleFor(entry, input.gym.attachments)?.kind ?? null;
  return sidesOf(entry).map((side): PlannedMovement => ({
    ...{ id: `${id} ${side}`, movement: id, variantId: null, side, sets: 1, reps: reps.max, tempo },
    ...{ stationId: columnId, attachmentId, pairId: null, isPinned: false, aims: null },
  }));
}

/** An offer with so many sets, as a block of a session. */
const blockOf = ({ items }: Pick<Offer, 'items'>, sets: number, notes: readonly ClientNote[]): PlanBlock =>
  planBlocks(
    items.map((i) => ({ ...i, sets })),
    notes,
  )[0]!;

/** An offer with what it makes its target do, and whether its kind is held to be worth as much as the best. */
type Found = Offer & { readonly score: number; readonly isHeldWorth: boolean };

/** A movement as it is offered with this gym's kit; null where it cannot be done here. */
function offerOf(entry: (typeof BOOK)[number], input: ProposeInput): Found | null {
  const { choosing, known, practice } = input;
  const served = serveHere(entry, choosing);
  if (served.objection) return null;
  const { target, secondary, id, reps } = entry;
  const { from, samples } = served.answer;
  const score = workOf(target, served.answer, choosing).score * (known.includes(id) ? 1 : NEW_TO_THEM);
  const isHeldWorth = worthOfKind(entry, practice) === 'worth-it';
  const items = itemsOf(entry, served.columnId, choosing);
  const base = { id, target, secondary, items, reps: reps.max, worth: 1, score, isHeldWorth };
  return { ...base, spans: spansOf(target, from, samples.load) };
}

/** Muscles that are trained for and not felt yet: those of the noted regions, or all where none is named. */
function notFelt({ goals, unfelt, choosing }: ProposeInput): ReadonlySet<Muscle> {
  if (!choosing.notes.includes('does-not-feel')) return new Set();
  return new Set(goals.filter((r) => unfelt.length === 0 || unfelt.includes(r)).map(muscleOf));
}

/** What a region can be worked by here, best first, each by its share of the best. */
function bestFirst(found: readonly Found[]): Offer[] {
  const best = Math.max(0, ...found.map((o) => o.score));
  const worth = ({ score, isHeldWorth }: Found): number => (best > 0 && !isHeldWorth ? score / best : 1);
  return found
    .map(({ score, isHeldWorth, ...o }) => ({ ...o, worth: worth({ ...o, score, isHeldWorth }) }))
    .toSorted((a, b) => b.worth - a.worth)
    .slice(0, LOOKED_AT);
}

/** Movements of the regions that are trained for, without those whose kind is held to be worth nothing. */
const lookedAt = ({ goals, practice }: ProposeInput): readonly (typeof BOOK)[number][] =>
  BOOK.filter((e) => e.group !== 'before' && goals.includes(e.target) && worthOfKind(e, practice) !== 'not-worth-it');

/** What the regions that are trained for can be worked by here. */
function offersFor(input: ProposeInput, onOne: () => void): Offer[] {
  const found = lookedAt(input).flatMap((entry) => {
    const offer = offerOf(entry, input);
    onOne();
    return offer ?? [];
  });
  // In about the first month that is worked one arm at a time only.
  const oneArm = input.isFirstMonth ? notFelt(input) : new Set<Muscle>();
  const isOneArm = ({ id }: Found): boolean => entryOf(id).hands === 'one';
  const canBe = new Set(found.filter(isOneArm).map((o) => muscleOf(o.target)));
  const open = found.filter((o) => {
    const muscle = muscleOf(o.target);
    return isOneArm(o) || !oneArm.has(muscle) || !canBe.has(muscle);
  });
  return input.goals.flatMap((r) => bestFirst(open.filter((o) => o.target === r)));
}

/** What is done before the work: what wakes up a muscle that is not felt, and a chest stretch before rows. */
function beforeWork(input: ProposeInput, offers: readonly Offer[]): Offer[] {
  const { choosing, planned } = input;
  const rows = [...offers.map((o) => entryOf(o.id)), ...planned].some((b) => b.group === 'rows');
  const wanted = new Set<MovementId>();
  if (choosing.notes.includes('rounded-shoulders') && rows) {
    const stretch = BOOK.find((e) => e.work === 'hold' && muscleOf(e.target) === 'chest');
    if (stretch) wanted.add(stretch.id);
  }
  for (const muscle of notFelt(input)) {
    const drill = BOOK.find((e) => e.work === 'drill' && muscleOf(e.target) === muscle);
    if (drill) wanted.add(drill.id);
  }
  const isPlanned = (id: MovementId): boolean => planned.some((b) => b.movement === id);
  return BOOK.filter((e) => wanted.has(e.id) && !isPlanned(e.id)).flatMap((e) => offerOf(e, input) ?? []);
}

/** Sets of what is done before the work: a stretch's holds are one, a drill is done twice (common practice). */
const setsBefore = ({ id }: Offer): number => (entryOf(id).work === 'hold' ? 1 : 2);

/** Seconds of an offer's sets, all its sides, with their rests. */
const ownSeconds = (offer: Offer, sets: number, { times, choosing }: ProposeInput): number =>
  blocksSeconds([blockOf(offer, sets, choosing.notes)], times);

/** Seconds of an offer's sets with getting to it from another station, by how many they are. */
function toCandidate(offer: Offer, input: ProposeInput): Candidate {
  const { times, choosing } = input;
  const elsewhere = { ...blockOf(offer, 1, choosing.notes).items[0]!, stationId: '', movement: '' };
  const way = betweenS(elsewhere, blockOf(offer, 1, choosing.notes).items[0]!, times);
  const seconds = Array.from({ length: SETS.most + 1 }, (_, n) => (n === 0 ? 0 : way + ownSeconds(offer, n, input)));
  const { id, target, secondary, worth, spans } = offer;
  return { id, target, secondary, worth, spans, seconds: (sets) => seconds[sets]! };
}

/** What the week loads of each region that is trained for. */
function loadedSoFar({ used, goals }: ProposeInput): Partial<Record<Region, Span[]>> {
  const loaded: Partial<Record<Region, Span[]>> = {};
  for (const u of used.filter((one) => goals.includes(one.question.entry.target))) {
    const by = loadedBy(u);
    if (by) loaded[by.region] = [...(loaded[by.region] ?? []), ...by.spans];
  }
  return loaded;
}

const roomsOf = ({ weeks }: ProposeInput): Readonly<Record<Muscle, number>> =>
  Object.fromEntries(
    MUSCLES.map((m) => [m, weeks.rules[m].most - (weeks.week.find((w) => w.muscle === m)?.all ?? 0)]),
  ) as Record<Muscle, number>;

/** What is chosen of some offers, as blocks. */
const blocksOf = (chosen: Chosen, offers: readonly Offer[], notes: readonly ClientNote[]): PlanBlock[] =>
  offers.flatMap((o) => (chosen.has(o.id) ? [blockOf(o, chosen.get(o.id)!, notes)] : []));

/** A session's movements in their order, those that it holds already among them, in turns where they always are. */
export function inOrder(
  input: Pick<ProposeInput, 'planned' | 'times' | 'choosing' | 'practice'>,
  chosen: Chosen,
  offers: readonly Offer[],
): readonly PlanBlock[] {
  const { planned, times, choosing, practice } = input;
  const blocks = blocksOf(chosen, offers, choosing.notes);
  const begun = new Set(planned.filter((b) => b.isBegun).map((b) => b.id));
  const all: readonly PlanBlock[] = [...planned, ...blocks];
  return bestOrderBy(practice['opposite-muscles'], all, (b) => begun.has(b.id), times);
}

/** Seconds of a session whose order is known, with other sets and more movements, each where it takes least. */
function roughSeconds(
  order: readonly PlanBlock[],
  chosen: Chosen,
  offers: readonly Offer[],
  { times, choosing }: ProposeInput,
): number {
  const blocks = blocksOf(chosen, offers, choosing.notes);
  const known = order.map((b) => blocks.find((own) => own.id === b.id) ?? b);
  const placed = blocks
    .filter((b) => !known.some((k) => k.id === b.id))
    .reduce<readonly PlanBlock[]>((sofar, b) => {
      const tries = Array.from({ length: sofar.length + 1 }, (_, k) => sofar.toSpliced(k, 0, b));
      const keeps = tries.filter(
        (t) => !brokenRules(t).some((r) => isKept(r.rule) && [r.first, r.then].includes(b.id)),
      );
      return keeps.reduce((a, t) => (blocksSeconds(t, times) < blocksSeconds(a, times) ? t : a), keeps[0] ?? tries[0]!);
    }, known);
  return blocksSeconds(placed, times);
}

/**
 * A session for the regions that a client trains for: movements that this gym's kit and this client's range and notes
 * allow, with as many sets as the week lacks and the time holds, that load what the week does not load of each region's
 * range; what has to be done before the work first. What the session holds already stays and counts. `onOne` is told
 * after each movement that is solved, for progress.
 */
export function proposeSession(input: ProposeInput, onOne: (done: number, of: number) => void = () => {}): Proposal {
  const { goals, planned, minutes, times, weeks } = input;
  const of = lookedAt(input).length;
  let done = 0;
  const offers = offersFor(input, () => onOne((done += 1), of)).filter(
    (o) => !planned.some((b) => b.movement === o.id),
  );
  const before = beforeWork(input, offers);
  const all = [...before, ...offers];
  const begins: Chosen = new Map(before.map((o) => [o.id, setsBefore(o)]));
  const secondsWith = (chosen: Chosen): number =>
    blocksSeconds(inOrder(input, new Map([...begins, ...chosen]), all), times);
  const wanted: Wanted = {
    candidates: offers.map((o) => toCandidate(o, input)),
    needs: needsOf(goals, weeks),
    rules: weeks.rules,
    roomOf: roomsOf(input),
    loaded: loadedSoFar(input),
    mostS: minutes * 60 - secondsWith(new Map()),
  };
  const first = chooseSession(wanted);
  const order = inOrder(input, new Map([...begins, ...first]), all);
  const more = extended(first, wanted, (c) => roughSeconds(order, c, offers, input) <= minutes * 60);
  const chosen = secondsWith(more) <= minutes * 60 ? more : first;
  // A stretch stands ahead of rows, and is left out where there are none.
  const hasRows = [...blocksOf(chosen, offers, []), ...planned].some((b) => b.group === 'rows');
  const needed = before.filter((o) => hasRows || entryOf(o.id).work !== 'hold');
  const kept = new Map([...needed.map((o) => [o.id, setsBefore(o)] as const), ...chosen]);
  const movements = inOrder(input, kept, all).flatMap((b): ProposedMovement[] => {
    const sets = kept.get(b.movement);
    if (sets === undefined || planned.some((p) => p.id === b.id)) return [];
    return [{ id: b.movement, sets, why: chosen.has(b.movement) ? whyOf(b.movement, chosen, wanted) : null }];
  });
  return { movements, offers: all };
}

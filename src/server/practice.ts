import 'server-only';
import type { ClientNote } from '@/core/body/client-note';
import { oursOf, STANDING_QUESTIONS, sidesOfStanding, type StandingSide } from '@/core/book/standing-practice';
import { allInTurns } from '@/core/plan/fit-session';
import { planBlocks } from '@/core/plan/plan-blocks';
import { blocksSeconds } from '@/core/plan/turns';
import { toFieldIssues } from '@/contract/field';
import { practiceFormSchema } from '@/contract/practice-form';
import { refused, type SaveResult } from '@/contract/save-result';
import type { Client } from '@/contract/views/client';
import type { Session } from '@/contract/views/plan';
import type { PracticeNumbers, PracticeView } from '@/contract/views/practice';
import { inTransaction } from '@/data/in-transaction';
import { keepSide, listSides, standingOf, type PracticeOf } from '@/data/queries/practice-choices';
import { momentIn } from '@/messages/day';
import { PLAN_REFUSAL } from '@/messages/plan';
import { changeTimesAt } from './change-times';
import { keepChanges } from './changes';
import { choosingFor } from './choosing';
import { countWeek, usedIn } from './client-week';
import { reachClient, reachClients, reachSessions, reachSessionsOf } from './reach';
import type { UseCase } from './use-case';
import { weekOf } from './week';

/** So many of the newest sessions are looked at for movements. */
const NEWEST = 6;

/** What a session takes one movement after the other, and with its opposite muscles in turns. */
function turnsIn(uc: UseCase, session: Session, client: Client): PracticeNumbers['turns'] {
  const times = changeTimesAt(uc, session.gymId);
  const alone = planBlocks(session.items, client.notes).map((b) => ({ ...b, pairId: null }));
  const paired = allInTurns(alone, () => true, times);
  if (paired.every((b) => b.pairId === null)) return null;
  const [oneFirstS, inTurnsS] = [blocksSeconds(alone, times), blocksSeconds(paired, times)];
  return { when: momentIn(session.startsAtMs, uc.nowMs), oneFirstS, inTurnsS };
}

/** What the sides change for one client: their week, and their movements as they are set up. */
function numbersOf(uc: UseCase, client: Client): PracticeNumbers {
  const { fromMs, toMs } = weekOf(uc, undefined);
  const planned = reachSessions(uc, uc.nowMs, toMs).filter((s) => s.clientId === client.id);
  const sessions = [...planned.toReversed(), ...reachSessionsOf(uc, client.id, NEWEST)];
  const oldestFirst = sessions.toReversed();
  const every = new Set(sessions.flatMap((s) => s.items.map((i) => i.id)));
  const gymId = sessions[0]?.gymId;
  return {
    clientName: client.name,
    notes: client.notes,
    week: countWeek(uc, client, fromMs, toMs).sets,
    turns: sessions.reduce<PracticeNumbers['turns']>((found, s) => found ?? turnsIn(uc, s, client), null),
    used: usedIn(uc, client, oldestFirst, every),
    choosing: gymId === undefined ? null : choosingFor(uc, client, gymId),
  };
}

const sideOf = (of: readonly StandingSide[], question: string): string | null =>
  of.find((s) => s.question === question)?.side ?? null;

const questionsOf = (
  own: readonly StandingSide[],
  below: readonly StandingSide[],
  notes: readonly ClientNote[],
): PracticeView['questions'] =>
  STANDING_QUESTIONS.map((question) => ({
    question,
    sides: sidesOfStanding(question),
    chosen: sideOf(own, question),
    below: sideOf(below, question),
    ours: oursOf(question, notes),
  }));

const choice = ({ id, name }: Client) => ({ value: id, label: name });

/** The sides that were chosen for a client; null for nobody in the care of who asks. */
export function loadClientPractice(uc: UseCase, clientId: string): PracticeView | null {
  const client = reachClient(uc, clientId);
  if (!client) return null;
  const { client: own, trainer } = standingOf(uc.db, clientId);
  return {
    of: 'client',
    questions: questionsOf(own, trainer, client.notes),
    clientId,
    clients: [choice(client)],
    numbers: numbersOf(uc, client),
  };
}

/** One's own sides, for all clients of one's own, with what they change for one of them. */
export function loadOwnPractice(uc: UseCase, clientId: string | undefined): PracticeView {
  const clients = reachClients(uc);
  const client = clients.find((c) => c.id === clientId) ?? clients[0] ?? null;
  return {
    of: 'trainer',
    questions: questionsOf(listSides(uc.db, { accountId: uc.actor.id }), [], []),
    clientId: client?.id ?? null,
    clients: clients.map(choice),
    numbers: client && numbersOf(uc, client),
  };
}

function keep(uc: UseCase, of: PracticeOf, typed: unknown): SaveResult {
  const parsed = practiceFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { question, side } = parsed.data;
  const thing =
    'clientId' in of
      ? ({ subject: 'client', subjectId: of.clientId, clientId: of.clientId } as const)
      : ({ subject: 'account', subjectId: of.accountId } as const);
  return inTransaction(uc.db, (): SaveResult => {
    const was = sideOf(listSides(uc.db, of), question);
    // Chosen again it stands from when it was chosen first: a press doubled changes nothing.
    if (was === (side || null)) return { ok: true, id: thing.subjectId };
    keepSide(uc.db, of, question, side || null, uc.nowMs);
    keepChanges(uc, thing, { practices: { [question]: was } }, { practices: { [question]: side || null } });
    return { ok: true, id: thing.subjectId };
  });
}

/** Keep a side for a client from now on; an empty one leaves it to their trainer's. */
export const keepClientPractice = (uc: UseCase, clientId: string, typed: unknown): SaveResult =>
  reachClient(uc, clientId) ? keep(uc, { clientId }, typed) : refused('client', PLAN_REFUSAL.notListed);

/** Keep a side of one's own for all clients of one's own; an empty one leaves it to ours. */
export const keepOwnPractice = (uc: UseCase, typed: unknown): SaveResult => keep(uc, { accountId: uc.actor.id }, typed);

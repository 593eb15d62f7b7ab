import 'server-only';
import { entryOf, findEntry, type MovementId } from '@/core/book/book';
import { correctionFits } from '@/core/fault/correction-fits';
import { sessionResults } from '@/core/fault/judge-set';
import { WINDOW_SESSIONS } from '@/core/fault/watch-list';
import { nextLoad } from '@/core/load/progress';
import type { CorrectionCode } from '@/core/movement/correction-code';
import { courseOf, type CoursePoint } from '@/core/record/course';
import type { SetRecord } from '@/core/record/set-log';
import { gramsToKg, gramsToLb } from '@/core/units/mass';
import type { CourseSession, CourseView, MovementCourseView } from '@/contract/views/ledger';
import type { Session } from '@/contract/views/plan';
import { recentItems } from '@/data/queries/newest-records';
import { everDone, readFolds } from '@/data/queries/read-folds';
import { dayIn } from '@/messages/day';
import { loadText } from '@/messages/loads';
import { evidenceText, paceText, PROGRESS_TEXT } from '@/messages/progress';
import { setupCellText, setupChangeText, STOOD_TEXT } from '@/messages/setup-book';
import { loadItem } from './item-context';
import { kitNames } from './kit-names';
import { sidesOf } from './ledger';
import { loadSteps, loadUnit } from './load-steps';
import { reachClient, reachSessionsWith } from './reach';
import type { UseCase } from './use-case';

/** What a course is told with: where the movement was last done. */
interface Told {
  readonly uc: UseCase;
  readonly movement: MovementId;
  readonly session: Session | null;
  readonly names: ReturnType<typeof kitNames>;
}

/** One side's sets, oldest first, as its course. */
function toCourse({ uc, movement, session, names }: Told, sets: readonly SetRecord[], side: CourseView['side']) {
  const entry = entryOf(movement);
  const item = session?.items.find((i) => i.movement === movement) ?? null;
  const station = names.stationOf(sets.findLast((s) => s.setup)?.setup?.stationId ?? item?.stationId ?? null);
  const gymId = session?.gymId ?? '';
  const unit = loadUnit(uc.db, gymId, entry, station);
  const steps = loadSteps(uc.db, gymId, entry, station);
  const fits = (c: CorrectionCode): boolean => correctionFits(entry, c);
  const results = sessionResults(sets, '', fits);
  const now = loadItem(uc, sets.at(-1)!.itemId, undefined, 'folds');
  const stationId = now?.station?.id ?? null;
  const toSession = (p: CoursePoint): CourseSession => {
    const k = results.findIndex((r) => r.sessionId === p.sessionId);
    const result = results[k];
    const next = result && nextLoad(results.slice(0, k + 1), result.loadG, steps, null);
    const { placement = null } = p.setup ?? {};
    return {
      sessionId: p.sessionId,
      date: dayIn(p.atMs, uc.nowMs),
      load: unit === 'kg' ? gramsToKg(p.loadG) : gramsToLb(p.loadG),
      loadG: p.loadG,
      reps: p.reps,
      faulty: p.faulty,
      pace: p.pace && entry.work === 'lift' ? paceText(p.pace) : '',
      hole: placement?.hole ?? null,
      placement: (p.setup?.stationId ?? null) === stationId ? placement : null,
      setup: p.setup && p.stood ? `${setupCellText(placement)}, ${STOOD_TEXT[p.stood]}` : '',
      changed: p.changed.map((c) => setupChangeText(c, names)).join(', '),
      evidence: result ? evidenceText(result) : '',
      next: next ? `${loadText(next.loadG, unit)}: ${PROGRESS_TEXT[next.why]}` : '',
    };
  };
  return {
    side,
    unit,
    demandCase: now?.setupCase ?? null,
    sessions: courseOf(sets).map(toSession),
  } satisfies CourseView;
}

/**
 * How a movement of a client went, left and right apart: its newest sessions, or all of them. Null for nobody on record
 * and for a movement that is not in the book.
 */
export function loadCourse(uc: UseCase, clientId: string, asked: string, whole: boolean): MovementCourseView | null {
  const client = reachClient(uc, clientId);
  const movement = findEntry(asked)?.id;
  if (!client || !movement) return null;
  const which = whole ? {} : { items: recentItems(uc.db, clientId, movement) };
  const log = readFolds(uc.db, { clientId, movement, ...which }).get(movement);
  const all = log?.sets ?? [];
  const ids = [...new Set(all.map((s) => s.sessionId))];
  const shown = new Set(whole ? ids : ids.slice(-WINDOW_SESSIONS));
  const sets = all.filter((s) => shown.has(s.sessionId));
  const [session = null] = reachSessionsWith(
    uc,
    clientId,
    sets.slice(-1).map((s) => s.itemId),
  );
  const told = { uc, movement, session, names: kitNames(uc.db) };
  return {
    client: { id: client.id, name: client.name },
    movement,
    courses: sidesOf(sets).map((o) => toCourse(told, o.sets, o.side)),
    earlier: (everDone(uc.db, clientId).get(movement)?.sessions ?? ids.length) - shown.size,
  };
}

import 'server-only';
import { learnTimes, observeChanges, timesFor, type LearnedTime } from '@/core/plan/change-times';
import { CHANGES, OUR_TIMES, type Change, type ChangeTimes } from '@/core/plan/session-time';
import { objectOf, toFieldIssues, wholeBetween } from '@/contract/field';
import { unlessEmpty } from '@/contract/kit-spec';
import { refused, type SaveResult } from '@/contract/save-result';
import type { ChangeTimesView } from '@/contract/views/session-plan';
import { inTransaction } from '@/data/in-transaction';
import { enteredTimes, pastSets, setChangeTime } from '@/data/queries/change-times';
import { listGyms } from '@/data/queries/gyms';
import { readOnce } from '@/data/read-once';
import { PLAN_REFUSAL } from '@/messages/plan';
import { keepChanges } from './changes';
import { dayOf } from './clock';
import type { UseCase } from './use-case';

/** Sessions that times are learned from, the newest of a gym. */
const MOST_SESSIONS = 200;
const GYMS_AT_HAND = 20;

const learnedOnce = readOnce<Readonly<Record<Change, LearnedTime | null>>>(GYMS_AT_HAND);

/** What a gym's sessions up to yesterday took between movements; worked out once a day. */
function learnedAt({ db, nowMs }: UseCase, gymId: string): Readonly<Record<Change, LearnedTime | null>> {
  const { fromMs } = dayOf(nowMs);
  return learnedOnce(db, `${gymId} ${fromMs}`, () => {
    const sets = pastSets(db, gymId, fromMs, MOST_SESSIONS);
    const items = new Map(sets.map((s) => [s.itemId, s]));
    return learnTimes(observeChanges(sets, (id) => items.get(id) ?? null));
  });
}

/** The times that sessions at a gym are reckoned by. */
export const changeTimesAt = (uc: UseCase, gymId: string): ChangeTimes =>
  timesFor(enteredTimes(uc.db, gymId), learnedAt(uc, gymId));

/** Every gym's times: what was entered, what was learned, what is ours. */
export const listChangeTimes = (uc: UseCase): readonly ChangeTimesView[] =>
  listGyms(uc.db).map(({ id, name }) => {
    const [entered, learned] = [enteredTimes(uc.db, id), learnedAt(uc, id)];
    return {
      gymId: id,
      gymName: name,
      changes: CHANGES.map((change) => ({
        change,
        entered: entered[change] ?? null,
        learned: learned[change],
        ours: OUR_TIMES[change].seconds,
      })),
    };
  });

const timesSchema = objectOf(CHANGES, () => unlessEmpty(wholeBetween(0, 900)));

/** Keep what a gym's changes take, in seconds; what is left empty is learned, or ours. */
export function saveChangeTimes(uc: UseCase, gymId: string, typed: unknown): SaveResult {
  const parsed = timesSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  if (!listGyms(uc.db).some((g) => g.id === gymId)) return refused('gym', PLAN_REFUSAL.notListed);
  return inTransaction(uc.db, (): SaveResult => {
    const before = enteredTimes(uc.db, gymId);
    for (const c of CHANGES) setChangeTime(uc.db, gymId, c, parsed.data[c] ?? null);
    const after = enteredTimes(uc.db, gymId);
    keepChanges(uc, { subject: 'gym', subjectId: gymId }, { changeTimes: before }, { changeTimes: after });
    return { ok: true, id: gymId };
  });
}

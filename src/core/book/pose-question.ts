import { USUAL_ATTACHMENT } from '@/core/kit/attachment';
import type { Placement } from '@/core/setup/setup-problem';
import { otherSide, shownSide, workingSides, type Side } from '@/core/body/side';
import type { BookEntry, Stance } from './book-entry';
import { buildSearch } from './build-search';
import { fitUnder } from './entry-options';
import { withKit } from './fit-entry';
import { withHands } from './hand-width';
import { poseEntry, type EntryRange, type PosedEntry } from './pose-entry';
import type { PosedLimb, PosedQuestion } from './posed-question';
import { profileLimb } from './profile-limb';
import type { Question } from './question';
import { clearOfTouch } from './touch';
import { leansFree, standUp, withStance } from './stand-up';

/** Both arms of a linked machine stop where the first of them does: it hides the side that could go on. */
function asLinked(e: BookEntry, q: Question, range: EntryRange, side: Side): BookEntry {
  if (e.load.kind !== 'machine' || e.hands !== 'two' || q.kit.machines[e.load.machine]?.independentArms !== false)
    return e;
  const other = poseEntry(e, q.body, otherSide(side), range, q.kit);
  return other
    ? { ...e, startAt: Math.max(e.startAt, other.range.from), stopAt: Math.min(e.stopAt, other.range.to) }
    : e;
}

/** Pose one working limb; null when the client's range leaves too little of it. */
function poseLimb(entry: BookEntry, q: Question, range: EntryRange, side: Side): PosedLimb | null {
  if (entry.load.kind !== 'cable') return profileLimb(asLinked(entry, q, range, side), q, range, side);
  const posed = poseEntry(entry, q.body, side, range, q.kit, { sweep: q.options });
  return posed && { posed, ...endsOf(posed), profile: null };
}

/** Why the range of a limb on a cable ends where it does. */
const endsOf = ({ range }: PosedEntry): Pick<PosedLimb, 'startBy' | 'finishBy'> => ({
  startBy: range.cutStart ? 'joint' : 'own',
  finishBy: range.cutFinish ? 'joint' : 'own',
});

/** A movement on a cable, stopped where the handle in both hands meets the body; itself where it meets nothing. */
function stoppedByBody(e: BookEntry, q: Question, { posed }: PosedLimb): BookEntry {
  const clear = clearOfTouch(e, q.body, posed, q.loadKg);
  const { from, to } = posed.range;
  return clear.to === 1 ? e : { ...e, stopAt: from + (to - from) * clear.to };
}

/** Pose a movement as this gym's steel and its stance have it. */
function poseAs(question: Question, range: EntryRange, own: BookEntry): PosedQuestion | null {
  const sides = workingSides(question.side);
  const limbs: Partial<Record<Side, PosedLimb>> = {};
  let entry = own;
  for (const working of sides) {
    const whole = poseLimb(entry, question, range, working);
    if (!whole) return null;
    // The other hand is on the same thing and stops with this one.
    const found = entry === own && entry.load.kind === 'cable' ? stoppedByBody(entry, question, whole) : entry;
    const limb = found === entry ? whole : poseLimb(found, question, range, working);
    if (!limb) return null;
    entry = found;
    limbs[working] = entry === own ? limb : { ...limb, finishBy: 'touch' };
  }
  const posed = { question, entry, range, sides, limbs, shown: shownSide(question.side) };
  return { ...posed, search: entry.load.kind === 'cable' && question.column ? buildSearch(posed) : null };
}

/**
 * Pose a question, leant and with the feet as its load asks where nothing else holds the client; null when the client's
 * range leaves too little of the movement on a side. `stance`: as it is known to be stood, instead of found.
 */
export function poseQuestion(question: Question, stance: Stance | null = null): PosedQuestion | null {
  const { kit, options } = question;
  const handle = question.column?.handsM ?? usualHands(question.entry);
  const own = withHands(withKit(question.entry, kit), question.body, handle, options.gripWidthM);
  const range = { ...question.range, fit: fitUnder(question.range.fit, options) };
  const pose = (entry: BookEntry): PosedQuestion | null => poseAs(question, range, entry);
  if (stance) return pose(withStance(own, stance));
  const upright = pose(own);
  return upright && leansFree(own) ? standUp(upright, pose, options.leanDeg) : upright;
}

/** What a handle of the kind that a movement asks for usually allows both hands, metres; null for a free bar. */
function usualHands({ load }: Question['entry']): readonly [number, number] | null {
  return load.kind === 'cable' ? USUAL_ATTACHMENT[load.attachments[0]!].handsM : null;
}

/** A posed question with its limbs as a place at the column has them: pulls along the cable begin where it leads. */
export function closedAt(posed: PosedQuestion, at: Placement): PosedQuestion {
  const { search, entry } = posed;
  if (!search || entry.load.kind !== 'cable' || entry.load.line === null) return posed;
  const limbs: Partial<Record<Side, PosedLimb>> = {};
  for (const side of posed.sides) {
    const own = search.posedAt(side, at);
    const finishBy = posed.limbs[side]?.finishBy === 'touch' ? 'touch' : endsOf(own).finishBy;
    limbs[side] = { posed: own, ...endsOf(own), finishBy, profile: null };
  }
  return { ...posed, limbs };
}

/** The same, where the range is known to leave enough. */
export function poseKnown(question: Question, stance: Stance | null = null): PosedQuestion {
  const posed = poseQuestion(question, stance);
  if (!posed) throw new Error(`the client's range leaves too little of ${question.entry.id}`);
  return posed;
}

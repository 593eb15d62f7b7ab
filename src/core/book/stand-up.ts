import { CENTRE_ALONG, leanM } from '@/core/body/lean';
import { poseBody } from '@/core/body/pose-body';
import type { Lean } from '@/core/body/posture';
import { STAGGER_SHARE } from '@/core/body/pose-legs';
import { insideBy, pressureAt, supportOf, type Spot, type Standing } from '@/core/mechanics/standing';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { stoodLoad } from '@/core/setup/reasons';
import type { Placement } from '@/core/setup/setup-problem';
import { roughPlaces, lookAround } from '@/core/setup/solve-setup';
import { BALANCE_M, momentAt, STOOD_AT, type StoodLoad } from '@/core/setup/stand-load';
import { toFloor } from '@/core/geometry/rotation';
import type { Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { BookEntry, FreeRule, PostureRule, Stance } from './book-entry';
import { limbOn, type PosedQuestion } from './posed-question';
import { toPosture } from './posture-rule';
import { profileOf } from './profile-limb';
import { standsFree } from './stands-free';

/** Leans that are looked at and can be set, degrees: beyond the last the heels come up (our judgement). */
const LEANS_DEG = [0, 5, 10, 15] as const;
/** The last of them. */
export const MOST_LEAN_DEG = LEANS_DEG[LEANS_DEG.length - 1]!;
/** How much further the feet are set apart, metres; a body on both feet side by side puts one ahead first. */
const FURTHER_M = [0, 0.1, 0.2, 0.3] as const;
const ONE_AHEAD = Math.round(STAGGER_SHARE * 17.5) / 10;
/** Feet that go this much further are as much to ask as five degrees of lean (our judgement), metres. */
const AS_MUCH_M = 0.1;
/** Hips that sink by more than this make a lunge of it, share of stature (our judgement: 5 cm). */
const MOST_SINK = 0.03;
/** Leant bodies are posed and looked at again this often; then the verdict says what is lacking. */
const TRIES = 2;
/** So far inside the edge it counts as stood, metres; what is tried aims for 2 cm. */
const STOOD_M = 0.01;

/**
 * Whether a movement is stood by nothing but feet or knees, and may lean for its load. Who turns through the rep has no
 * side to lean to, and who leans on a thigh leans already.
 */
export const leansFree = (e: BookEntry): boolean =>
  standsFree(e) && e.posture.kind !== 'forearm-on-thigh' && loadOnHands(e) && e.motion.every((k) => !k.yawDeg);

/** What pulls at the hands or is held in them. */
const loadOnHands = ({ load }: BookEntry): boolean =>
  load.kind === 'cable' || load.kind === 'weight' || load.kind === 'landmine';

/** A movement with the stance that stands its load; one that cannot lean as it is. */
export const withStance = (e: BookEntry, stance: Stance): BookEntry =>
  leansFree(e) ? { ...e, posture: { ...(e.posture as FreeRule), stance } } : e;

const UPRIGHT_STANCE: Stance = { lean: { deg: 0, headingDeg: 0 }, furtherM: 0 };

/** The stance that a posed movement has; upright where none was solved or chosen. */
export const stanceOf = ({ posture }: BookEntry): Stance => (posture as FreeRule).stance ?? UPRIGHT_STANCE;

/** How far feet can go further apart in a posture. */
function furthersOf({ kind }: PostureRule): readonly number[] {
  if (kind === 'staggered' || kind === 'wide') return FURTHER_M;
  return kind === 'standing' ? [0, ONE_AHEAD, ONE_AHEAD + 0.1, ONE_AHEAD + 0.2] : [0];
}

/** A weight that a client holds, as it is stood; null where it is not in the hands. */
export function stoodWeight(posed: PosedQuestion): StoodLoad | null {
  const { entry, question, sides } = posed;
  if (entry.load.kind !== 'weight' && entry.load.kind !== 'landmine') return null;
  const { posed: shown } = limbOn(posed, posed.shown);
  if (shown.path.chain !== 'arm') return null;
  return {
    body: question.body,
    poseAt: shown.bodyAt,
    limbs: sides.map((side) => {
      const limb = limbOn(posed, side);
      return { path: limb.posed.path, load: profileOf(limb).samples.load };
    }),
    loadKg: question.loadKg,
    freeHand: false,
  };
}

/** How a posed load is stood at a place, and how many limits that place breaks. */
function stoodAt(
  posed: PosedQuestion,
  place: Placement | null,
): { readonly stood: StoodLoad | null; readonly broken: number } {
  const { search } = posed;
  if (!search || !place) return { stood: stoodWeight(posed), broken: 0 };
  const evaluated = evaluatePlacement(search, place);
  return { stood: stoodLoad(search, evaluated), broken: evaluated.violations.length };
}

/** A place from which hands that went along with a lean reach where they did upright. */
function backBy(place: Placement | null, { search }: PosedQuestion, [x, z]: Spot): Placement | null {
  if (!place || !search) return null;
  const { minDistanceM, maxDistanceM } = search.input.room;
  const gone = toFloor([x, 0, z], { x: 0, z: 0, yawRad: toRad(place.yawDeg) });
  const standX = Math.min(maxDistanceM, Math.max(minDistanceM, place.standX - gone[0]));
  return { ...place, standX, standZ: search.symmetric ? place.standZ : place.standZ - gone[2] };
}

/** A load as it is stood at moments of the range; stand frame. Null where the pull would lift the body. */
function momentsOf({ question }: PosedQuestion, stood: StoodLoad): readonly Standing[] | null {
  const moments = STOOD_AT.map((i) => momentAt(stood, i));
  return moments.some((m) => pressureAt(question.body.massKg, m) === null) ? null : moments;
}

/** What the feet cover, for each way of setting them further apart; stand frame. */
function outlinesOf({ entry, question: { body, kit }, shown }: PosedQuestion) {
  return furthersOf(entry.posture).map((furtherM) => {
    const own = withStance(entry, { lean: stanceOf(entry).lean, furtherM });
    return { furtherM, outline: supportOf(body, poseBody(body, toPosture(own.posture, shown, kit, body))) };
  });
}

/** Where to a body may lean: both hands alike leave nothing to the side; a hinged one moves its hips ahead and back. */
const headingsOf = ({ sides, entry }: PosedQuestion): readonly number[] =>
  sides.length === 2 || entry.posture.kind === 'hinged' ? [0, 180] : [0, 180, 90, -90];

/** How much a stance asks of a client: in steps of five degrees. */
const effortOf = ({ lean, furtherM }: Stance): number => lean.deg / 5 + furtherM / AS_MUCH_M;

/** How high a stance has the hips, metres. */
const hipsOf = ({ entry, question: { body, kit }, shown }: PosedQuestion, stance: Stance): number =>
  poseBody(body, toPosture(withStance(entry, stance).posture, shown, kit, body)).pelvis[1];

/** How far a lean carries the hips over the floor: ahead and to the right, metres. */
function carriedBy({ question, entry }: PosedQuestion, { deg, headingDeg }: Lean): Spot {
  const kneels = entry.posture.kind === 'half-kneeling' || entry.posture.kind === 'tall-kneeling';
  const m = leanM(question.body, deg, kneels);
  return [m * Math.cos(toRad(headingDeg)), m * Math.sin(toRad(headingDeg))];
}

/** A moment in another lean: the hands go along with the hips, the centre nearly, and the forces stay. */
function movedBy({ support, centre, hands }: Standing, [x, z]: Spot): Standing {
  const moved = ([px, py, pz]: Vec3, share: number): Vec3 => [px + x * share, py, pz + z * share];
  return {
    support,
    centre: moved(centre, CENTRE_ALONG),
    hands: hands.map((hand) => ({ ...hand, at: moved(hand.at, 1) })),
  };
}

/**
 * The least stance that stands what is posed, 2 cm inside the edge, else the one that comes nearest; `chosenDeg` holds
 * the lean.
 */
function leastStance(posed: PosedQuestion, moments: readonly Standing[], chosenDeg: number | null): Stance {
  const { body } = posed.question;
  const [x0, z0] = carriedBy(posed, stanceOf(posed.entry).lean);
  const lowest = hipsOf(posed, UPRIGHT_STANCE) - MOST_SINK * body.statureM;
  const outlines = outlinesOf(posed);
  const stances: { readonly stance: Stance; readonly margin: number; readonly effort: number }[] = [];
  for (const deg of chosenDeg === null ? LEANS_DEG : [chosenDeg])
    for (const headingDeg of deg === 0 ? [0] : headingsOf(posed)) {
      const lean: Lean = { deg, headingDeg };
      const [x, z] = carriedBy(posed, lean);
      const pressure = moments.map((m) => pressureAt(body.massKg, movedBy(m, [x - x0, z - z0])));
      for (const { furtherM, outline } of chosenDeg === null ? outlines : outlines.slice(0, 1)) {
        const inside = Math.min(...pressure.map((p) => (p ? insideBy(outline, p) : -1)));
        const stance = { lean, furtherM };
        stances.push({ stance, margin: Math.min(BALANCE_M, inside), effort: effortOf(stance) });
      }
    }
  // Best first; a body is posed only to see how low the hips of the next best come.
  stances.sort((a, b) => (Math.abs(a.margin - b.margin) > 1e-9 ? b.margin - a.margin : a.effort - b.effort));
  return stances.find(({ stance }) => hipsOf(posed, stance) >= lowest)?.stance ?? stanceOf(posed.entry);
}

const sameStance = (a: Stance, b: Stance): boolean =>
  a.furtherM === b.furtherM && a.lean.deg === b.lean.deg && a.lean.headingDeg === b.lean.headingDeg;

/** A posed stance with how far inside the edge it stands, metres, as far as that is asked for. */
interface Tried {
  readonly posed: PosedQuestion;
  readonly moments: readonly Standing[];
  readonly insideM: number;
  readonly effort: number;
  /** How many limits the place breaks that it was looked at. */
  readonly broken: number;
}

function tried(posed: PosedQuestion, place: Placement | null): Tried | null {
  const { stood, broken } = stoodAt(posed, place);
  const moments = stood && momentsOf(posed, stood);
  if (!moments) return null;
  const { massKg } = posed.question.body;
  const insideM = moments.reduce((least, m) => Math.min(least, insideBy(m.support, pressureAt(massKg, m)!)), STOOD_M);
  return { posed, moments, broken, insideM, effort: effortOf(stanceOf(posed.entry)) };
}

/**
 * Lean and feet that stand a posed load: the least that is found to do, with the body posed anew in each that is tried,
 * because hands and line move with the body; else what comes nearest. `pose`: poses the movement in a stance, null
 * where that leaves too little of it. A chosen lean is kept, upright included, with the feet as the movement has them.
 */
export function standUp(
  posed: PosedQuestion,
  pose: (entry: BookEntry) => PosedQuestion | null,
  chosenDeg: number | null,
): PosedQuestion {
  if (chosenDeg === 0) return posed;
  const all: Tried[] = [];
  // About where it will be set: the other stances are tried from there, and the one that is kept is solved.
  const about = posed.search && roughPlaces(posed.search)[0]!.placement;
  let at = tried(posed, about);
  while (at) {
    all.push(at);
    if (all.length > TRIES || (at.insideM === STOOD_M && (chosenDeg === null || all.length > 1))) break;
    const stance = leastStance(at.posed, at.moments, chosenDeg);
    if (all.some((t) => sameStance(stanceOf(t.posed.entry), stance))) break;
    const next = pose(withStance(posed.entry, stance));
    at = next && tried(next, backBy(about, next, carriedBy(next, stance.lean)));
  }
  const kept = chosenDeg === null ? all : all.filter((t) => stanceOf(t.posed.entry).lean.deg === chosenDeg);
  const found = kept.reduce<Tried | null>((best, t) => (best && !isBetter(t, best) ? best : t), null)?.posed ?? posed;
  if (found !== posed && found.search && posed.search) {
    const gone = carriedBy(found, stanceOf(found.entry).lean);
    const places = roughPlaces(posed.search).map((c) => backBy(c.placement, found, gone)!);
    lookAround(found.search, places);
  }
  return found;
}

/** Fewer limits broken first, then nearer to standing, then less to ask. */
const isBetter = (a: Tried, b: Tried): boolean => {
  if (a.broken !== b.broken) return a.broken < b.broken;
  if (a.insideM !== b.insideM) return a.insideM > b.insideM;
  return a.effort < b.effort;
};

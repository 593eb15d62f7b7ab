import { MOST_LEAN_DEG } from '@/core/book/stand-up';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { LoadedPart } from '@/core/body/loaded-part';
import type { ColumnPart, Violation } from '@/core/setup/violation';
import type { Side } from '@/core/body/side';
import type { MeasureName } from '@/core/body/segment-ratios';
import type { ChainPath, SweepSense } from '@/core/movement/chain-path';
import type { RangeEnd } from '@/core/movement/limb-path';
import { STEP_M, type PickUp, type Reason } from '@/core/setup/reasons';
import type { StrengthSource } from '@/core/mechanics/strength';
import { COMPENSATING_MUSCLE_NAME, REGION_NAME } from './movements';
import { whereInRange } from './where-in-range';
import { MEASURE_LABEL } from './measures';
import { cmText, percent } from './numbers';
import { sayDeg } from './settings';

/** A verdict: the figure read first, and the sentence that says why. */
export interface Verdict {
  readonly code: Reason['code'];
  readonly figure: string;
  readonly text: string;
  /** Rests on what is known of people, not of this client. */
  readonly estimated: boolean;
}

const deg = (d: number): string => `${Math.abs(d) < 10 ? Math.abs(d).toFixed(1) : Math.abs(d).toFixed(0)}°`;

const TIPS: Readonly<Record<SweepSense, readonly [above: string, below: string]>> = {
  up: ['up', 'down'],
  out: ['outward', 'inward'],
  ahead: ['forward', 'back'],
};
const tips = (p: PickUp, sense: SweepSense): string =>
  `pull it ${TIPS[sense][p.deg > 0 ? 0 : 1]}, onto the ${COMPENSATING_MUSCLE_NAME[p.by]} (${deg(p.deg)})`;
const JOINT: Readonly<Record<ChainPath['chain'], readonly [proximal: string, middle: string]>> = {
  arm: ['shoulder', 'elbow'],
  leg: ['hip', 'knee'],
  trunk: ['hips', 'hips'],
};

const RANGE_END_TEXT: Readonly<Record<RangeEnd, string>> = {
  movement: 'the movement’s own stretch; the client’s range is wider or not measured.',
  'active-range': 'the stretch stops at the client’s measured range.',
  limit: 'the stretch stops at the clinician’s limit.',
  note: 'the stretch stops level with the trunk, for the shoulder note.',
  load: 'outside of it the load is too light to count.',
  touch: 'further into the stretch what is held meets the floor or the body.',
};

const LINED_UP = 'Cable, hand and shoulder line up at the finish. ';

type ReasonOf<K extends Reason['code']> = Extract<Reason, { code: K }>;
type Said = Pick<Verdict, 'figure' | 'text'>;

/** Verdicts that rest on approximate lines and gathered strengths. */
const ESTIMATED: ReadonlySet<Reason['code']> = new Set(['region', 'demand', 'girdle', 'forearm']);

/** What another hole would change of the line is worth a word from here on, degrees. */
const SEEN_DEG = 1;

function lineText(r: ReasonOf<'line'>): string {
  if (r.pickedUpBy)
    return (
      `off the line: at the finish the cable pulls the arm ${TIPS[r.sense][r.finishDeg > 0 ? 0 : 1]} ` +
      `by ${deg(r.finishDeg)}; that falls to the ${COMPENSATING_MUSCLE_NAME[r.pickedUpBy]}.`
    );
  if (r.rmsDeg > 3) return 'off the line over the sweep, though the finish lines up.';
  const seen = (p: PickUp | null): p is PickUp => p !== null && Math.abs(p.deg) >= SEEN_DEG;
  const neighbour = seen(r.twoLower)
    ? `The pulley two holes down would ${tips(r.twoLower, r.sense)}.`
    : seen(r.twoHigher)
      ? `The pulley two holes up would ${tips(r.twoHigher, r.sense)}.`
      : '';
  return `off the line. ${r.wholeArm ? LINED_UP : ''}${neighbour}`.trim();
}

function peakText(r: ReasonOf<'peak'>): string {
  const forward =
    r.stepForwardAt === null ? '' : ` ${cmText(STEP_M)} further from the column: ${percent(r.stepForwardAt)}.`;
  return `of the way: hardest ${whereInRange(r.at)}, ${Math.round(r.momentNm)} Nm.${forward}`;
}

/** What is known of the strength over the range of an action. */
const STRENGTH_TEXT: Readonly<Record<StrengthSource, string>> = {
  'anderson-2007': 'moments of young adults over the joint’s range (Anderson and others 2007)',
  'kulig-1984': 'gathered measurements of the elbow (Kulig and others 1984)',
  'williams-1959': 'measured shapes of the shoulder (Williams and Stutzman 1959)',
  flat: '',
};

function demandText(r: ReasonOf<'demand'>): string {
  if (r.source === 'flat')
    return 'of the way is where full reps fail; the back’s strength over this range is not known and counts as even.';
  const half = r.strongerHalf === 'first' ? 'from the stretch' : 'to the finish';
  return (
    `of the way is where full reps fail: the least strength is left over there. The half ${half} is the stronger ` +
    `one, for half reps after that. An estimate from ${STRENGTH_TEXT[r.source]}; people differ by ${percent(r.spread)}.`
  );
}

const girdleText = (r: ReasonOf<'girdle'>): string =>
  `of the pull on the shoulder draws the blade the way that the ${REGION_NAME[r.region]} holds, ` +
  `${r.meanN < 10 ? 'under 10' : `about ${Math.round(r.meanN / 10) * 10}`} N. The rest others hold.`;

function sayRest(r: ReasonOf<'rest-zone'>): Said {
  const end = `at the finish it is ${percent(Math.max(0, r.finishShare))} as heavy as at its hardest.`;
  if (r.helps)
    return { figure: percent(r.share), text: `of the range is rest, and in part of it the weight helps; ${end}` };
  return r.share < 0.005
    ? { figure: 'none', text: `Loaded all the way; ${end}` }
    : { figure: percent(r.share), text: `of the range is rest; ${end}` };
}

const clearanceText = (r: ReasonOf<'clearance'>): string =>
  r.cableM < r.needM
    ? `of cable out in the stretch: under ${cmText(r.needM)} the stack sets down. Step away from the pulleys.`
    : 'of cable out in the stretch: the stack stays up.';

const nmText = (nm: number): string => (nm < 1 ? 'under 1 Nm' : `${Math.round(nm)} Nm`);

/** Who holds the palm against a load that turns it, in the trainer's words. */
const TURNED = {
  down: ['turn the palm up with: the load turns it down', 'biceps and supinator hold it'],
  up: ['turn the palm down with: the load turns it up', 'the pronators hold it'],
} as const;

function forearmText({ mostNm, at, turns }: ReasonOf<'forearm'>): string {
  const [than, held] = TURNED[turns];
  return (
    `of what most men ${than}, ${held}. At most ${mostNm.toFixed(1)} Nm, ${whereInRange(at)}; an estimate from ` +
    'strengths by Askew and others 1987.'
  );
}

function offAxisText(r: ReasonOf<'off-axis'>): string {
  const parts = r.parts.map(
    (p) =>
      `${nmText(p.meanNm)} at the ${JOINT[r.chain][p.joint === 'middle' ? 1 : 0]}, ` +
      `for the ${COMPENSATING_MUSCLE_NAME[p.compensatedBy]}`,
  );
  // The share is of the working joint alone; the parts are of both joints.
  const text = `of the effort at the working joint falls to muscles other than the ${REGION_NAME[r.region]}.`;
  return parts.length > 0 ? `${text} What others hold, at both joints: ${parts.join('; ')}.` : text;
}

/** A sweep that begins this near to the shoulder line begins level with it, degrees. */
const AT_LINE_DEG = 0.5;

function sayRange(r: ReasonOf<'range'>): Said {
  const end = RANGE_END_TEXT[r.from];
  if (r.counted === 'sweep') {
    const where = Math.abs(r.deg) < AT_LINE_DEG ? 'level with' : r.deg < 0 ? 'behind' : 'ahead of';
    return { figure: deg(r.deg), text: `${where} the shoulder line: ${end}` };
  }
  const { size, words } = sayDeg(r.counted, r.deg);
  const where = size === 0 ? words : `${words} at the ${r.joint}`;
  return { figure: `${size}°`, text: `${where} where the lift begins: ${end}` };
}

function say(r: Reason): Said {
  switch (r.code) {
    case 'line':
      return { figure: deg(r.rmsDeg), text: lineText(r) };
    case 'peak':
      return { figure: percent(r.at), text: peakText(r) };
    case 'demand':
      return { figure: percent(r.at), text: demandText(r) };
    case 'rest-zone':
      return sayRest(r);
    case 'clearance':
      return { figure: cmText(r.cableM), text: clearanceText(r) };
    case 'standing':
      return { figure: cmText(Math.abs(r.marginM)), text: standingText(r) };
    case 'brace':
      return { figure: `${Math.round(r.pressN / 10) * 10} N`, text: BRACE_TEXT };
    case 'aside':
      return { figure: `${Math.round(r.pushN / 5) * 5} N`, text: ASIDE_TEXT[r.towards] };
    case 'forearm':
      return { figure: percent(r.share), text: forearmText(r) };
    case 'off-axis':
      return { figure: percent(r.share), text: offAxisText(r) };
    case 'girdle':
      return { figure: percent(r.share), text: girdleText(r) };
    case 'region': {
      const text = `between the sweep and the ${REGION_NAME[r.region]}’s own line, which is approximate.`;
      return { figure: deg(r.deg), text };
    }
    case 'range':
      return sayRange(r);
  }
}

/** What hands do sideways on what they hold. */
const ASIDE_TEXT = {
  in: 'at most is what each hand presses inward as well, so that its forearm lies along the load.',
  palms: 'at least is what each palm presses inward, or what they hold slips down between them.',
  out: 'at most is what each hand pulls outward as well, so that its forearm lies along the load.',
} as const;

const BRACE_TEXT =
  'at most is what the supporting hand presses on the bench, if the feet carry their share in the middle.';

/** Feet that would have to go further than this are no advice, metres. */
const MOST_SPLIT_M = 0.3;

/** How a load is stood: how far from tipping, how much this stance carries as drawn, and what to do beyond it. */
function standingText(r: ReasonOf<'standing'>): string {
  const { marginM, mostKg, leanDeg, splitM, holdN, slips, kneesDown } = r;
  const base = ['feet', 'knee and feet', 'knees and feet'][kneesDown]!;
  const carries = mostKg !== null && mostKg >= 1 ? `about ${Math.round(mostKg)} kg` : 'next to nothing';
  if (marginM < 0) {
    const ways = [
      'go lighter',
      ...(leanDeg <= MOST_LEAN_DEG ? [`lean about ${Math.ceil(leanDeg)}° more against the pull`] : []),
      ...(splitM <= MOST_SPLIT_M
        ? [`set ${kneesDown > 0 ? base : 'the feet'} ${Math.ceil(splitM * 20) * 5} cm further apart that way`]
        : []),
    ];
    const braced =
      holdN === null
        ? 'sit or lie on a bench for it'
        : `hold on with the free hand, about ${Math.ceil(holdN / 10) * 10} N`;
    return `past the edge of the ${base}, which carry ${carries} as drawn: ${ways.join(', ')}, or ${braced}.`;
  }
  return mostKg === null
    ? `inside the edge of the ${base} at the worst moment: this stance is far from tipping.`
    : `inside the edge of the ${base} at the worst moment; as drawn it carries ${carries}` +
        (slips ? ' before they slip (0.6 of the weight, an assumption).' : '.');
}

/** Text of a reason; `massEstimated`: nobody weighed the body whose load it is. */
export const toVerdict = (reason: Reason, massEstimated: boolean): Verdict => ({
  code: reason.code,
  estimated: ESTIMATED.has(reason.code) || (massEstimated && reason.code === 'standing'),
  ...say(reason),
});

/** Where a limited load comes on. */
export const ON_PART: Readonly<Record<LoadedPart, string>> = {
  hand: 'in the hand',
  leg: 'on the leg',
  spine: 'on the spine',
};

/**
 * Why a hard limit blocks, in one sentence; `best` speaks of the best the station can do, else of a set-up as found.
 */
/** What the column is in the way of. */
const MEETS: Readonly<Record<ColumnPart, string>> = {
  hand: 'The hand would meet the column',
  elbow: 'The elbow would meet the column',
  knee: 'A knee would meet the column',
  foot: 'A foot would meet the column',
  head: 'The head would meet the column',
  'foot-on-plate': 'A foot would stand on the column’s floor plate',
  'knee-on-plate': 'A knee would kneel on the column’s floor plate',
};

export function limitText(v: Violation, of: 'best' | 'found' = 'best'): string {
  switch (v.limit) {
    case 'clearance':
      return `The stack would set down in the stretch: ${cmText(v.have)} of cable out, ${cmText(v.need)} needed.`;
    case 'travel':
      return `The cable is too short: ${cmText(v.need)} needed at the longest, ${cmText(v.have)} on the column.`;
    case 'room':
      return `No floor there: ${cmText(v.need)} from the pulleys, the limit is ${cmText(v.have)}.`;
    case 'line':
      return of === 'best'
        ? `No hole and place reach the line: ${deg(v.have)} off at best, ${deg(v.need)} is the most.`
        : `Far off the line: ${deg(v.have)} over the range; past ${deg(v.need)} it is another movement.`;
    case 'rest':
      return `The load would rest for ${percent(v.have)} of the range; ${percent(v.need)} is the most.`;
    case 'load':
      return (
        `${Math.round(v.need * 10) / 10} kg ${ON_PART[v.part ?? 'hand']}: the clinician’s limit ` +
        `is ${Math.round(v.have * 10) / 10} kg.`
      );
    case 'through':
      return `The cable would run through the ${v.through ?? 'body'}, ${cmText(-v.have)} deep at the worst.`;
    case 'column':
      return `${MEETS[v.meets ?? 'hand']} at ${cmText(v.need)}: stand ${cmText(v.have)} off or further.`;
    case 'limb':
      return `The forearm would lie ${cmText(v.have)} deep in the ${v.through ?? 'body'} at the worst.`;
    case 'pulleys':
      return 'Both arms need a cable each; this column has one.';
    case 'part':
      return `The client’s range leaves ${percent(v.have)} of the movement there; ${percent(v.need)} is the least.`;
    case 'range':
      return `The client’s range leaves a sweep of ${deg(v.have)}; the movement needs ${deg(v.need)}.`;
  }
}

/** "about 12 cm above the eyes": how to find the pulley's height without a tape. */
export function heightByEye(landmark: MeasureName | 'stature', aboveM: number): string {
  const name = landmark === 'stature' ? 'top of the head' : MEASURE_LABEL[landmark].toLowerCase();
  const gap = Math.round(Math.abs(aboveM) * 100);
  if (gap < 3) return `The pulleys sit level with the client’s ${name}.`;
  return `The pulleys sit about ${gap} cm ${aboveM > 0 ? 'above' : 'below'} the client’s ${name}.`;
}

/** Where to look from so that the sweep is seen edge on; `sideElevationDeg` is the arm's straight out to the side. */
export function lookAlongText(side: Side | 'both', sideElevationDeg: number): string {
  const from =
    sideElevationDeg > 94
      ? 'From the side, eyes a little above the shoulder'
      : sideElevationDeg < 86
        ? 'Crouching at the side, eyes below the shoulder'
        : 'From the side, eyes level with the shoulder';
  return (
    `${from}: at the finish cable, ${side === 'both' ? 'hands and shoulders' : 'hand and shoulder'} ` +
    'make one straight line.'
  );
}

const hardestText = ({ evenness, peakAt }: Pick<LineMetrics, 'evenness' | 'peakAt'>): string => {
  if (evenness >= EVEN_FROM) return 'even';
  return peakAt < 1 / 3 ? 'hardest in the stretch' : peakAt < 2 / 3 ? 'hardest half way' : 'hardest at the finish';
};
/** A line this near is on it, degrees; a curve this even is even; what a trainer would not see (our judgement). */
const ON_LINE_DEG = 2;
const EVEN_FROM = 0.85;

const sentence = (parts: readonly string[]): string => {
  const text = parts.join(', ');
  return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
};

/** A set-up on a cable in one line: the line, where it is hardest, the stack. */
export function verdictLine(m: LineMetrics, needM: number): string {
  const off = Math.round(m.offPlaneRmsDeg);
  return sentence([
    off <= ON_LINE_DEG ? 'on the line' : `${off}° off the line`,
    hardestText(m),
    m.minClearanceM >= needM ? 'stack clear' : 'the stack touches down',
  ]);
}

/** A set-up without a cable in one line. */
export const fitVerdictLine = (m: Pick<LineMetrics, 'evenness' | 'peakAt' | 'peakResistanceNm'>): string =>
  m.peakResistanceNm > 0 ? sentence([hardestText(m)]) : 'Nothing is lifted: the own arm only.';

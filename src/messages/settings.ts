import type { GripRule } from '@/core/book/book-entry';
import type { FootPlace } from '@/core/book/foot-place';
import type { FitSetting, LeanTowards, StopReason } from '@/core/book/fit-entry';
import type { JointStops } from '@/core/book/joint-stops';
import type { LoadedRegion, RegionCause, RegionChange } from '@/core/book/region-of';
import type { CountedAs } from '@/core/movement/joint-action';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { REGION_NAME } from './movements';
import { toCm } from './numbers';

/** A setting as a plate shows it: what it is, the figure to set, and why or how to check it. */
export interface SettingText {
  readonly kind: FitSetting['kind'];
  readonly label: string;
  readonly figure: string;
  readonly unit: string;
  readonly note: string;
  readonly estimated: boolean;
}

const signed = (m: number): string => `${Math.abs(toCm(m))} cm`;

/** Why a range begins or ends where it does; empty where it is the whole of it. */
const BY: Readonly<Record<StopReason, string>> = {
  own: '',
  joint: 'at the client’s own range',
  load: 'where the load starts to count',
  touch: 'where what is held meets the floor or the body',
};
/** What the angle of a joint is counted as. */
const COUNTED: Readonly<Record<JointStops['counted'], string>> = {
  flexion: 'ahead of or behind the body',
  abduction: 'arm out from the side',
  horizontal: 'arm ahead of or behind straight out',
  bend: 'bend of the joint',
  lean: 'trunk from upright',
};
/** What the seat should bring level with what. */
const LEVEL_WITH = {
  preacher: ['armpit', 'the top of the pad'],
  handles: ['mark on the chest or shoulder', 'the handles'],
} as const;

const GRIP_RULE: Readonly<Record<GripRule, string>> = {
  narrow: 'narrow, inside the shoulders',
  shoulder: 'shoulder width',
  wide: 'wide',
  'past-bend': 'just past the bend of the bar',
};
/** Where feet can stand on a plate, and what that loads. */
export const FOOT_PLACE: Readonly<Record<FootPlace, { readonly name: string; readonly loads: string }>> = {
  middle: { name: 'middle', loads: 'hips and knees share' },
  low: { name: 'low', loads: 'more for the quadriceps' },
  high: { name: 'high', loads: 'more for glutes and hamstrings' },
  narrow: { name: 'narrow', loads: 'more for the quadriceps' },
  wide: { name: 'wide', loads: 'inner thigh and glutes' },
};

/** Text of a setting that follows a rule or a fit. */
export const settingText = (s: FitSetting): SettingText => ({ kind: s.kind, ...words(s) });

/** How a notch stands to the angle that was wanted. */
function againstRule(s: Extract<FitSetting, { kind: 'notch' }>): string {
  if (s.ruleDeg !== null) return `; the rule says ${Math.round(s.ruleDeg)}°`;
  return Math.abs(s.deg - s.wantDeg) < 1 ? '' : `; the rule says ${Math.round(s.wantDeg)}°`;
}

/** What would fit, where another hole stands. */
const moved = (s: { readonly hole: number; readonly fits: number }): string =>
  s.hole === s.fits ? '' : `; hole ${s.fits} fits best`;

function notchWords(s: Extract<FitSetting, { kind: 'notch' }>): Omit<SettingText, 'kind'> {
  const deg = Math.round(s.deg);
  return s.notch === null
    ? { label: 'Back', figure: String(deg), unit: '°', note: 'bench not measured: set by angle', estimated: true }
    : { label: 'Back', figure: String(s.notch), unit: 'notch', note: `${deg}°${againstRule(s)}`, estimated: false };
}

function seatWords(s: Extract<FitSetting, { kind: 'seat-hole' }>): Omit<SettingText, 'kind'> {
  const [own, to] = LEVEL_WITH[s.on];
  const gap =
    Math.abs(s.gapM) < 0.015
      ? `${own} level with ${to}`
      : `${own} ${signed(s.gapM)} ${s.gapM > 0 ? 'below' : 'above'} ${to}`;
  return { label: 'Seat', figure: String(s.hole), unit: 'hole', note: `${gap}${moved(s)}`, estimated: s.estimated };
}

type Stops = Extract<FitSetting, { kind: 'stops' }>;

function endsText({ startBy, finishBy }: Stops): string {
  const [starts, stops] = [BY[startBy], BY[finishBy]];
  if (starts && starts === stops) return `starts and stops ${starts}`;
  const ends = [starts && `starts ${starts}`, stops && `stops ${stops}`].filter(Boolean);
  return ends.length > 0 ? ends.join(', ') : 'the whole movement';
}

/** A hinge this near to straight is told by what it is short of it, degrees. */
const SHORT_OF_STRAIGHT_DEG = 30;
/** So near to its zero a joint is at it, degrees. */
const AT_ZERO_DEG = 2;

/** What an angle of a joint is past its zero: ahead or behind, out, bent or short of straight. */
export function sayDeg(counted: CountedAs, deg: number): { readonly size: number; readonly words: string } {
  const size = Math.abs(Math.round(deg));
  const at = (words: string, zero: string) => (size <= AT_ZERO_DEG ? { size: 0, words: zero } : { size, words });
  switch (counted) {
    case 'bend':
      return at(size <= SHORT_OF_STRAIGHT_DEG ? 'short of straight' : 'bent', 'straight');
    case 'flexion':
      return at(deg > 0 ? 'ahead' : 'behind', 'in line');
    case 'horizontal':
      return at(deg > 0 ? 'ahead' : 'behind', 'straight out');
    case 'abduction':
      return at(deg > 0 ? 'out' : 'across', 'at the side');
    case 'lean':
      return at('forward', 'upright');
  }
}

/** Where a joint begins and ends, as it would be said: "8° short of straight to 120° bent". */
export function rangeText({ counted, startDeg, finishDeg }: Pick<Stops, 'counted' | 'startDeg' | 'finishDeg'>): string {
  const [from, to] = [sayDeg(counted, startDeg), sayDeg(counted, finishDeg)];
  if (from.words === to.words && from.size > 0) return `${from.size} to ${to.size}° ${to.words}`;
  const say = ({ size, words }: typeof from): string => (size === 0 ? words : `${size}° ${words}`);
  return `${say(from)} to ${say(to)}`;
}

/** Which way the legs lean and the hips go along. */
const LEAN_TOWARDS: Readonly<Record<LeanTowards, string>> = {
  ahead: 'ahead from the ankles, trunk as it is',
  back: 'back from the ankles, trunk as it is',
  left: 'to the left from the ankles, trunk as it is',
  right: 'to the right from the ankles, trunk as it is',
};
const HIPS_TOWARDS: Readonly<Record<LeanTowards, string>> = {
  ...LEAN_TOWARDS,
  ahead: 'hips ahead, the hinge as it is',
  back: 'hips back, the hinge as it is',
};

/** What decides where hands and feet are. */
function holdWords(
  s: Extract<FitSetting, { kind: 'landmine-mark' | 'hands' | 'pins' | 'feet' | 'straps' }>,
): Omit<SettingText, 'kind'> {
  switch (s.kind) {
    case 'landmine-mark':
      return {
        label: 'Mark, from the pivot',
        figure: String(toCm(s.alongM)),
        unit: 'cm',
        note: s.besideM < 0.03 ? 'over the bar' : `${toCm(s.besideM)} cm beside the bar’s line`,
        estimated: true,
      };
    case 'hands':
      return {
        label: 'Hands apart',
        figure: String(toCm(s.apartM)),
        unit: 'cm',
        note: s.chosen ? `as chosen; by rule ${GRIP_RULE[s.rule]}` : GRIP_RULE[s.rule],
        estimated: false,
      };
    case 'pins':
      return {
        label: 'Pins, over the floor',
        figure: String(toCm(s.heightM)),
        unit: 'cm',
        note: s.chosen ? 'as chosen' : 'bar at mid shin',
        estimated: s.estimated,
      };
    case 'feet':
      return {
        label: 'Feet on the plate',
        figure: FOOT_PLACE[s.place].name,
        unit: '',
        note: FOOT_PLACE[s.place].loads,
        estimated: false,
      };
    case 'straps':
      return {
        label: 'Lean back',
        figure: String(Math.round(s.leanDeg)),
        unit: '°',
        note:
          `heels ${toCm(s.footMarkM)} cm from under the anchor; the straps carry ` +
          `${Math.round(s.carryN / GRAVITY_MS2)} kg at the start`,
        estimated: true,
      };
  }
}

/** How the load is stood. */
function stanceWords(s: Extract<FitSetting, { kind: 'lean' | 'step' }>): Omit<SettingText, 'kind'> {
  switch (s.kind) {
    case 'lean':
      return {
        label: 'Lean',
        figure: String(s.leanDeg),
        unit: '°',
        note:
          (s.leanDeg === 0 ? 'none' : s.hips ? HIPS_TOWARDS[s.towards] : LEAN_TOWARDS[s.towards]) +
          (s.chosen ? ', as chosen' : s.leanDeg === 0 ? '' : ', for this load'),
        estimated: s.leanDeg > 0 && !s.chosen,
      };
    case 'step':
      return {
        label: s.ahead ? 'Step, ankle to ankle' : 'Feet apart',
        figure: String(toCm(s.apartM)),
        unit: 'cm',
        note: s.ahead ? 'one foot ahead of the other, for this load' : 'side by side, for this load',
        estimated: true,
      };
  }
}

function words(s: FitSetting): Omit<SettingText, 'kind'> {
  switch (s.kind) {
    case 'notch':
      return notchWords(s);
    case 'block':
      return {
        label: 'Block, foot end',
        figure: String(Math.round(s.blockM * 1000) / 10),
        unit: 'cm',
        note: `${s.deg.toFixed(0)}° down${s.measured ? '' : '; no block of this gym measured'}`,
        estimated: !s.measured,
      };
    case 'seat-hole':
      return seatWords(s);
    case 'back-hole':
      return {
        label: 'Back pad',
        figure: String(s.hole),
        unit: 'hole',
        note:
          (Math.abs(s.aheadM) < 0.015
            ? 'knee on the axis'
            : `knee ${signed(s.aheadM)} ${s.aheadM > 0 ? 'past' : 'short of'} the axis`) + moved(s),
        estimated: s.estimated,
      };
    case 'knee-pad':
      return {
        label: 'Knee pad, over the seat',
        figure: String(toCm(s.overSeatM)),
        unit: 'cm',
        note: 'snug on the thighs, knees at a right angle, feet flat',
        estimated: s.estimated,
      };
    case 'hinge':
      return {
        label: 'Hinge, knuckles',
        figure: String(Math.abs(toCm(s.overKneesM))),
        unit: 'cm',
        note: `${s.overKneesM >= 0 ? 'above' : 'below'} the kneecaps: trunk ${Math.round(s.trunkDeg)}° above level`,
        estimated: s.estimated,
      };
    case 'landmine-mark':
    case 'hands':
    case 'pins':
    case 'feet':
    case 'straps':
      return holdWords(s);
    case 'lean':
    case 'step':
      return stanceWords(s);
    case 'stops':
      return {
        label: `Range, ${s.joint}`,
        figure: rangeText(s),
        unit: '',
        note: `${COUNTED[s.counted]}; ${endsText(s)}`,
        estimated: false,
      };
  }
}

const BECAUSE: Readonly<Record<RegionCause, string>> = {
  'elbow-close': 'the elbow passes low and close, towards the hip',
  'hands-close': 'both hands are close together on one handle',
  'elbow-middle': 'the elbow passes half way out',
  'elbow-high': 'the elbow travels high and wide',
  'elbow-to-armpit': 'the pull comes from overhead and stays wide of the side',
  'grip-supinated': 'the palm is turned up',
  'grip-other': 'the palm is not turned up',
  'hands-wide': 'the hands are wide of the elbows',
  'arm-behind': 'the upper arm hangs behind the body',
  'arm-ahead': 'the upper arm lies ahead of the body',
  'arm-overhead': 'the upper arm is overhead',
  'arm-at-side': 'the upper arm stays at the side',
  'palm-up': 'the palm is turned up',
  'sweep-down': 'the arms sweep down',
  'sweep-level': 'the arms sweep level',
  'sweep-up': 'the arms sweep up',
  'hand-turned': 'the thumb is turned up',
  feet: 'the feet stand elsewhere',
  movement: 'that is what this movement is for',
};
const CHANGE: Readonly<Record<RegionCause, string>> = {
  'elbow-close': 'pull the elbow low and close',
  'hands-close': 'take a close handle in both hands',
  'elbow-middle': 'let the elbow out half way',
  'elbow-high': 'pull the elbow high and wide',
  'elbow-to-armpit': 'keep the elbow wider, towards the armpit',
  'grip-supinated': 'turn the palm up',
  'grip-other': 'turn the palm in or down',
  'hands-wide': 'take the hands wider',
  'arm-behind': 'let the upper arm hang behind',
  'arm-ahead': 'bring the upper arm ahead, onto a pad',
  'arm-overhead': 'take the arm overhead',
  'arm-at-side': 'keep the arm at the side',
  'palm-up': 'turn the palm up',
  'sweep-down': 'sweep down',
  'sweep-level': 'sweep level',
  'sweep-up': 'sweep up',
  'hand-turned': 'turn the thumb up',
  feet: 'set the feet higher on the plate',
  movement: 'choose another movement',
};

export const regionText = (r: LoadedRegion): string => `Mostly the ${REGION_NAME[r.region]}: ${BECAUSE[r.because]}.`;
export const regionChangeText = (c: RegionChange): string => `For the ${REGION_NAME[c.to]}: ${CHANGE[c.by]}.`;

/** A floor mark is in front of the pulleys or behind them. */
export const markLabel = (standX: number): string => (standX < -0.005 ? 'Mark, behind' : 'Mark, in front');

/** Labels as they fit four to a row of a phone. */
export const shortLabel = (label: string): string =>
  label === 'Hole, both sides' ? 'Hole' : label === 'Mark, in front' ? 'Mark' : label.replace('each side', 'a side');

/** A setting within a sentence: "seat hole 3", "mark 51 cm"; it stays on one line. */
export function settingInLine(s: { readonly label: string; readonly value: string; readonly unit: string }): string {
  const label = s.label.split(',')[0]!.toLowerCase();
  const words =
    s.unit === 'hole' || s.unit === 'notch'
      ? `${label} ${s.unit} ${s.value}`
      : `${label} ${s.value}${s.unit && s.unit !== '°' ? ' ' : ''}${s.unit}`;
  return words.replaceAll(' ', '\u00a0');
}

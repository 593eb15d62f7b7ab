import type { PracticeQuestion } from '@/core/book/practice';
import type { ChosenBy, PlanQuestion, StandingQuestion } from '@/core/book/standing-practice';
import { FELT, isFelt, type AnswerChange } from '@/core/book/practice-effect';

/** A question as it is asked, its sides, and why ours is ours. */
interface PracticeText {
  readonly asks: string;
  /** The same where no movement stands beside it. */
  readonly asksOfAll?: string;
  readonly options: Readonly<Record<string, string>>;
  readonly why: string;
}

/** What practitioners differ on in a movement, the sides, and why ours is ours. */
export const PRACTICE_TEXT: Readonly<Record<PracticeQuestion, PracticeText>> = {
  'row-base': {
    asks: 'Base',
    asksOfAll: 'Base of a one-arm row',
    options: {
      'both-feet-down': 'both feet down, hand on the bench',
      'knee-on-bench': 'opposite knee and hand on the bench',
      'forearm-on-thigh': 'split stance, forearm on the thigh',
    },
    why:
      'Both feet down: the widest choice of stance and no straddled pelvis. Not the knee for anyone ' +
      'with an abdominal or groin history.',
  },
  'heavy-row-brace': {
    asks: 'Brace',
    asksOfAll: 'Brace of a heavy one-arm row',
    options: { 'own-thigh': 'own thigh', bench: 'a bench' },
    why: 'Own thigh; a bench if the trunk turns.',
  },
  'row-bottom': {
    asks: 'Blade in the stretch',
    asksOfAll: 'Blade in the stretch of a row',
    options: { 'keep-set': 'blade stays set', reach: 'let it reach' },
    why: 'Reaching is allowed unless a shoulder is noted or it is the first month.',
  },
  'lat-aim': {
    asks: 'Grip and aim',
    asksOfAll: 'Grip and aim of a row for the lats',
    options: {
      'neutral-to-hip': 'neutral, to the hip',
      'supinated-tight': 'supinated, tight to the side',
      'neutral-to-armpit': 'neutral, to the armpit',
    },
    why: 'Neutral to the hip: the lower lat’s own path.',
  },
  'range-top': {
    asks: 'How far up',
    asksOfAll: 'How far to the top of the range',
    options: { full: 'all the way, squeezed', 'stop-at-ninety': 'stop at about 90 %' },
    why: 'The curve decides: where it falls under a quarter of its peak, stop.',
  },
  'rear-delt-elbows': {
    asks: 'Elbows',
    asksOfAll: 'Elbows in a rear deltoid fly',
    options: { soft: 'softly bent', locked: 'locked' },
    why: 'Soft, unless the trainer wants them locked.',
  },
  'side-raise-hand': {
    asks: 'Hand',
    asksOfAll: 'Hand in a side raise',
    options: { level: 'level', 'little-finger-up': 'little finger up', 'thumb-up': 'thumb slightly up' },
    why: 'Level; thumb up where a shoulder is noted.',
  },
  'blades-in-lat-pull': {
    asks: 'Blades in the pull',
    asksOfAll: 'Blades in a pull for the lats',
    options: { quiet: 'kept quiet', 'retract-first': 'drawn back first' },
    why: 'Quiet for the lats; drawn back first belongs to the mid back.',
  },
  'stretch-depth': {
    asks: 'Stretch',
    asksOfAll: 'How far to stretch',
    options: {
      'to-active-range': 'to the client’s own range',
      'deep-paused': 'deep, with a pause',
      'constant-tension': 'short of the end, never slack',
    },
    why: 'The client’s active range and no further; a pause only where it is controlled.',
  },
  'pulldown-legs': {
    asks: 'Legs',
    asksOfAll: 'Legs in a pulldown',
    options: { locked: 'locked under the pad', free: 'free, so the load stays honest' },
    why: 'Locked for slow work; free when it is light.',
  },
  'last-reps': {
    asks: 'Last reps',
    options: { strict: 'strict to the end', 'little-help': 'a little help' },
    why: 'Strict: what is helped cannot be compared.',
  },
  breathing: {
    asks: 'Breath',
    options: { 'out-on-effort': 'out on the effort', 'in-on-pull': 'in on the pull' },
    why: 'Out on the effort: nobody holds their breath under load.',
  },
  'handle-place': {
    asks: 'Hand on the handle',
    asksOfAll: 'Hand on a dumbbell’s handle',
    options: {
      middle: 'in the middle',
      'thumb-side': 'thumb against the bell',
      'little-finger-side': 'little finger against the bell',
    },
    why: 'In the middle nothing turns the palm; thumb against the bell, the biceps hold its turn too.',
  },
  'set-order': {
    asks: 'Sides',
    asksOfAll: 'Sides of one-arm work',
    options: { straight: 'one side first', alternate: 'alternate, no rest' },
    why: 'One side first; alternate when time is short.',
  },
  'elbow-past-body': {
    asks: 'Elbow',
    asksOfAll: 'Elbow at the end of a pull for the lats',
    options: { beside: 'stops beside the body', 'slightly-behind': 'slightly behind it' },
    why: 'Slightly behind while the loaded share holds; beside when the last part rests.',
  },
};

/** Whose choice a side is that stands. */
export const CHOSEN_BY_TEXT = {
  client: 'Chosen on this client’s sheet, for every movement.',
  trainer: 'Chosen by this client’s trainer, for all their clients.',
} as const satisfies Readonly<Record<Exclude<ChosenBy, null>, string>>;

/** What a kind of movement is held to be worth. */
const WORTH_SIDES = {
  'as-measured': 'as measured',
  'worth-it': 'worth it',
  'not-worth-it': 'not worth it',
};
const WORTH_WHY =
  'As measured: proposals weigh it by what it loads. Worth it: as much as the best. Not: never proposed.';

/** What practitioners differ on for a whole plan, the sides, and why ours is ours. */
export const PLAN_PRACTICE_TEXT: Readonly<Record<PlanQuestion, PracticeText>> = {
  'deltoid-share': {
    asks: 'Side deltoid’s share of the deltoid’s sets',
    options: {
      'half-side': 'about half',
      'mostly-side': 'nearly all, 70 to 90 %',
      'spread-evenly': 'even over the three heads',
    },
    why: 'About half: pressing and rowing serve the other two heads already.',
  },
  'opposite-muscles': {
    asks: 'Opposite muscles',
    options: {
      'when-short': 'in turns when time is short',
      'one-first': 'one muscle first',
      'in-turns': 'in turns wherever it saves time',
    },
    why: 'One muscle first while the time allows; turns save the rests when it does not.',
  },
  kickbacks: { asks: 'Kickbacks', options: WORTH_SIDES, why: WORTH_WHY },
  'neutral-curls': { asks: 'Neutral curls', options: WORTH_SIDES, why: WORTH_WHY },
  'squeeze-presses': { asks: 'Squeeze presses', options: WORTH_SIDES, why: WORTH_WHY },
};

/** Every question that can be answered once, with its sides and why ours is ours. */
export const STANDING_TEXT: Readonly<Record<StandingQuestion, PracticeText>> = {
  ...PLAN_PRACTICE_TEXT,
  ...PRACTICE_TEXT,
};

const percent = (by: number, what: string): string =>
  `${what} ${Math.round(Math.abs(by) * 100)} % ${by > 0 ? 'more' : 'less'}`;

/** What another side would change here, as it would be said: "All the way, squeezed: peak 4 % less, 10° more range". */
export function effectText(option: string, c: AnswerChange | null): string {
  const side = option.charAt(0).toUpperCase() + option.slice(1);
  if (c === null) return `${side}: no set-up with it here.`;
  if (!isFelt(c)) return `${side}: the set-up stays as it is.`;
  const parts = [
    ...(c.hole === null ? [] : [`hole ${c.hole}`]),
    ...(c.standX === null ? [] : [`mark at ${Math.round(c.standX * 100)} cm`]),
    ...(Math.abs(c.peakBy) >= FELT.share ? [percent(c.peakBy, 'peak')] : []),
    ...(Math.abs(c.meanBy) >= FELT.share ? [percent(c.meanBy, 'mean')] : []),
    ...(Math.abs(c.rangeByDeg) >= FELT.rangeDeg
      ? [`${Math.round(Math.abs(c.rangeByDeg))}° ${c.rangeByDeg > 0 ? 'more' : 'less'} range`]
      : []),
    ...(Math.abs(c.hardestBy) >= FELT.hardest ? [`hardest nearer the ${c.hardestBy > 0 ? 'finish' : 'stretch'}`] : []),
  ];
  return `${side}: ${parts.join(', ')}.`;
}

/** What a question is called where no movement stands beside it. */
export const practiceName = (question: StandingQuestion): string => {
  const text = STANDING_TEXT[question];
  return text?.asksOfAll ?? text?.asks ?? 'Practice';
};

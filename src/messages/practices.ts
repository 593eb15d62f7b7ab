import type { PracticeQuestion } from '@/core/book/practice';
import { FELT, isFelt, type AnswerChange } from '@/core/book/practice-effect';

/** What practitioners differ on, the sides, and why ours is ours. */
export const PRACTICE_TEXT: Readonly<
  Record<
    PracticeQuestion,
    { readonly asks: string; readonly options: Readonly<Record<string, string>>; readonly why: string }
  >
> = {
  'row-base': {
    asks: 'Base',
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
    options: { 'own-thigh': 'own thigh', bench: 'a bench' },
    why: 'Own thigh; a bench if the trunk turns.',
  },
  'row-bottom': {
    asks: 'Blade in the stretch',
    options: { 'keep-set': 'blade stays set', reach: 'let it reach' },
    why: 'Reaching is allowed unless a shoulder is noted or it is the first month.',
  },
  'lat-aim': {
    asks: 'Grip and aim',
    options: {
      'neutral-to-hip': 'neutral, to the hip',
      'supinated-tight': 'supinated, tight to the side',
      'neutral-to-armpit': 'neutral, to the armpit',
    },
    why: 'Neutral to the hip: the lower lat’s own path.',
  },
  'range-top': {
    asks: 'How far up',
    options: { full: 'all the way, squeezed', 'stop-at-ninety': 'stop at about 90 %' },
    why: 'The curve decides: where it falls under a quarter of its peak, stop.',
  },
  'rear-delt-elbows': {
    asks: 'Elbows',
    options: { soft: 'softly bent', locked: 'locked' },
    why: 'Soft, unless the trainer wants them locked.',
  },
  'side-raise-hand': {
    asks: 'Hand',
    options: { level: 'level', 'little-finger-up': 'little finger up', 'thumb-up': 'thumb slightly up' },
    why: 'Level; thumb up where a shoulder is noted.',
  },
  'blades-in-lat-pull': {
    asks: 'Blades in the pull',
    options: { quiet: 'kept quiet', 'retract-first': 'drawn back first' },
    why: 'Quiet for the lats; drawn back first belongs to the mid back.',
  },
  'stretch-depth': {
    asks: 'Stretch',
    options: {
      'to-active-range': 'to the client’s own range',
      'deep-paused': 'deep, with a pause',
      'constant-tension': 'short of the end, never slack',
    },
    why: 'The client’s active range and no further; a pause only where it is controlled.',
  },
  'pulldown-legs': {
    asks: 'Legs',
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
    options: {
      middle: 'in the middle',
      'thumb-side': 'thumb against the bell',
      'little-finger-side': 'little finger against the bell',
    },
    why: 'In the middle nothing turns the palm; thumb against the bell, the biceps hold its turn too.',
  },
  'set-order': {
    asks: 'Sides',
    options: { straight: 'one side first', alternate: 'alternate, no rest' },
    why: 'One side first; alternate when time is short.',
  },
  'elbow-past-body': {
    asks: 'Elbow',
    options: { beside: 'stops beside the body', 'slightly-behind': 'slightly behind it' },
    why: 'Slightly behind while the loaded share holds; beside when the last part rests.',
  },
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

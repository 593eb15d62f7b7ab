import { entryOf } from '@/core/book/book';
import type { CorrectionEffect } from '@/core/fault/correction-effect';
import type { Trend } from '@/core/fault/fault-course';
import type { ShareInterval } from '@/core/fault/interval';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { FaultCause, FaultPhase } from '@/core/fault/fault-book';
import type { FaultCost } from '@/core/fault/fault-cost';
import type { Perturbation } from '@/core/fault/perturbation';
import type { CauseSign } from '@/core/fault/judge-cause';
import type { FloorEvent, Outcome } from '@/core/record/floor-event';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import { COMPENSATING_MUSCLE_NAME } from './movements';
import { countedIn, type Counted } from './live-set';

/** Short enough for one line of the pad; `seen` says it in full; `cue` is for the client, one breath. */
export const FAULT_TEXT: Readonly<
  Record<FaultCode, { readonly pad: string; readonly seen: string; readonly cue: string }>
> = {
  'shoulders-roll-forward': {
    pad: 'shoulders roll in',
    seen: 'shoulders roll forward at the finish',
    cue: 'Chest stays tall as your hands meet',
  },
  'line-off-arm': {
    pad: 'cable out of line',
    seen: 'cable out of line with the arm at the finish',
    cue: 'Follow the cable with your arm',
  },
  'arms-stay-bent': {
    pad: 'arms stay bent',
    seen: 'arms stay bent at the finish',
    cue: 'Bring the elbows together too',
  },
  'sides-differ': {
    pad: 'sides differ',
    seen: 'left and right hand arrive differently',
    cue: 'Both hands land together',
  },
  'arms-too-straight': {
    pad: 'arms too straight',
    seen: 'arms straight in the stretch',
    cue: 'Soft elbows as you open',
  },
  'past-control': {
    pad: 'past control',
    seen: 'the weight pushes the shoulder past control',
    cue: 'Open only as far as you can hold',
  },
  'stack-touches': {
    pad: 'stack sets down',
    seen: 'the stack touches in the stretch',
    cue: 'Keep the stack in the air',
  },
  shrugs: { pad: 'shrugs', seen: 'shoulders climb to the ears', cue: 'Shoulders away from your ears' },
  'trunk-swings': { pad: 'trunk swings', seen: 'the trunk swings to start the rep', cue: 'Only the arms move' },
  'trunk-turns': { pad: 'trunk turns', seen: 'the trunk turns to one side', cue: 'Breastbone stays pointing ahead' },
  'range-shrinks': { pad: 'range shrinks', seen: 'reps get shorter', cue: 'All the way, every rep' },
  'lowering-dropped': { pad: 'drops it', seen: 'the lowering is let go', cue: 'Make the way back slow' },
  'ribs-flare': { pad: 'ribs flare', seen: 'ribs lift and the low back arches', cue: 'Ribs down, breathe out' },
  'chin-forward': { pad: 'chin pokes out', seen: 'chin pokes forward', cue: 'Long neck, chin in' },
  'pad-gap': {
    pad: 'gap at the pad',
    seen: 'a gap between the upper arm and the pad',
    cue: 'Sink your armpit onto the edge',
  },
  'elbow-locks-out': {
    pad: 'elbow goes straight',
    seen: 'the elbow goes straight under load',
    cue: 'Keep a little bend at the bottom',
  },
  'elbow-swings': {
    pad: 'elbows swing',
    seen: 'the upper arm swings to start the rep',
    cue: 'Let the forearm do it alone',
  },
  'elbow-drifts-back': {
    pad: 'elbow drifts back',
    seen: 'the elbow drifts back through the rep',
    cue: 'Elbow under your shoulder all the way',
  },
  'curls-past-tension': {
    pad: 'curls into rest',
    seen: 'the last part of the curl rests',
    cue: 'Stop before it goes light',
  },
  'shoulder-tips-forward': {
    pad: 'shoulder tips over',
    seen: 'the shoulder tips forward in the stretch',
    cue: 'Blade set before you reach',
  },
  'elbow-flares': {
    pad: 'elbow flares',
    seen: 'the elbow flares away from the side',
    cue: 'Brush your ribs with your elbow',
  },
  'arm-tucks': { pad: 'arm tucks in', seen: 'the arm tucks in towards the side', cue: 'Elbow wide, palm to the floor' },
  'arm-pulls': {
    pad: 'arm does the pull',
    seen: 'the elbow closes before the shoulder moves',
    cue: 'Hand is a hook, elbow does it',
  },
  'back-rounds': { pad: 'back rounds', seen: 'the back rounds or the hips open', cue: 'Long back, hips do not move' },
  bounces: {
    pad: 'bounces',
    seen: 'the load bounces off floor, pins or stack',
    cue: 'Let it go quiet before you lift',
  },
  'rests-in-lockout': {
    pad: 'rests locked out',
    seen: 'the load rests on straight joints',
    cue: 'Stay just short of straight',
  },
  'hips-slide': { pad: 'hips slide', seen: 'the hips slide forward on the seat', cue: 'Pull yourself into the seat' },
  'knee-gap': { pad: 'knee off the axis', seen: 'a gap behind the knee at the pad', cue: 'Knees tight to the edge' },
  'trunk-rocks': { pad: 'trunk rocks', seen: 'the trunk rocks back and forth', cue: 'Belly button still, elbows work' },
  'elbows-uneven': {
    pad: 'elbows uneven',
    seen: 'one elbow travels ahead of the other',
    cue: 'Both elbows arrive together',
  },
  'knees-lift': {
    pad: 'knees lift',
    seen: 'the knees lift or the toes drop',
    cue: 'Knees into the pad, toes to shins',
  },
  'raise-shrugs': { pad: 'raise turns shrug', seen: 'the raise turns into a shrug', cue: 'Reach out, not up' },
  'pronation-hurts': {
    pad: 'palm down hurts',
    seen: 'discomfort at wrist or elbow with the palm full down',
    cue: 'Turn your thumb up a little',
  },
  'little-finger-hurts': {
    pad: 'little finger hurts',
    seen: 'discomfort at the shoulder with the little finger up',
    cue: 'Thumb slightly higher',
  },
  'borrowed-load': {
    pad: 'someone else’s load',
    seen: 'a load chosen to match someone else',
    cue: 'Your weight, your form',
  },
};

export const PHASE_NAME: Readonly<Record<FaultPhase, string>> = {
  start: 'start',
  lifting: 'lifting',
  finish: 'finish',
  lowering: 'lowering',
  stretch: 'stretch',
};

export const CORRECTION_TEXT: Readonly<Record<CorrectionCode, string>> = {
  'solved-hole': 'Carriage back to the solved hole',
  'solved-mark': 'Feet back on the solved mark',
  'pulley-up': 'Pulley one hole up',
  'step-in': 'A short step in, towards the pulleys',
  'step-out': 'A short step out, away from the pulleys',
  'one-step-lighter': 'Load one step lighter',
  'blades-down': 'Cue: blades down and back, then begin',
  'upper-arms-to-ribs': 'Cue: squeeze the upper arms to the ribs',
  'bend-at-stretch': 'Cue: bend in the stretch, lengthen to the finish',
  'straighten-at-finish': 'Cue: elbows come together and straighten',
  'ribs-down': 'Cue: ribs down, breathe out on the way in',
  'still-trunk': 'Cue: brace, then move only the arms',
  'square-up': 'Cue: hips and chest square to the front',
  'lower-like-another': 'Cue: lower each rep as though another follows',
  'chin-in': 'Cue: chin in',
  'hands-level': 'Cue: both hands land level, the slower side leads',
  'stop-earlier': 'Stop the stretch a little earlier',
  'end-set-sooner': 'End the set when the range shrinks',
  'one-arm': 'One arm at a time',
  'seat-up': 'Seat up a hole or two',
  'seat-back': 'Seat back a hole',
  'back-pad-hole': 'Back pad to the solved hole: knee to the axis',
  'neutral-grip': 'Turn the grip to neutral',
  'lower-line': 'Lower the line a hole or two',
  straps: 'Straps, so that the grip is not the limit',
  'higher-hinge': 'A higher hinge, more upright',
  'support-the-trunk': 'Support the trunk: bench, thigh or pad',
  'pin-the-knees': 'Knees pinned under the pad',
  'bench-down-a-notch': 'Bench down a notch',
  'step-back': 'A step back from the pulley',
  'thumb-up': 'Thumb turned slightly up',
  'independent-arms': 'A machine whose sides move on their own',
  'elbow-under-shoulder': 'Cue: elbow stays under the shoulder',
  'start-behind': 'Cue: start just behind the hip',
  'blade-first': 'Cue: set the blade first, then pull',
  'aim-for-hip': 'Cue: elbow aims for the hip',
  'elbow-and-palm-out': 'Cue: elbow and palm turned out',
  'drive-the-elbow': 'Cue: loose hand, drive the elbow',
  'pause-at-the-bottom': 'Cue: pause at the bottom, let it be still',
  'short-of-straight': 'Cue: stop just short of straight',
  'pull-on-handles': 'Cue: pull yourself down on the handles',
  'elbows-only': 'Cue: only the elbows move',
  'knees-heavy': 'Cue: knees heavy, toes up',
  'chest-over-pad': 'Cue: chest over the pad, armpit on the edge',
  'stop-at-ninety': 'Stop at about nine tenths of the way up',
  'start-at-thirty': 'Start at about 30 degrees off hanging',
  'half-kneel': 'Half-kneeling, one arm',
  'own-load': 'A load of their own, by how it looks',
  refer: 'Stop here and refer',
};

export const CAUSE_NAME: Readonly<Record<RemedyKind, string>> = {
  'set-up': 'the set-up',
  load: 'the load',
  cue: 'how it is cued',
  range: 'the range',
  refer: 'something to refer',
};

/** How much of a fault there is. */
export function faultSizeText({ unit }: Perturbation, size: number): string {
  switch (unit) {
    case 'deg':
      return `${Math.round(size)}°`;
    case 'm':
      return `${Math.round(size * 1000) / 10} cm`;
    case 'share':
      return `${Math.round(size * 100)} % less range`;
    case 'holes':
      return `${Math.abs(size)} ${Math.abs(size) === 1 ? 'hole' : 'holes'} too ${size < 0 ? 'low' : 'high'}`;
  }
}

/** A fault's cost in one line: how much of it, what the target loses or gains, who picks up the rest. */
export function faultCostText(p: Perturbation, size: number, c: FaultCost): string {
  const percent = Math.round(Math.abs(c.meanChange) * 100);
  const amount = `${faultSizeText(p, size)}${p.unit === 'deg' || p.unit === 'm' ? ' of it' : ''}`;
  const mean =
    percent === 0
      ? 'leaves the target’s share as it is'
      : c.meanChange < 0
        ? `costs ${percent} % of the resistance`
        : `adds ${percent} % to the resistance`;
  const grew = c.grew
    ? `; ${Math.round(c.grew.by * 100)} % more goes to the ${COMPENSATING_MUSCLE_NAME[c.grew.part.compensatedBy]}`
    : '';
  return `${amount} ${mean}${grew}.`;
}

/** Severity in a word; its shape is a bar for each step, never colour alone. */
export const SEVERITY_TEXT: Readonly<Record<Severity, string>> = { 1: 'watch', 2: 'correct', 3: 'stop the set' };

/** What to rule out first. */
export const FAULT_CAUSE_NAME: Readonly<Record<FaultCause, string>> = {
  'set-up': 'set-up',
  load: 'load',
  cue: 'cue',
  range: 'range',
  structure: 'the client’s build',
};

export const SIGN_TEXT: Readonly<Record<CauseSign, string>> = {
  'setup-differs': 'the set-up used differs from the solved one',
  'late-reps': 'only in the last third of the reps',
  'grows-with-load': 'not seen at lighter loads',
  'from-first-rep': 'seen from the start of the set',
  'all-through': 'seen all through the sets, here and before',
  'usual-order': 'nothing telling; the usual order',
};

export const OUTCOME_TEXT: Readonly<Record<Outcome, string>> = {
  held: 'Held',
  partly: 'Partly',
  not: 'Not',
  'not-checked': 'Not looked at',
};

/** "rep 3, 7" or "hold 1"; 0 stands for the whole set, tapped after it. */
export function repText(reps: readonly number[], of: Counted): string {
  const counted = [...new Set(reps)].filter((r) => r > 0).sort((a, b) => a - b);
  const parts = [counted.length > 0 ? `${of} ${counted.join(', ')}` : '', reps.includes(0) ? 'whole set' : ''].filter(
    Boolean,
  );
  return parts.join(', ');
}

/** A correction as it is called out. */
export function cueOfCorrection(code: CorrectionCode): string {
  const said = CORRECTION_TEXT[code].replace(/^Cue: /, '');
  return said[0]!.toUpperCase() + said.slice(1);
}

/** What an undo takes back. */
export function undoText(e: FloorEvent): string {
  switch (e.kind) {
    case 'fault':
      return `Undo: ${FAULT_TEXT[e.fault].pad}, ${repText([e.rep], countedIn(entryOf(e.movement).work))}`;
    case 'clean':
      return 'Undo: clean so far';
    case 'set-confirmed':
      return 'Undo: load and reps';
    case 'correction':
      return 'Undo: correction';
    case 'outcome':
      return 'Undo: outcome';
    case 'set-ended':
      return 'Undo: end of set';
    case 'go-ahead':
      return 'Undo: going ahead';
    case 'setup-saved':
      return 'Undo: set-up';
    default:
      return 'Undo';
  }
}

export const TOO_MUCH_FAULT = 'So much of it leaves no movement.';
export const TOUCHES_DOWN = 'The stack would touch down.';

const spanOf = ({ low, high }: ShareInterval): string => `${Math.round(low * 100)} to ${Math.round(high * 100)} %`;

/** Fewer than this many sets or looks say little of how often something happens (our judgement). */
export const FEW_SETS = 6;

/** Where a fault goes over the sessions. */
const TREND_TEXT: Readonly<Record<Trend, string>> = { rarer: 'getting rarer', 'more-often': 'getting more frequent' };

/** How often a fault was seen, what that says of its rate, and how long ago. */
export const faultSummaryText = (f: {
  readonly setsSeen: number;
  readonly sets: number;
  readonly setsSince: number;
  readonly cleared: boolean;
  readonly trend: Trend | null;
  /** Where its rate likely lies; null where the sets say too little. */
  readonly likely: ShareInterval | null;
}): string => {
  if (f.cleared) return `cleared, ${f.setsSince} sets without`;
  const rate = f.likely ? `, likely ${spanOf(f.likely)}` : '';
  const way = f.trend === null ? '' : `, ${TREND_TEXT[f.trend]}`;
  return `${f.setsSeen} of ${f.sets} sets${rate}${f.setsSince > 0 ? `, ${f.setsSince} since` : ''}${way}`;
};

/** How often a correction held, and how often it likely works: 90 % sure, once there are looks enough to say. */
export function effectText({ held, partly, not, works }: CorrectionEffect): string {
  const looks = held + not;
  const seen = [...(looks > 0 ? [`held ${held} of ${looks}`] : []), ...(partly > 0 ? [`partly ${partly}`] : [])];
  const sure = looks < FEW_SETS ? 'too few looks to say more' : `likely works ${spanOf(works)} of the time`;
  return `${seen.join(', ')}; ${sure}`;
}

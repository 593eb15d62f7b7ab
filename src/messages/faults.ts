import type { CorrectionCode, FaultPhase, RemedyKind } from '@/core/fault/fault-book';
import type { CauseSign } from '@/core/fault/judge-cause';
import type { Outcome } from '@/core/fault/floor-event';
import type { FaultCode } from '@/core/movement/fault-code';

/** Short enough for one line of the pad; `seen` says it in full; `cue` is for the client, one breath. */
export const FAULT_TEXT: Readonly<Record<FaultCode, { readonly pad: string; readonly seen: string; readonly cue: string }>> = {
  'shoulders-roll-forward': { pad: 'shoulders roll in', seen: 'shoulders roll forward at the finish', cue: 'Chest stays tall as your hands meet' },
  'line-off-arm': { pad: 'cable off the arm', seen: 'cable out of line with the arm at the finish', cue: 'Follow the cable with your arm' },
  'arms-stay-bent': { pad: 'arms stay bent', seen: 'arms stay bent at the finish', cue: 'Bring the elbows together too' },
  'sides-differ': { pad: 'sides differ', seen: 'left and right hand arrive differently', cue: 'Both hands land together' },
  'arms-too-straight': { pad: 'arms too straight', seen: 'arms straight in the stretch', cue: 'Soft elbows as you open' },
  'past-control': { pad: 'past control', seen: 'the weight pushes the shoulder past control', cue: 'Open only as far as you can hold' },
  'stack-touches': { pad: 'stack sets down', seen: 'the stack touches in the stretch', cue: 'Keep the stack in the air' },
  shrugs: { pad: 'shrugs', seen: 'shoulders climb to the ears', cue: 'Shoulders away from your ears' },
  'trunk-swings': { pad: 'trunk swings', seen: 'the trunk swings to start the rep', cue: 'Only the arms move' },
  'trunk-turns': { pad: 'trunk turns', seen: 'the trunk turns to one side', cue: 'Breastbone stays pointing ahead' },
  'range-shrinks': { pad: 'range shrinks', seen: 'reps get shorter', cue: 'All the way, every rep' },
  'lowering-dropped': { pad: 'drops it', seen: 'the lowering is let go', cue: 'Make the way back slow' },
  'ribs-flare': { pad: 'ribs flare', seen: 'ribs lift and the low back arches', cue: 'Ribs down, breathe out' },
  'chin-forward': { pad: 'chin pokes out', seen: 'chin pokes forward', cue: 'Long neck, chin in' },
};

export const PHASE_NAME: Readonly<Record<FaultPhase, string>> = { start: 'start', lifting: 'lifting', finish: 'finish', lowering: 'lowering', stretch: 'stretch' };

export const CORRECTION_TEXT: Readonly<Record<CorrectionCode, string>> = {
  'solved-hole': 'Carriage back to the solved hole',
  'solved-mark': 'Feet back on the solved mark',
  'pulley-up': 'Pulley one hole up',
  'step-in': 'A short step in, towards the pulleys',
  'step-out': 'A short step out, away from the pulleys',
  'one-step-lighter': 'One step lighter on the stack',
  'blades-down': 'Cue: blades down and back before each rep',
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
  refer: 'Stop here and refer',
};

export const CAUSE_NAME: Readonly<Record<RemedyKind, string>> = { 'set-up': 'set-up', load: 'load', cue: 'cue', range: 'range', refer: 'refer' };

export const SIGN_TEXT: Readonly<Record<CauseSign, string>> = {
  'setup-differs': 'the set-up used differs from the solved one',
  'late-reps': 'only in the last third of the reps',
  'grows-with-load': 'not seen at lighter loads',
  'from-first-rep': 'there from the first reps',
  'usual-order': 'nothing telling; the usual order',
};

export const OUTCOME_TEXT: Readonly<Record<Outcome, string>> = { held: 'Held', partly: 'Partly', not: 'Not', 'not-checked': 'Not looked at' };

/** "rep 3, 7"; rep 0 stands for the whole set, tapped after it. */
export function repText(reps: readonly number[]): string {
  const counted = [...new Set(reps)].filter((r) => r > 0).sort((a, b) => a - b);
  const parts = [counted.length > 0 ? `rep ${counted.join(', ')}` : '', reps.includes(0) ? 'whole set' : ''].filter(Boolean);
  return parts.join(', ');
}

import { wayAt } from '@/core/trace/minimum-jerk';

/** Simulated lifters, each with a habit that a stack sensor can see. */
export const LIFTERS = {
  steady: 'steady, at the asked tempo',
  bouncing: 'bounces out of the stretch',
  rushed: 'rushes every lowering',
  shrinking: 'shortens the range as the set goes on',
  'drops-last': 'lets the last lowering go',
  touching: 'sets the stack down between reps',
} as const;
export type Lifter = keyof typeof LIFTERS;

/** One leg of an asked rep: seconds, and shares of the range. */
export interface AskedLeg {
  readonly seconds: number;
  readonly from: number;
  readonly to: number;
}

export interface AskedSet {
  readonly legs: readonly AskedLeg[];
  readonly reps: number;
  readonly leadInS: number;
  /** Travel of the stack over the whole range, metres. */
  readonly rangeM: number;
}

/** A stretch of what the stack really does; metres above its stop. */
export interface StackLeg {
  readonly seconds: number;
  readonly fromM: number;
  readonly toM: number;
  /** At one speed, as one of several pieces of a way; else freely, by a minimum-jerk profile. */
  readonly even: boolean;
}

/** Height at which the stack hangs in the stretch, metres: the least length that keeps it off its stop. */
const HANGING_M = 0.05;
/** Acceleration at a bounced turn, m/s^2: well above half of gravity. */
const BOUNCE_MS2 = 12;
/** Greatest acceleration of a minimum-jerk move over way / time^2 (Flash and Hogan 1985): 10 / sqrt 3. */
const JERK_ACCELERATION = 10 / Math.sqrt(3);
const TAKE_HOLD_S = 1;

/** Who is early waits for the mark: in the last pause, or, with no time for one in the stretch, at the finish. */
function waitForMark(pieces: readonly StackLeg[], asked: readonly AskedLeg[], lifter: Lifter): StackLeg[] {
  const early = asked.reduce((a, l) => a + l.seconds, 0) - pieces.reduce((a, p) => a + p.seconds, 0);
  const at =
    lifter === 'bouncing'
      ? asked.findIndex((l) => l.from === l.to && l.to > 0.5)
      : asked.findLastIndex((l) => l.from === l.to);
  return pieces.map((p, i) => (i === at && early > 0 ? { ...p, seconds: p.seconds + early } : p));
}

/** What the stack does from when a set is called until it is back on its stop. `random`: 0 to 1. */
export function liftSet(lifter: Lifter, asked: AskedSet, random: () => number): StackLeg[] {
  const about = (value: number, share: number): number => value * (1 + share * (2 * random() - 1));
  const first = HANGING_M + asked.legs[0]!.from * asked.rangeM;
  const legs: StackLeg[] = [
    { seconds: Math.max(0, asked.leadInS - 2 * TAKE_HOLD_S), fromM: 0, toM: 0, even: false },
    { seconds: TAKE_HOLD_S, fromM: 0, toM: first, even: false },
    { seconds: TAKE_HOLD_S, fromM: first, toM: first, even: false },
  ];
  let at = first;
  for (let rep = 1; rep <= asked.reps; rep++) {
    const reach = lifter === 'shrinking' ? Math.max(0.5, 1 - 0.08 * Math.max(0, rep - 3)) : about(1, 0.02);
    const pieces: StackLeg[] = [];
    for (const [i, leg] of asked.legs.entries()) {
      const lowering = leg.to < leg.from;
      const lifting = leg.to > leg.from;
      const stretch = lifter === 'touching' && rep > 1 ? 0 : HANGING_M;
      const toM = leg.to < 0.5 ? stretch + leg.to * asked.rangeM : HANGING_M + leg.to * asked.rangeM * reach;
      let seconds = about(leg.seconds, 0.04);
      if (lifter === 'rushed' && lowering) seconds *= 0.35;
      if (lifter === 'drops-last' && lowering && rep === asked.reps) seconds = 0.4;
      if (lifter === 'bouncing' && (lowering || lifting))
        seconds = Math.min(seconds, Math.sqrt((JERK_ACCELERATION * Math.abs(toM - at)) / BOUNCE_MS2));
      if (lifter === 'bouncing' && !lowering && !lifting && leg.to < 0.5) seconds = 0;
      const even = [asked.legs[i - 1], asked.legs[i + 1]].some(
        (l) => l !== undefined && (l.to - l.from) * (leg.to - leg.from) > 0,
      );
      pieces.push({ seconds, fromM: at, toM, even });
      at = toM;
    }
    legs.push(...waitForMark(pieces, asked.legs, lifter));
  }
  legs.push(
    { seconds: TAKE_HOLD_S, fromM: at, toM: at, even: false },
    { seconds: TAKE_HOLD_S, fromM: at, toM: 0, even: false },
  );
  return legs;
}

/** Where the stack is `t` seconds after a set was called, metres above its stop; on the stop before and after. */
export function stackAt(legs: readonly StackLeg[], t: number): number {
  if (t < 0) return 0;
  let left = t;
  for (const leg of legs) {
    if (left < leg.seconds)
      return leg.fromM + (leg.toM - leg.fromM) * (leg.even ? left / leg.seconds : wayAt(left / leg.seconds));
    left -= leg.seconds;
  }
  return 0;
}

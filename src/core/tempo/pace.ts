import { repSeconds, type Phase, type Tempo } from './tempo';

/** One stretch of the paced line: position 0 is the stretch, 1 the finish. */
export interface PaceLeg {
  readonly phase: Phase;
  readonly startS: number;
  readonly seconds: number;
  readonly from: 0 | 1;
  readonly to: 0 | 1;
}

/** The legs of one rep in the order they are done; pauses of no length are left out. */
export function buildRep(tempo: Tempo, startsWith: 'lifting' | 'lowering'): PaceLeg[] {
  const up: readonly Phase[] = ['lifting', 'finish'];
  const down: readonly Phase[] = ['lowering', 'stretch'];
  const order = startsWith === 'lifting' ? [...up, ...down] : [...down, ...up];
  const ends: Readonly<Record<Phase, readonly [0 | 1, 0 | 1]>> = { lifting: [0, 1], finish: [1, 1], lowering: [1, 0], stretch: [0, 0] };
  const legs: PaceLeg[] = [];
  let startS = 0;
  for (const phase of order) {
    if (tempo[phase] > 0) legs.push({ phase, startS, seconds: tempo[phase], from: ends[phase][0], to: ends[phase][1] });
    startS += tempo[phase];
  }
  return legs;
}

export interface PaceAt {
  /** Rep under way, 1 for the first; 0 during the lead-in. */
  readonly rep: number;
  readonly phase: Phase | 'ready';
  /** 0 stretch, 1 finish. */
  readonly position: number;
  readonly leftS: number;
  /** Reps wholly done. */
  readonly done: number;
}

/** Where the paced set stands `t` seconds after its first rep began; negative `t` is the lead-in. */
export function paceAt(tempo: Tempo, startsWith: 'lifting' | 'lowering', t: number): PaceAt {
  const legs = buildRep(tempo, startsWith);
  if (t < 0) return { rep: 0, phase: 'ready', position: legs[0]!.from, leftS: -t, done: 0 };
  const whole = repSeconds(tempo);
  const done = Math.floor(t / whole);
  const within = t - done * whole;
  const leg = legs.find((l) => within < l.startS + l.seconds) ?? legs[legs.length - 1]!;
  const share = Math.min(1, Math.max(0, (within - leg.startS) / leg.seconds));
  return {
    rep: done + 1,
    phase: leg.phase,
    position: leg.from + (leg.to - leg.from) * share,
    leftS: leg.startS + leg.seconds - within,
    done,
  };
}

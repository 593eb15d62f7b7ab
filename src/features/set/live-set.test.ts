import { isTurnedBack } from './use-live-set';
import { describe, expect, it } from 'vitest';
import type { SetRecord } from '@/core/record/set-log';
import { AS_IT_COMES } from '@/core/tempo/scheme';
import { buildRep, wholePace } from '@/core/tempo/pace';
import { parseTempo } from '@/core/tempo/tempo';
import { judgeSet } from '@/core/fault/judge-set';
import { heardAt } from './heard-at';
import { PaceClock } from './pace-clock';
import { buildTrack, isNameInSight } from './pacer';

const pace = wholePace(parseTempo('3-1-2-1')!, 'lifting');

describe('the paced line', () => {
  it('names the legs in the order they are done', () => {
    const inSight = buildTrack(pace, 0).names.filter((n) => isNameInSight(n.x));
    expect(inSight.map((n) => n.word)).toEqual(['lift 2', 'hold 1', 'lower 3']);
    expect(buildTrack({ ...pace, startsWith: 'lowering' }, 0).names[0]!.word).toBe('lower 3');
  });
  it('waits flat at the start during the lead-in', () => {
    const { d } = buildTrack(pace, -5);
    const heights = [...d.matchAll(/[ML]-?[\d.]+ (-?[\d.]+)/g)].map((m) => Number(m[1]));
    expect(heights[0]).toBe(heights[1]);
  });
  it('moves left as time goes on, without a jump', () => {
    const x = (t: number): number => buildTrack(pace, t).names.find((n) => n.word === 'lower 3')!.x;
    for (let t = 1; t < 4; t += 0.1) expect(x(t) - x(t + 0.1)).toBeCloseTo(4.8, 6);
  });
  it('never breaks, whenever it is drawn', () => {
    for (let t = -5; t < 200; t += 1.7) expect(buildTrack(pace, t).d).toMatch(/^M[-\d. ]+(L[-\d. ]+)+$/);
  });
  it.each(['3-1-2-1', '1-0-1-0', '20-20-20-20', '4-0-X-2'])(
    'slid for six seconds it is what it would be drawn anew, and reaches past the edge, at %s',
    (tempo) => {
      const asked = wholePace(parseTempo(tempo)!, 'lifting');
      const points = (d: string) => [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => [+m[1]!, +m[2]!] as const);
      for (let t = -2.93; t < 90; t += 7.3)
        for (const laterS of [0.1, 3, 6]) {
          const slid = points(buildTrack(asked, t).d).map(([x, y]) => [x - 48 * laterS, y] as const);
          const anew = points(buildTrack(asked, t + laterS).d);
          expect(slid.at(-1)![0]).toBeGreaterThan(480);
          const inSight = (all: typeof anew) => all.filter(([x]) => x >= 0 && x <= 480);
          const [was, is] = [inSight(slid), inSight(anew)];
          expect(was).toHaveLength(is.length);
          was.forEach(([x, y], i) => expect([x, y]).toEqual([expect.closeTo(is[i]![0], 0), is[i]![1]]));
        }
    },
  );
});

describe('what is heard', () => {
  it.each([0, 0.005, -0.005])(
    'over five minutes of an audio clock %d off the page’s, with stalls between ticks, every tick comes within 2 ms',
    (off) => {
      const legs = buildRep(pace);
      let stalledS = 0;
      for (let k = 0, dueMs = 0; dueMs < 300_000; k++) {
        dueMs += legs[k % legs.length]!.seconds * 1000;
        if (k % 7 === 0) stalledS += 0.15;
        const audioAt = (ms: number): number => 3 + (ms / 1000) * (1 + off) - stalledS;
        const toldMs = dueMs - 200;
        // What is heard lags behind what the graph makes by the device's delay.
        const at = heardAt(
          { currentTime: audioAt(toldMs) + 0.04, contextTime: audioAt(toldMs), performanceTime: toldMs },
          dueMs,
          toldMs,
        );
        const heardMs = ((at - 3 + stalledS) / (1 + off)) * 1000;
        expect(Math.abs(heardMs - dueMs)).toBeLessThan(2);
      }
    },
  );
  it('comes at once when it is late, and by the graph’s clock before anything was heard', () => {
    expect(heardAt({ currentTime: 10, contextTime: 9.9, performanceTime: 5000 }, 4900, 5000)).toBe(10);
    expect(heardAt({ currentTime: 10, contextTime: 0, performanceTime: 0 }, 5200, 5000)).toBeCloseTo(10.2, 9);
  });
});

describe('the set’s clock', () => {
  /** Five minutes of frames; where the clock ends against the page's and the audio's, and its most and least rate. */
  function run(audioAt: (ms: number) => number, noiseMs: number) {
    const clock = new PaceClock();
    let [was, rates] = [0, [] as number[]];
    for (let ms = 0; ms <= 300_000; ms += 16) {
      clock.observe(ms, audioAt(ms) + noiseMs * Math.sin(ms * ms));
      if (ms > 0)
        rates = [
          Math.min(rates[0] ?? 1, (clock.read(ms) - was) / 16),
          Math.max(rates[1] ?? 1, (clock.read(ms) - was) / 16),
        ];
      was = clock.read(ms);
    }
    expect(clock.toPage(clock.read(1234))).toBeCloseTo(1234, 9);
    return { page: was - 300_000, audio: was - (audioAt(300_000) - audioAt(0)), rates };
  }
  it.each([0, 50e-6, -50e-6, 100e-6, -300e-6])(
    'runs with a sound device %d off the page’s clock: within 5 ms of it over five minutes',
    (off) => {
      const { audio, rates } = run((ms) => 500 + ms * (1 + off), 2);
      expect(Math.abs(audio)).toBeLessThan(5);
      for (const r of rates) expect(Math.abs(r - 1)).toBeLessThan(0.00051);
    },
  );
  it.each<[string, (ms: number) => number]>([
    ['stands still for two seconds of every thirty', (ms) => ms - 2000 * Math.floor(ms / 30_000)],
    ['starts anew', (ms) => (ms < 150_000 ? ms : ms - 150_000)],
  ])('keeps to the page’s where the audio %s', (_, audioAt) => {
    const { page, rates } = run(audioAt, 1);
    expect(Math.abs(page)).toBeLessThan(5);
    for (const r of rates) expect(Math.abs(r - 1)).toBeLessThan(0.00051);
  });
  it('a device that keeps no time holds it up by half a per mille at most', () =>
    expect(run((ms) => 0.9 * ms, 0).page).toBeGreaterThan(-151));
});

describe('judging a set', () => {
  const ALL = (): boolean => true;
  const set = (change: Partial<SetRecord>): SetRecord => ({
    setId: 's',
    itemId: 'i',
    sessionId: 'day',
    side: 'both',
    setNo: 1,
    startedAtMs: 1,
    endedAtMs: 2,
    loadG: 15000,
    bandId: null,
    reps: 12,
    targetReps: 12,
    tempo: '3-1-2-1',
    choices: AS_IT_COMES,
    scheme: 'straight',
    parts: [],
    cleanTo: 0,
    note: '',
    confirmed: true,
    setup: null,
    faults: [],
    corrections: [],
    ...change,
  });
  const mark = (fault: 'shrugs' | 'past-control' | 'chin-forward', rep: number) => ({
    id: `${fault}${rep}`,
    fault,
    rep,
    side: 'both' as const,
    severity: 2 as const,
  });
  it('puts what can hurt first and lists each fault once', () => {
    const now = set({
      faults: [mark('chin-forward', 2), mark('past-control', 4), mark('chin-forward', 5), mark('shrugs', 3)],
    });
    expect(judgeSet(now, [now], ALL).map((j) => j.fault)).toEqual(['past-control', 'shrugs', 'chin-forward']);
  });
  it('learns from lighter sets and from corrections that did not hold', () => {
    const correction = {
      id: 'c',
      fault: 'shrugs' as const,
      correction: 'one-step-lighter' as const,
      cause: 'load' as const,
      outcome: 'not' as const,
      outcomeId: 'o',
      outcomeSetId: 's2',
    };
    const before = set({ setId: 'before', loadG: 10000, corrections: [correction] });
    const now = set({ faults: [mark('shrugs', 5)] });
    const [judged] = judgeSet(now, [before, now], ALL);
    expect(judged!.sign).toBe('grows-with-load');
    expect(judged!.remedies.at(-1)).toBe('one-step-lighter');
  });
  it('a tap for the whole set counts as there from the start', () => {
    const now = set({ faults: [mark('shrugs', 0)] });
    expect(judgeSet(now, [now], ALL)[0]!.sign).toBe('from-first-rep');
  });
});

it.each<[string, Parameters<typeof isTurnedBack>, boolean]>([
  [
    'start, start',
    [
      { to: 'start', atMs: 0 },
      { to: 'start', atMs: 90 },
    ],
    true,
  ],
  [
    'start, end under one double tap',
    [
      { to: 'start', atMs: 0 },
      { to: 'end', atMs: 400 },
    ],
    true,
  ],
  [
    'end, start under one double tap',
    [
      { to: 'end', atMs: 0 },
      { to: 'start', atMs: 400 },
    ],
    true,
  ],
  [
    'end, then start after a breath',
    [
      { to: 'end', atMs: 0 },
      { to: 'start', atMs: 900 },
    ],
    false,
  ],
  [
    'a fault between',
    [
      { to: 'fault', atMs: 300 },
      { to: 'end', atMs: 400 },
    ],
    false,
  ],
  ['nothing before', [null, { to: 'start', atMs: 0 }], false],
])('start and end share a place: %s', (_, turns, dropped) => expect(isTurnedBack(...turns)).toBe(dropped));

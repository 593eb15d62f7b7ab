import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/record/floor-event';
import { foldSetLog } from '@/core/record/set-log';
import { paceAt, repSeconds } from '@/core/tempo/pace';
import { AS_IT_COMES, type Scheme } from '@/core/tempo/scheme';
import { seeded } from '../../../test/support/fixtures';
import { SET_PLAN } from '../../../test/support/set-plan';
import { decide, type Command } from './decide';
import { setNow, type LiveSetState, type SetNow, type SetPlan } from './live-set-view';
import { elapsedMs, reduceSet, type SetState } from './set-machine';

const item = { ...SET_PLAN.item, loadG: 32_500 };
const PLAN: SetPlan = { ...SET_PLAN, item, stackG: [20_000, 22_500, 25_000, 27_500, 30_000, 32_500] };
const FRAME_MS = 50;

/** A set on a page: commands and frames of the pacer, which counts as the screen does. */
function running(tempo: string, state: Partial<LiveSetState> = {}, scheme: Scheme | null = null) {
  const plan = { ...PLAN, item: { ...item, tempo } };
  const events: FloorEvent[] = [];
  let pacer: SetState = { mode: 'idle' };
  let nowMs = 0;
  let seen = 0;
  const records = () => ({ events, log: foldSetLog(events, { i: { sessionId: 'day', side: 'both' } }) });
  const whole = (): LiveSetState => ({ chosenLoadG: null, chosenBandId: null, ...state, pacer });
  let shown: { readonly of: readonly [number, SetState]; readonly live: SetNow } | null = null;
  // Frames between two taps see what was shown after the first.
  const live = () => {
    if (shown?.of[0] !== events.length || shown.of[1] !== pacer)
      shown = { of: [events.length, pacer], live: setNow(records(), plan, whole()) };
    return shown.live;
  };
  const paced = () => {
    const ms = elapsedMs(pacer, nowMs);
    if (ms === null) return null;
    const { pace, base } = live();
    const at = paceAt(pace, ms / 1000);
    return { rep: at.rep + base, done: at.done + base };
  };
  const give = (c: Command): void => {
    const { events: bodies, pacer: then } = decide(c, records(), plan, whole(), { nowMs, paced: paced() });
    for (const body of bodies)
      events.push({
        ...body,
        id: `e${events.length}`,
        actorId: 't',
        deviceId: 'd',
        seq: events.length,
        atMs: events.length + 1,
        clientId: 'c',
        itemId: 'i',
        movement: 'cable-fly-level',
      } as FloorEvent);
    if (then) {
      pacer = reduceSet(pacer, then);
      seen = paced()?.done ?? 0;
    }
  };
  const wait = (ms: number): void => {
    for (const endMs = nowMs + ms; nowMs < endMs; nowMs += FRAME_MS) {
      const done = paced()?.done ?? 0;
      for (let rep = seen + 1; rep <= done; rep++) give({ do: 'paced-rep', rep });
      seen = Math.max(seen, done);
    }
  };
  if (scheme) give({ do: 'choose-scheme', scheme, choices: AS_IT_COMES });
  give({ do: 'start', setId: 'A' });
  wait(5000);
  return {
    give,
    wait,
    live,
    paced,
    reps: () => records().log.sets[0]!.reps,
    scale: () => repSeconds(live().pace),
    mode: () => pacer.mode,
  };
}
const tap = { do: 'count-rep' } as const;

describe('reps by tap, the pacer running', () => {
  it.each(['3-1-2-1', '2-0-1-0', '5-5-5-5', '1-0-1-0'])('ten taps 0.6 to 2.5 s apart are ten reps, at %s', (tempo) => {
    const random = seeded(tempo.length * 31 + tempo.charCodeAt(0));
    for (let k = 0; k < 12; k++) {
      const { give, wait, reps } = running(tempo);
      let first = true;
      for (let i = 0; i < 10; i++) {
        // The first one comes before the pacer has counted by itself.
        wait(first ? 600 : 600 + 1900 * random());
        first = false;
        give(tap);
        expect(reps()).toBe(i + 1);
      }
      give({ do: 'end' });
      expect(reps()).toBe(10);
    }
  });
  it('the pacer learns the client’s own pace, and keeps the asked one where they agree', () => {
    const { give, wait, scale } = running('3-1-2-1');
    for (const ms of [2000, 2100, 1900, 2000]) {
      wait(ms);
      give(tap);
    }
    expect(scale()).toBeCloseTo(2, 0);
    const steady = running('3-1-2-1');
    for (let i = 0; i < 4; i++) {
      steady.wait(6800);
      steady.give(tap);
    }
    expect(steady.scale()).toBe(7);
    expect(steady.reps()).toBe(4);
  });
  it('a tap just after the pacer has counted is that rep, and one finger down twice is one', () => {
    const { give, wait, reps } = running('3-1-2-1');
    wait(7300);
    expect(reps()).toBe(1);
    give(tap);
    wait(100);
    give(tap);
    expect(reps()).toBe(1);
  });
  it('where nobody taps any more the pacer counts on, one by one', () => {
    const { give, wait, reps } = running('3-1-2-1');
    for (let i = 0; i < 4; i++) {
      wait(2000);
      give(tap);
    }
    wait(3900);
    expect(reps()).toBe(4);
    wait(1200 + 2000);
    expect(reps()).toBeGreaterThanOrEqual(5);
    expect(reps()).toBeLessThanOrEqual(6);
  });
  it('slow reps that are tapped run straight into the normal ones', () => {
    const { give, wait, live, reps } = running('3-1-2-1', {}, 'slow-then-normal');
    for (let i = 0; i < 8; i++) {
      wait(2400);
      give(tap);
    }
    expect([reps(), live().index, live().base]).toEqual([8, 1, 8]);
  });
  it('a stop sign stops the pacer at once', () => {
    const { give, wait, mode, reps } = running('3-1-2-1');
    wait(2000);
    give({ do: 'fault', fault: 'shrugs', side: 'both', severity: 3 });
    expect(mode()).toBe('paused');
    wait(20_000);
    expect(reps()).toBe(0);
  });
});

describe('a pause', () => {
  it('goes on from what was counted meanwhile, at the client’s own pace', () => {
    const { give, wait, reps, live, paced } = running('3-1-2-1');
    for (let i = 0; i < 3; i++) {
      wait(2000);
      give(tap);
    }
    give({ do: 'pause' });
    wait(5000);
    give(tap);
    give(tap);
    expect(reps()).toBe(5);
    give({ do: 'resume' });
    expect(paced()).toEqual({ rep: 6, done: 5 });
    expect(live().scale).toBeLessThan(0.4);
  });
});

describe('the load of a set', () => {
  const done = (state: Partial<LiveSetState>): ReturnType<typeof running> => {
    const page = running('3-1-2-1', state);
    page.give({ do: 'end' });
    page.give({ do: 'confirm', setId: 'A', loadG: 32_500, reps: 9 });
    return page;
  };
  it.each([
    ['the proposal, where nobody chose', null, 25_000],
    ['what the trainer stepped to', 30_000, 30_000],
  ])('is what stands on the plate: %s', (_, chosenLoadG, loadG) => {
    const page = done({});
    page.give({ do: 'choose-scheme', scheme: 'slow-then-normal', choices: AS_IT_COMES });
    const log = page.live().log;
    const state: LiveSetState = { pacer: { mode: 'idle' }, chosenLoadG, chosenBandId: null };
    const ready = setNow({ log }, PLAN, state);
    expect(ready.loadG).toBe(loadG);
    expect(ready.parts.map((p) => p.loadG)).toEqual([loadG, loadG]);
    expect(ready.proposal?.by.reps ?? null).toBe(chosenLoadG === null ? 9 : null);
    const { events } = decide({ do: 'start', setId: 'B' }, { events: [], log }, PLAN, state, { nowMs: 0, paced: null });
    expect(events[0]).toMatchObject({ kind: 'set-started', loadG });
  });
  it('good for 20 by a set that was ended early: reps in reserve are reps that were there', () => {
    const proposed = (reserve: number | null): number => {
      const page = running('3-1-2-1');
      page.give({ do: 'end' });
      page.give({ do: 'choose-scheme', scheme: 'straight', choices: { ...AS_IT_COMES, reserve } });
      page.give({ do: 'start', setId: 'B' });
      page.give({ do: 'end' });
      page.give({ do: 'confirm', setId: 'B', loadG: 30_000, reps: 5 });
      page.give({ do: 'choose-scheme', scheme: 'slow-then-normal', choices: AS_IT_COMES });
      return page.live().proposal!.loadG;
    };
    expect(proposed(null)).toBe(proposed(0));
    expect(proposed(5)).toBeGreaterThan(proposed(0));
  });
});

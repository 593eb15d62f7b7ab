import { describe, expect, it } from 'vitest';
import { mayHandOver, reachesClient, type Care, type Role } from './care';
import { weakPassphrase, weakPin } from './passphrase';
import { changeOver, LASTS_MS, LOCKS_AFTER_MS, rotationDue, sessionState } from './session-state';
import { signInWaitMs } from './sign-in-limit';

const cover = (fromDay: number, untilDay: number, ended = false) => ({ accountId: 'b', fromDay, untilDay, ended });
const care = (trainerId: string | null, ...covers: Care['covers'][number][]): Care => ({ trainerId, covers });

describe('whose clients somebody sees', () => {
  it.each<[string, Role, string, Care, boolean, boolean]>([
    ['the owner, everybody', 'owner', 'x', care('a'), true, true],
    ['the owner, nobody’s', 'owner', 'x', care(null), true, true],
    ['a trainer, their own', 'trainer', 'a', care('a'), true, true],
    ['a trainer, somebody else’s', 'trainer', 'b', care('a'), false, false],
    ['a trainer, nobody’s', 'trainer', 'b', care(null), false, false],
    ['who stands in, on the first day', 'trainer', 'b', care('a', cover(10, 12)), true, false],
    ['who stands in, on the last day', 'trainer', 'b', care('a', cover(8, 10)), true, false],
    ['who stood in until yesterday', 'trainer', 'b', care('a', cover(8, 9)), false, false],
    ['who stands in from tomorrow', 'trainer', 'b', care('a', cover(11, 12)), false, false],
    ['whose cover was called off', 'trainer', 'b', care('a', cover(8, 12, true)), false, false],
    ['who stands in for another one', 'trainer', 'c', care('a', cover(8, 12)), false, false],
  ])('%s', (_, role, id, of, sees, gives) =>
    expect([reachesClient({ id, role }, of, 10), mayHandOver({ id, role }, of)]).toEqual([sees, gives]),
  );
});

describe('secrets', () => {
  it.each([
    ['tide under the pier', null],
    ['fourteen chars', 'short'],
    ['aaaaaaaaaaaaaaaaaaaa', 'plain'],
    ['Oriel Vantage Oriel', 'plain'],
    ['abababababababab', 'plain'],
    [`${'salt wind '.repeat(21)}`, 'long'],
    ['двенадцать кошек', null],
  ])('passphrase %s', (text, why) => expect(weakPassphrase(text, 'Oriel Vantage')).toBe(why));
  it.each([
    ['4071', null],
    ['123', 'short'],
    ['123456789', 'long'],
    ['1111', 'guessed-first'],
    ['2345', 'guessed-first'],
    ['8765', 'guessed-first'],
    ['12a4', 'not-digits'],
    ['', 'not-digits'],
  ])('PIN %s', (pin, why) => expect(weakPin(pin)).toBe(why));
});

describe('tries to sign in', () => {
  it.each<[string, number, number, number]>([
    ['four tries', 4, 0, 0],
    ['the fifth waits half a minute', 5, 0, 30_000],
    ['the seventh two minutes', 7, 0, 120_000],
    ['never more than a quarter of an hour', 30, 0, 900_000],
    ['less what has passed', 5, 29_000, 1000],
    ['nothing once it has passed', 5, 31_000, 0],
    ['an hour later they are forgotten', 30, 3_600_000, 0],
  ])('%s', (_, tries, agoMs, wait) => expect(signInWaitMs(Array<number>(tries).fill(1e12 - agoMs), 1e12)).toBe(wait));
});

describe('a signed-in device', () => {
  const at = (begunAtMs: number, seenAtMs: number, endedAtMs: number | null = null) => ({
    begunAtMs,
    rotatedAtMs: begunAtMs,
    seenAtMs,
    endedAtMs,
  });
  const now = 1e12;
  it.each([
    ['just used', at(now - 1000, now - 1000), 'open'],
    ['asleep for a quarter of an hour', at(now - LASTS_MS / 2, now - LOCKS_AFTER_MS), 'locked'],
    ['just short of it', at(now - LASTS_MS / 2, now - LOCKS_AFTER_MS + 1), 'open'],
    ['after thirty days, however much used', at(now - LASTS_MS, now), 'over'],
    ['signed out', at(now - 1000, now - 1000, now - 500), 'over'],
    ['last used by a clock that ran ahead', at(now - 1000, now + 1e9), 'open'],
  ])('%s', (_, times, state) => expect(sessionState(times, now)).toBe(state));
  it('its token changes once a day, and the change takes a minute', () => {
    const s = at(now - 86_400_000, now);
    expect([rotationDue(s, now), rotationDue(s, now - 1)]).toEqual([true, false]);
    const rotated = { ...s, rotatedAtMs: now };
    expect([changeOver(rotated, now + 59_999), changeOver(rotated, now + 60_000)]).toEqual([false, true]);
  });
});

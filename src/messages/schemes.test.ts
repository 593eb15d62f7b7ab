import { describe, expect, it } from 'vitest';
import { AS_IT_COMES, buildParts, SCHEMES, type Scheme, type SchemeInput } from '@/core/tempo/scheme';
import { PROGRESS_TEXT } from './progress';
import { partChange, partText, schemeText, SCHEME_TEXT } from './schemes';

const input: SchemeInput = {
  reps: 12,
  tempo: '3-1-2-1',
  loadG: 30_000,
  dropsG: [22_500, 15_000],
  twentyG: 17_500,
  stances: [-0.19, 0.3],
  stepIns: [0.8, 0.6],
  strongerHalf: 'first',
  repsOfParts: [],
};

describe('what changes with a part is said first', () => {
  it.each<[Scheme, string, string]>([
    ['slow-then-normal', 'at 3-1-2-1', '12 at 3-1-2-1'],
    ['weight-drops', '22.5 kg', '15 at 3-1-2-1'],
    ['stance-drops', 'mark 30 cm', '8 at 3-1-2-1'],
    ['step-in-drops', 'mark 60 cm', '7 at 3-1-2-1'],
    ['rest-pause', 'rest 15 s', '4 at 3-1-2-1'],
    ['middle-drops', '22.5 kg', '15 at 3-1-2-1, the middle 80 %'],
    ['double-failure', 'the half from the stretch', '6 at 3-1-2-1, the half from the stretch'],
    ['partials', 'the half from the stretch', '6 at 1-0-1-0, the half from the stretch'],
  ])('%s: %s', (scheme, change, text) => {
    const [first, second] = buildParts(scheme, input);
    expect(partChange(second!, first!, 'kg')).toBe(change);
    expect(partText(second!)).toBe(text);
  });
  it('a mark behind the pulleys says so, and a part of the range which', () => {
    const [behind] = buildParts('stance-drops', input);
    expect(partChange(behind!, { ...behind!, standX: 0.3 }, 'kg')).toBe('mark 19 cm behind');
    expect(partText(buildParts('weight-drops', input)[2]!)).toBe('15 at 1-0-1-0, the middle 80 %');
    expect(partText(buildParts('partials', { ...input, strongerHalf: 'second' })[1]!)).toContain(
      'the half to the finish',
    );
  });
  it('the weaker half is done with help', () => {
    const last = buildParts('double-failure', input)[2]!;
    expect(partText(last)).toBe('4 at 3-1-2-1, the half to the finish, with help');
  });
  it('loads as stamped, tempos in words', () => {
    expect(partChange({ ...buildParts('straight', input)[0]!, loadG: 40_823 }, null, 'lb')).toBe('90 lb');
    expect(partText({ ...buildParts('straight', input)[0]!, tempo: '3-1-2-1, lower first, 40-75deg: 3s' })).toBe(
      '12 at 3-1-2-1, lower first, 3 s between 40° and 75°',
    );
  });
  it('what was changed of a scheme is told with it', () => {
    expect(schemeText({ scheme: 'rest-pause', choices: AS_IT_COMES })).toBe('rest-pause');
    const slow = { fromDeg: 30, toDeg: 65, seconds: 4 };
    const choices = { ...AS_IT_COMES, drops: 3, dropPercent: 20, reps: [10, null], slow, reserve: 0 };
    expect(schemeText({ scheme: 'weight-drops', choices })).toBe(
      'drop set, 3 of 20 %, reps 10, as usual, slow from 30° to 65°, to failure',
    );
  });
  it('no two are named alike', () => {
    expect(new Set(SCHEMES.map((s) => SCHEME_TEXT[s])).size).toBe(SCHEMES.length);
    expect(new Set(Object.values(PROGRESS_TEXT)).size).toBe(Object.values(PROGRESS_TEXT).length);
  });
});

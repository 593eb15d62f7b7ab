import { CAUTION_CODES } from '@/core/book/caution-code';
import { CORRECTION_CODES, CORRECTION_KIND } from '@/core/movement/correction-code';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import { rangeText } from './settings';
import { fitVerdictLine, verdictLine } from './reasons';
import { describe, expect, it } from 'vitest';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { FAULT_CODES } from '@/core/movement/fault-code';
import { BOOK } from '@/core/book/book';
import { cautionsOf } from '@/core/book/entry-cautions';
import { PEAK_TARGETS } from '@/core/movement/peak-target';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { CAUTION, PAIN_ADVICE } from './cautions';
import { CORRECTION_TEXT, FAULT_TEXT, repText } from './faults';
import { countedIn, countOf } from './live-set';
import { MEASURE_LABEL } from './measures';
import { WORDS as SET_WORDS } from './screens/set';
import { BOOK_TEXT } from './book';
import { PEAK_NAME, REGION_NAME } from './movements';
import type { Reason } from '@/core/setup/reasons';
import { heightByEye, limitText, lookAlongText, toVerdict } from './reasons';
import { whereInRange } from './where-in-range';

const alike = (texts: readonly string[]): string[] => texts.filter((t, i) => texts.indexOf(t) !== i);

const verdict = (reason: Reason, massEstimated = false) => toVerdict(reason, massEstimated);

describe('every code has its words, and no two the same', () => {
  it('faults: a pad label that fits a line or two, what is seen, and a cue of one breath', () => {
    for (const f of FAULT_CODES) {
      expect(FAULT_TEXT[f].pad.length).toBeLessThanOrEqual(19);
      expect(FAULT_TEXT[f].seen.length).toBeGreaterThan(10);
      expect(FAULT_TEXT[f].cue.split(' ').length).toBeLessThanOrEqual(9);
    }
    expect(alike(FAULT_CODES.map((f) => FAULT_TEXT[f].pad))).toEqual([]);
    expect(alike([...FAULT_CODES.map((f) => FAULT_TEXT[f].cue), ...BOOK.map((e) => BOOK_TEXT[e.id]!.cue)])).toEqual([]);
  });
  it('corrections: cues say that they are cues', () => {
    expect(alike(CORRECTION_CODES.map((c) => CORRECTION_TEXT[c]))).toEqual([]);
    for (const c of CORRECTION_CODES) expect(CORRECTION_TEXT[c].startsWith('Cue:')).toBe(CORRECTION_KIND[c] === 'cue');
  });
  it('movements, regions, wishes and measures', () => {
    for (const e of BOOK) expect(REGION_NAME[e.target]).toBeTruthy();
    for (const p of PEAK_TARGETS) expect(PEAK_NAME[p]).toBeTruthy();
    expect(alike(MEASURE_NAMES.map((n) => MEASURE_LABEL[n]))).toEqual([]);
  });
  it('every correction of every fault exists, and joint faults can be referred or eased', () => {
    for (const f of FAULT_CODES) {
      expect(FAULT_BOOK[f].corrections.length).toBeGreaterThan(0);
      if (FAULT_BOOK[f].joint)
        expect(FAULT_BOOK[f].corrections.some((c) => c === 'refer' || c === 'one-step-lighter')).toBe(true);
    }
  });
});

describe('safety', () => {
  it('each movement carries the stop signs, and the pins of what it is done on; no caution is idle', () => {
    for (const e of BOOK) {
      const own = cautionsOf(e);
      expect(own.at(-1)).toBe('stop-signs');
      if (e.load.kind === 'cable') expect(own).toContain('carriage-pin');
      if (e.armOn || e.posture.kind === 'lying') expect(own).toContain('bench-pins');
    }
    for (const c of CAUTION_CODES)
      expect(
        BOOK.some((e) => cautionsOf(e).includes(c)),
        c,
      ).toBe(c !== 'straddle');
    expect(alike(CAUTION_CODES.map((c) => CAUTION[c].text))).toEqual([]);
  });
  it('defers to procedure and licensed practice, and names no diagnosis', () => {
    const all = [...Object.values(CAUTION).map((c) => c.text), ...PAIN_ADVICE].join(' ');
    for (const word of ['procedure', 'physician or physiotherapist', 'chest pain', 'dizziness', 'numbness'])
      expect(all).toContain(word);
    expect(all).not.toMatch(/tendin|bursit|impinge|tear|sprain|strain|arthr/i);
  });
});

describe('sentences', () => {
  it.each([
    [0, 'in the stretch'],
    [0.12, 'in the stretch'],
    [0.3, 'nearer the stretch'],
    [0.5, 'half way'],
    [0.75, 'nearer the finish'],
    [1, 'at the finish'],
  ])('%d of the range', (at, words) => expect(whereInRange(at)).toBe(words));
  it.each([
    ['stature', 0.4, 'The pulleys sit about 40 cm above the client’s top of the head.'],
    ['shoulderHeight', 0.01, 'The pulleys sit level with the client’s shoulder.'],
    ['hipHeight', -0.12, 'The pulleys sit about 12 cm below the client’s hip.'],
  ] as const)('%s %d', (landmark, m, words) => expect(heightByEye(landmark, m)).toBe(words));
  it.each([
    [[3, 1, 3], 'rep 1, 3'],
    [[0], 'whole set'],
    [[0, 5], 'rep 5, whole set'],
  ])('reps %j', (reps, words) => expect(repText(reps, 'rep')).toBe(words));
  it.each([
    ['lift', 1, '1 rep', 'Reps done', 'clean to rep 1'],
    ['drill', 4, '4 reps', 'Reps done', 'clean to rep 4'],
    ['hold', 1, '1 hold', 'Holds done', 'clean to hold 1'],
    ['hold', 3, '3 holds', 'Holds done', 'clean to hold 3'],
  ] as const)('what a set of kind %s is counted in: %d', (work, n, counted, done, clean) => {
    const of = countedIn(work);
    expect(countOf(n, of)).toBe(counted);
    expect(SET_WORDS.countDone(of)).toBe(done);
    expect(SET_WORDS.watchedCleanTo(of, n)).toContain(clean);
    expect(repText([n], of)).toBe(`${of} ${n}`);
  });
  it('the eye goes where the sweep is seen edge on', () => {
    expect(lookAlongText('both', 98)).toContain('a little above');
    expect(lookAlongText('right', 90)).toContain('level with');
    expect(lookAlongText('left', 60)).toContain('Crouching');
  });
  it.each([
    [{ limit: 'clearance', need: 0.05, have: 0.02 }, '2 cm of cable out, 5 cm needed'],
    [{ limit: 'travel', need: 1.62, have: 1.2 }, '162 cm needed at the longest, 120 cm on the column'],
    [{ limit: 'room', need: 2.3, have: 2 }, '230 cm from the pulleys, the limit is 200 cm'],
    [{ limit: 'line', need: 8, have: 12.3 }, '12° off at best'],
    [{ limit: 'range', need: 40, have: 31 }, 'leaves a sweep of 31°'],
    [{ limit: 'rest', need: 0.25, have: 0.4 }, 'rest for 40 % of the range'],
  ] as const)('%j', (violation, words) => expect(limitText(violation)).toContain(words));
  it('another hole that changes nothing of the line is not told', () => {
    const line = { code: 'line', rmsDeg: 0, finishDeg: 0, sense: 'out', wholeArm: false, pickedUpBy: null } as const;
    const by = (deg: number) => ({ deg, by: 'side-deltoid' }) as const;
    expect(verdict({ ...line, twoLower: by(0.01), twoHigher: by(-0.4) }).text).toBe('off the line.');
    expect(verdict({ ...line, twoLower: by(0.01), twoHigher: by(-2) }).text).toContain('two holes up');
  });
  it('verdicts read figure first', () => {
    expect(
      verdict({
        code: 'line',
        rmsDeg: 0.31,
        finishDeg: 0.1,
        sense: 'up',
        wholeArm: true,
        pickedUpBy: null,
        twoLower: { deg: -4, by: 'front-deltoid' },
        twoHigher: null,
      }),
    ).toMatchObject({ figure: '0.3°', text: expect.stringContaining('front shoulder (4.0°)') });
    expect(
      verdict({
        code: 'line',
        rmsDeg: 9,
        finishDeg: 7,
        sense: 'up',
        wholeArm: true,
        pickedUpBy: 'lats',
        twoLower: null,
        twoHigher: null,
      }).text,
    ).toContain('pulls the arm up by 7.0°; that falls to the lats');
    expect(verdict({ code: 'clearance', cableM: 0.01, needM: 0.05 }).text).toContain('sets down');
    expect(verdict({ code: 'rest-zone', share: 0.001, finishShare: 0.5, helps: false }).figure).toBe('none');
    expect(verdict({ code: 'peak', at: 0.12, momentNm: 97.4, rightAngleAt: 0.1, stepForwardAt: 0.05 })).toMatchObject({
      figure: '12 %',
      text: expect.stringContaining('97 Nm'),
    });
  });
});

it('how a load is stood is an estimate where nobody weighed the client', () => {
  const standing = { code: 'standing', marginM: 0.08, mostKg: 12, kneesDown: 1 } as Reason;
  expect(verdict(standing).text).toBe(
    'inside the edge of the knee and feet at the worst moment; as drawn it carries about 12 kg.',
  );
  expect([verdict(standing).estimated, verdict(standing, true).estimated]).toEqual([false, true]);
  expect(verdict({ code: 'clearance', cableM: 0.2, needM: 0.05 }, true).estimated).toBe(false);
});

describe('a set-up in one line', () => {
  const m = {
    offPlaneRmsDeg: 0.4,
    evenness: 0.9,
    peakAt: 0.4,
    peakResistanceNm: 40,
    minClearanceM: 0.2,
  } as LineMetrics;
  it.each([
    [{}, 'On the line, even, stack clear.'],
    [{ offPlaneRmsDeg: 6.2, evenness: 0.6 }, '6° off the line, hardest half way, stack clear.'],
    [
      { evenness: 0.5, peakAt: 0.9, minClearanceM: 0.01 },
      'On the line, hardest at the finish, the stack touches down.',
    ],
    [{ evenness: 0.5, peakAt: 0.1 }, 'On the line, hardest in the stretch, stack clear.'],
  ])('%j: %s', (change, says) => expect(verdictLine({ ...m, ...change }, 0.1)).toBe(says));
  it('a drill without a load says so', () =>
    expect(fitVerdictLine({ ...m, peakResistanceNm: 0 })).toContain('own arm'));
});

describe('a range is said as people say it', () => {
  it.each<[Extract<Reason, { code: 'range' }>['counted'], number, string, string]>([
    ['flexion', 45.2, '45°', 'ahead at the shoulder where the lift begins'],
    ['flexion', -8, '8°', 'behind at the shoulder where the lift begins'],
    ['abduction', 0.4, '0°', 'at the side where the lift begins'],
    ['sweep', -3, '3.0°', 'behind the shoulder line'],
    ['sweep', 0, '0.0°', 'level with the shoulder line'],
    ['sweep', 12, '12°', 'ahead of the shoulder line'],
  ])('where it begins, %s %d', (counted, degs, figure, says) => {
    const said = verdict({ code: 'range', deg: degs, joint: 'shoulder', counted, from: 'movement' });
    expect([said.figure, said.text.split(':')[0]]).toEqual([figure, says]);
  });
  it.each([
    ['bend', 8, 120, '8° short of straight to 120° bent'],
    ['bend', 90, 0.4, '90° bent to straight'],
    ['bend', 100, 40, '100 to 40° bent'],
    ['horizontal', 40, -14, '40° ahead to 14° behind'],
    ['flexion', 60, 1, '60° ahead to in line'],
    ['flexion', 110, 20, '110 to 20° ahead'],
    ['abduction', 0, 85, 'at the side to 85° out'],
    ['lean', 70, 5, '70 to 5° forward'],
  ] as const)('%s %d to %d: %s', (counted, startDeg, finishDeg, says) =>
    expect(rangeText({ counted, startDeg, finishDeg })).toBe(says),
  );
});

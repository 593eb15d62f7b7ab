import { describe, expect, it } from 'vitest';
import { BOOK, findEntry } from '@/core/book/book';
import { sidesOf, type BookEntry } from '@/core/book/book-entry';
import { findEnoughLoad } from '@/core/book/enough-load';
import { needsOf } from '@/core/book/choose';
import { holeHeightM } from '@/core/kit/column';
import { length, subtract, type Vec3 } from '@/core/geometry/vector';
import { answerSchema, type Answer, type AnswerEvaluation } from '@/contract/answer';
import { caseSchema, type CaseInput } from '@/contract/case';
import { fromColumn } from '@/contract/column-schema';
import { fromStationKit } from '@/contract/station-schema';
import { openDb } from '@/data/open-db';
import { findStation } from '@/data/queries/kit';
import { BOOK_TEXT } from '@/messages/book';
import { gymKit, stationKit } from '@/server/gym-kit';
import { listMovements } from '@/solver/movement-listing';
import { answerCase } from '@/solver/solve-case';
import { toQuestion } from '@/solver/to-question';
import { loadDemoWorld } from '../demo/world';

/** Every movement, asked through the open case format on the demo gym's kit, for three statures and every side. */
const db = openDb(':memory:');
loadDemoWorld(db, new Date('2026-11-24T09:20:00').getTime());
const GYM = 'tidewater';
const kit = stationKit(db, GYM);
const gym = gymKit(db, GYM);
const column = findStation(db, 'long-pair')!;
const STATURES = [1.5, 1.75, 2];

function caseOf(e: BookEntry, statureM: number, side: CaseInput['side'], more: Partial<CaseInput> = {}): CaseInput {
  const handle = gym.attachments.find((a) => e.load.kind === 'cable' && e.load.attachments.includes(a.kind));
  return {
    format: 'jorvix-case/1',
    client: { statureM, massKg: 23 * statureM ** 2 },
    movement: findEntry(e.id)!.id,
    side,
    loadKg: 12,
    station: {
      ...(e.load.kind === 'cable' ? { column: fromColumn(column.column), room: column.room } : {}),
      ...fromStationKit(kit, e.load.kind === 'machine' ? e.load.machine : null),
    },
    ...(e.load.kind === 'cable' ? { attachment: { lengthM: handle?.lengthM ?? 0.02 } } : {}),
    ...more,
  };
}
function ask(c: unknown): Answer {
  const reply = answerCase(c);
  if (!reply.ok) throw new Error(JSON.stringify(reply.issues));
  return answerSchema.parse(reply.answer);
}
type Samples = readonly Record<string, unknown>[];
const sideOf = (e: AnswerEvaluation): Samples =>
  ('left' in e.samples ? e.samples[e.metricsSide] : e.samples) as Samples;
const points = (s: Record<string, unknown>): Vec3[] =>
  Object.entries(s).flatMap(([k, v]) => (k.endsWith('M') && k !== 'travelM' ? [v as Vec3] : []));

describe.each(STATURES)('every movement in the case format, %d m', (h) => {
  it.each(BOOK.map((e) => [e.id, e] as const))('%s', (_, e) => {
    const a = ask(caseOf(e, h, sidesOf(e).at(-1)!));
    expect([a.feasible, a.blockedBy]).toEqual([true, []]);
    const best = a.best!;
    const samples = sideOf(best);
    expect(samples.length).toBeGreaterThanOrEqual(41);
    for (const s of samples)
      for (const p of [...points(s), s.lineUnit as Vec3, [s.resistanceNm as number, 0, 0] as Vec3])
        expect(p.every(Number.isFinite)).toBe(true);
    // The metrics from the samples alone, as any reader of the format would.
    const r = samples.map((s) => s.resistanceNm as number);
    const peak = Math.max(...r);
    if (e.load.kind !== 'none') expect(best.metrics.peakResistanceNm).toBeGreaterThanOrEqual(peak - 1e-9);
    expect(best.metrics.peakResistanceNm).toBeLessThan(peak * 1.01 + 1e-6);
    expect(best.region.region).toBe(e.target);
    // An arm's own weight in a stretch or a drill, which nobody feels, is told by where it begins alone.
    expect(best.why.length).toBeGreaterThanOrEqual(peak < 2 ? 1 : 4);
    // The plate and the reason tell one angle.
    const stops = best.settings.find((x) => x.kind === 'stops');
    const begins = best.why.find((w) => w.includes('where the lift begins'));
    if (stops) expect(parseInt(begins!, 10)).toBe(parseInt(stops.figure, 10) || 0);
    // What others hold is told once for a muscle at a joint.
    const held = best.why.flatMap((w) => w.split('at both joints: ')[1]?.slice(0, -1).split('; ') ?? []);
    expect(new Set(held.map((p) => p.replace(/^.* Nm /, ''))).size).toBe(held.length);
    // What a person sets: a mark on 5 cm, square or turned by 15 degrees.
    if (best.stand)
      for (const over of [best.stand.x / 0.05, best.stand.yawDeg / 15]) expect(over).toBeCloseTo(Math.round(over), 6);
    expect(best.cautions.length).toBeGreaterThan(0);
    if (e.load.kind === 'weight')
      for (const s of samples) {
        const [x, y] = s.lineUnit as Vec3;
        // Through one thing both hands push each other aside, at most 0.6 of the load; palms that hold it by friction
        // press with what that asks for at least.
        const aside = Math.hypot(1, e.hold?.pressed === 'palms' ? 1 / 0.6 : 0.6);
        if (e.hold === null) expect(s.lineUnit).toEqual([0, -1, 0]);
        else expect([x, y <= -1 / aside + 1e-9]).toEqual([0, true]);
      }
    if (e.load.kind === 'cable') {
      const pulley = ('left' in best.pulleyM! ? best.pulleyM[best.metricsSide] : best.pulleyM!) as Vec3;
      for (const s of samples) {
        const at = (s.lineAtM ?? s.gripM) as Vec3;
        expect(length(subtract(pulley, at)) - caseOf(e, h, 'both').attachment!.lengthM).toBeCloseTo(
          s.travelM as number,
          9,
        );
      }
    } else expect([best.hole, best.tolerance, best.cost]).toEqual([null, null, null]);
    for (const rule of e.ruled) {
      const kind = {
        notch: 'notch',
        block: 'block',
        seatHole: 'seat-hole',
        backHole: 'back-hole',
        trunkDeg: 'hinge',
        pinM: 'pins',
      }[rule.setting];
      const measured = !(e.load.kind === 'machine' && !kit.machines[e.load.machine]);
      if (measured) expect(best.settings.map((s) => s.kind)).toContain(kind);
    }
  });
});

it.each(BOOK.filter((e) => e.group === 'pulldowns' && e.load.kind === 'cable').map((e) => [e.id, e] as const))(
  '%s comes from over the shoulder or not at all, however light',
  (_, e) => {
    for (const h of STATURES)
      for (const loadKg of [2.5, 5]) {
        const asked = (kg: number): CaseInput => caseOf(e, h, sidesOf(e).at(-1)!, { loadKg: kg });
        const { best, blockedBy } = ask(asked(loadKg));
        if (best) {
          expect(holeHeightM(column.column, best.hole!)).toBeGreaterThan(0.8 * h);
          continue;
        }
        expect(blockedBy.map((b) => b.limit)).toContain('rest');
        // It says from which step of the stack on it would do: lighter ones would not.
        const question = toQuestion(caseSchema.parse(asked(loadKg)));
        const enough = findEnoughLoad(question, [{ limit: 'rest', need: 0, have: 1 }], column.stackG)!;
        const lighter = column.stackG.filter((g) => g > loadKg * 1000 && g < enough.loadG);
        expect(ask(asked(enough.loadG / 1000)).best?.hole).toBe(enough.placement.hole);
        expect(lighter.filter((g) => ask(asked(g / 1000)).feasible)).toEqual([]);
      }
  },
);

describe('sides and words', () => {
  it.each(BOOK.filter((e) => e.hands === 'one').map((e) => [e.id, e] as const))('%s: left mirrors right', (_, e) => {
    const [l, r] = (['left', 'right'] as const).map((side) => ask(caseOf(e, 1.75, side)).best!);
    expect(l!.metrics.peakResistanceNm).toBeCloseTo(r!.metrics.peakResistanceNm, 6);
    expect([l!.hole, l!.stand.x]).toEqual([r!.hole, r!.stand.x]);
    expect(l!.stand.z).toBeCloseTo(-r!.stand.z, 9);
  });
  it('the listing names every movement with options that a case takes', () => {
    const list = listMovements();
    expect(list.map((m) => m.movement)).toEqual(BOOK.map((e) => e.id));
    for (const m of list) {
      const practices = Object.entries(
        (m.options as { practices?: Record<string, { oneOf: readonly string[] }> }).practices ?? {},
      );
      // That each is also answered is walked with the practices themselves.
      for (const [question, { oneOf }] of practices)
        for (const side of oneOf) {
          const options = { practices: { [question]: side } };
          const asked = caseOf(findEntry(m.movement)!, 1.75, m.sides.at(-1)! as 'both', { options });
          expect(caseSchema.safeParse(asked).success).toBe(true);
        }
    }
  });
  it('stand-ins exist, need no more kinds of kit than there are, and no two cues are alike', () => {
    const cues = BOOK.map((e) => BOOK_TEXT[e.id]!.cue);
    expect(new Set(cues).size).toBe(cues.length);
    for (const e of BOOK) for (const s of e.standIns) expect(needsOf(findEntry(s)!).length).toBeLessThan(4);
  });
});

describe('what a case may not ask of a movement', () => {
  const issue = (id: string, side: CaseInput['side'], more: Partial<CaseInput>) => {
    const reply = answerCase({ ...caseOf(findEntry(id)!, 1.75, side), ...more });
    return reply.ok ? [] : reply.issues.map((i) => `${i.path}: ${i.message}`);
  };
  it.each<[string, CaseInput['side'], Partial<CaseInput>, string]>([
    ['rope-pushdown', 'both', { station: {} }, 'station.column: expected an object: this movement hangs on a cable'],
    [
      'rope-pushdown',
      'both',
      { attachment: undefined },
      'attachment: expected an object: this movement hangs on a cable',
    ],
    ['rope-pushdown', 'left', {}, 'side: expected both: this movement is done with both sides'],
    ['kickback', 'both', {}, 'side: expected left or right: this movement is done one side at a time'],
    ['barbell-curl', 'both', { given: { hole: 3 } }, 'given: expected none: this movement has no place at a column'],
    [
      'barbell-curl',
      'both',
      { options: { tiltDeg: 20 } },
      'options.tiltDeg: expected none: this movement is not a fly’s sweep',
    ],
    [
      'barbell-curl',
      'both',
      { options: { grip: 'neutral' } },
      'options.grip: expected one of supinated, pronated for this movement',
    ],
    [
      'barbell-curl',
      'both',
      { options: { armPathDeg: 20 } },
      'options.armPathDeg: expected none: only rear-deltoid pulls on a cable follow an arm path',
    ],
    [
      'barbell-curl',
      'both',
      { options: { startAt: 0.5, stopAt: 0.7 } },
      'options.stopAt: expected at least 0.4 more than startAt',
    ],
    [
      'barbell-curl',
      'both',
      { options: { practices: { 'row-base': 'knee-on-bench' } } },
      'options.practices.row-base: expected none: this movement does not raise the question',
    ],
    [
      'cable-row-level-one-arm',
      'right',
      { options: { practices: { 'lat-aim': 'sideways' } } },
      'options.practices.lat-aim: expected one of neutral-to-hip, supinated-tight, neutral-to-armpit',
    ],
    [
      'leg-extension',
      'both',
      { station: { machine: { kind: 'leg-press', path: { kind: 'guide', guideDeg: 30, ratio: 1 } } } },
      'station.machine.kind: expected leg-extension for this movement',
    ],
    [
      'barbell-curl',
      'both',
      { options: { backDeg: 45 } },
      'options.backDeg: expected none: no bench angle is set for this movement',
    ],
    [
      'barbell-curl',
      'both',
      { options: { seatHole: 4 } },
      'options.seatHole: expected none: no seat or back pad hole is set for this movement',
    ],
    [
      'rope-pushdown',
      'both',
      { given: { hole: 12, leftBy: 2 } },
      'given.leftBy: expected none: only two cables can stand apart',
    ],
    ['leg-extension', 'both', { options: { tuckDeg: 5 } }, 'options.tuckDeg: expected none for this movement'],
    ['leg-extension', 'both', { options: { gripWidthM: 0.5 } }, 'options.gripWidthM: expected none for this movement'],
    ['barbell-curl', 'both', { options: { feet: 'low' } }, 'options.feet: expected none for this movement'],
    ['barbell-curl', 'both', { options: { pinM: 0.3 } }, 'options.pinM: expected none for this movement'],
    ['leg-extension', 'both', { options: { leanDeg: 40 } }, 'options.leanDeg: expected none for this movement'],
    [
      'barbell-curl',
      'both',
      { options: { leanDeg: 40 } },
      'options.leanDeg: expected a number from 0 to 15 degrees for this movement',
    ],
    [
      'strap-row',
      'both',
      { station: { straps: { anchorM: 2.2, strapM: 2 } } },
      'station.straps.strapM: expected handles that hang 0.5 to 1.3 m above the floor: anchorM less strapM',
    ],
    [
      'pulldown-overhand',
      'both',
      { attachment: { lengthM: 0.1, handsM: [0.9, 0.4] } },
      'attachment.handsM.1: expected at least 0.9 m',
    ],
  ])('%s, %s, %j', (id, side, more, message) => expect(issue(id, side, more)).toEqual([message]));
  it('hands apart as chosen, no wider than the handle allows; what a case says of straps is obeyed', () => {
    const hands = (more: Partial<CaseInput>): string =>
      ask(caseOf(findEntry('pulldown-overhand')!, 1.75, 'both', more)).best!.settings.find((s) => s.kind === 'hands')!
        .figure;
    expect(hands({ options: { gripWidthM: 0.6 } })).toBe('60 cm');
    expect(hands({ options: { gripWidthM: 1.1 }, attachment: { lengthM: 0.1, handsM: [0.2, 0.7] } })).toBe('70 cm');
    const carries = (station: CaseInput['station']): string =>
      ask(caseOf(findEntry('strap-row')!, 1.75, 'both', { station })).best!.settings.find((s) => s.kind === 'straps')!
        .says;
    expect(carries({ straps: { anchorM: 2.6, strapM: 1.6 } })).not.toBe(carries({}));
  });
  it('a range or a clinician’s limit that leaves too little blocks, and says how many degrees are there', () => {
    const curl = findEntry('barbell-curl')!;
    const a = ask(
      caseOf(curl, 1.75, 'both', {
        client: { statureM: 1.75, massKg: 75, activeRangeDeg: { left: { 'elbow.flexion': 40 } } },
      }),
    );
    expect(a.blockedBy.map((b) => b.limit)).toEqual(['range']);
    expect(a.blockedBy[0]!.have).toBeLessThan(a.blockedBy[0]!.need);
    const heavy = ask(caseOf(curl, 1.75, 'both', { client: { statureM: 1.75, massKg: 75, mostLoadKg: 5 } }));
    expect(heavy.blockedBy).toMatchObject([{ limit: 'load', need: 6, have: 5 }]);
  });
  it.each([4, 6, 9])('a blocked cable movement offers what works on the same column of %d holes', (holes) => {
    const low = { column: { ...fromColumn(column.column), holes }, room: column.room };
    const a = ask(caseOf(findEntry('cable-fly-high-to-low')!, 1.75, 'both', { station: low }));
    expect(a).toMatchObject({ feasible: false, nearest: { movement: 'cable-fly-low-to-high' } });
    const { movement, tiltDeg, best } = a.nearest!;
    const instead = caseOf(findEntry(movement)!, 1.75, 'both', { station: low, options: { tiltDeg: tiltDeg! } });
    expect(ask(instead)).toMatchObject({ feasible: true, best: { hole: best.hole } });
  });
});

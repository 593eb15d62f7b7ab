import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { FLOOR_EVENT_KINDS, type FloorEvent } from '@/core/record/floor-event';
import { findEntry } from '@/core/book/book';
import { NO_FIT } from '@/core/book/client-fit';
import { caseSchema } from '@/contract/case';
import { toOptions } from '@/contract/options-schema';
import { answerSchema } from '@/contract/answer';
import { parseTraceCsv } from '@/contract/trace-csv';
import { deliverySchema, floorEventSchema } from '@/contract/floor-event';
import { toFieldIssues } from '@/contract/field';
import { planFormSchema } from '@/contract/plan-form';
import { solveText } from '@/solver/solve-text';

const BASE = {
  id: 'e1',
  actorId: 'trainer',
  deviceId: 'd',
  seq: 1,
  atMs: 1_764_000_000_000,
  clientId: 'c',
  itemId: 'i',
  movement: 'cable-fly-level',
};
const PLACEMENT = { hole: 3, standX: 0.2, standZ: 0, yawDeg: 0 };
const ONE_OF_EACH: Record<FloorEvent['kind'], object> = {
  'setup-saved': {
    placement: PLACEMENT,
    solved: null,
    off: false,
    stationId: 's',
    attachmentId: 'a',
    side: 'both',
    options: {
      peak: 'even',
      tiltDeg: 0,
      frontFoot: 'left',
      practices: {},
      grip: null,
      armPathDeg: null,
      tuckDeg: 0,
      gripWidthM: null,
      feet: null,
      pinM: null,
      leanDeg: null,
      backDeg: null,
      seatHole: null,
      startAt: 0,
      stopAt: 1,
    },
  },
  'scheme-chosen': {
    scheme: 'weight-drops',
    choices: {
      reps: [8, null],
      drops: 3,
      dropPercent: 20,
      half: 'first',
      slow: { fromDeg: 30, toDeg: 65, seconds: 4 },
      reserve: 0,
    },
  },
  'set-started': { setId: 's', setNo: 1, loadG: 5000, targetReps: 12, tempo: '3-1-2-1' },
  part: { setId: 's', part: 1, reps: 12, loadG: 5000, standX: 0.3 },
  rep: { setId: 's', rep: 1 },
  fault: { setId: 's', rep: 2, fault: 'shrugs', side: 'left', severity: 2 },
  clean: { setId: 's', rep: 6 },
  'set-note': { setId: 's', note: 'left wrist' },
  undo: { eventId: 'e0' },
  trace: { setId: 's1', hz: 50, data: 'AAIF' },
  'set-ended': { setId: 's', reps: 11 },
  'set-confirmed': { setId: 's', loadG: 7500, reps: 12 },
  pain: { setId: null, rep: 0 },
  'go-ahead': { why: 'asked the physiotherapist today' },
  'pain-note': { painId: 'p', note: 'front of the shoulder' },
  correction: { setId: 's', fault: 'shrugs', correction: 'blades-down', cause: 'cue' },
  outcome: { correctionId: 'k', setId: 's', outcome: 'partly' },
};

describe('floor events at the border', () => {
  it.each(FLOOR_EVENT_KINDS)('%s passes unchanged, and no other key with it', (kind) => {
    const event = { ...BASE, kind, ...ONE_OF_EACH[kind] };
    expect(floorEventSchema.parse(event)).toEqual(event);
    expect(floorEventSchema.safeParse({ ...event, extra: 1 }).success).toBe(false);
  });
  it.each([
    ['id', ''],
    ['id', 'a b'],
    ['id', 'x'.repeat(65)],
    ['seq', -1],
    ['atMs', 0],
    ['movement', 'swim'],
    ['kind', 'delete'],
  ])('%s = %j is refused', (key, value) =>
    expect(floorEventSchema.safeParse({ ...BASE, kind: 'rep', setId: 's', rep: 1, [key]: value }).success).toBe(false),
  );
  it.each([
    ['fault', { rep: -1 }],
    ['fault', { severity: 4 }],
    ['fault', { side: 'up' }],
    ['set-started', { loadG: -1 }],
    ['set-started', { loadG: 2.5 }],
    ['setup-saved', { placement: { ...PLACEMENT, hole: 0 } }],
    ['outcome', { outcome: 'maybe' }],
  ] as const)('%s with %j is refused', (kind, change) =>
    expect(floorEventSchema.safeParse({ ...BASE, kind, ...ONE_OF_EACH[kind], ...change }).success).toBe(false),
  );
  it('a delivery has one to 200 events', () => {
    const event = { ...BASE, kind: 'rep', setId: 's', rep: 1 };
    expect(deliverySchema.safeParse({ events: [] }).success).toBe(false);
    expect(deliverySchema.safeParse({ events: Array(201).fill(event) }).success).toBe(false);
    expect(deliverySchema.safeParse({ events: [event] }).success).toBe(true);
  });
});

describe('whatever comes in, a border answers and never throws', () => {
  it.each([
    ['case', caseSchema],
    ['event', floorEventSchema],
    ['plan', planFormSchema],
  ] as [string, z.ZodType][])('%s', (_, schema) => {
    fc.assert(
      fc.property(fc.anything(), (value) => {
        const parsed = schema.safeParse(value);
        return (
          parsed.success ||
          toFieldIssues(parsed.error).every((i) => typeof i.message === 'string' && i.message.length > 0)
        );
      }),
      { numRuns: 200, seed: 5 },
    );
  });
});

describe('the format describes itself', () => {
  it('as JSON Schema for cases and answers', () => {
    const input = z.toJSONSchema(caseSchema, { io: 'input' }) as { required: string[] };
    expect(input.required).toEqual(expect.arrayContaining(['format', 'client', 'movement', 'side', 'loadKg']));
    expect(input.required).not.toContain('given');
    expect(JSON.stringify(z.toJSONSchema(answerSchema))).toContain('offPlaneRmsDeg');
  });
  it('fills a movement’s own options in', () => {
    expect(toOptions(findEntry('cable-fly-low-to-high')!, { peak: 'mid' }, NO_FIT)).toMatchObject({
      peak: 'mid',
      tiltDeg: -20,
      frontFoot: 'left',
      startAt: 0,
      stopAt: 1,
    });
    expect(toOptions(findEntry('cable-fly-high-to-low')!, {}, { armPathDeg: {}, chestLineDeg: 61 }).tiltDeg).toBe(61);
  });
});

describe('POST /api/v1/solve', () => {
  const post = (body: string) => {
    const { status, text } = solveText(body);
    return { status, json: () => JSON.parse(text) as { issues: unknown } };
  };
  it.each([['not json'], ['null'], ['{}'], ['[{}]']])('%s is told what is wrong', (body) => {
    const reply = post(body);
    expect(reply.status).toBe(400);
    expect((reply.json().issues as unknown[]).length).toBeGreaterThan(0);
  });
});

describe('a trace from a file', () => {
  it('takes two columns in any order, spaces and further columns or not', () => {
    expect(parseTraceCsv('note, x_m ,t_s\na,0.1,0\n\nb,0.2,0.05\n')).toEqual({
      ok: true,
      points: [
        { tS: 0, xM: 0.1 },
        { tS: 0.05, xM: 0.2 },
      ],
    });
    expect(parseTraceCsv('t_s;x_m\n0;0.1\n0.02;-3e-2')).toEqual({
      ok: true,
      points: [
        { tS: 0, xM: 0.1 },
        { tS: 0.02, xM: -0.03 },
      ],
    });
  });
  it.each([
    ['', 't_s: expected a column named t_s'],
    ['t_s,position\n0,1', 'x_m: expected a column named x_m'],
    ['t_s,x_m\n0,1', 't_s: expected at least two readings'],
    ['t_s,x_m\n0,1\n1,\n', 'line 3, x_m: expected a number, got “”'],
    ['t_s,x_m\n0,1\nlater,2\n', 'line 3, t_s: expected a number, got “later”'],
    ['t_s,x_m\n0,1\n1,Infinity\n', 'line 3, x_m: expected a number, got “Infinity”'],
  ])('%j is told: %s', (csv, message) => {
    const r = parseTraceCsv(csv);
    expect(r.ok ? '' : `${r.issues[0]!.path}: ${r.issues[0]!.message}`).toBe(message);
  });
});

import { describe, expect, it } from 'vitest';
import type { FloorEvent, FloorEventBody } from './floor-event';
import { findOpenCorrection, foldSetLog } from './set-log';

const event = (body: FloorEventBody, more: Partial<FloorEvent> = {}): FloorEvent =>
  ({
    id: `${body.kind}-${more.seq ?? 0}-${more.deviceId ?? 'd'}`,
    actorId: 't',
    deviceId: 'd',
    seq: 0,
    atMs: 0,
    clientId: 'c',
    itemId: 'i',
    movement: 'cable-fly-level',
    ...body,
    ...more,
  }) as FloorEvent;
const start = { kind: 'set-started', setId: 's', setNo: 1, loadG: 1, targetReps: 9, tempo: '3-1-2-1' } as const;
const begun = { ...start, scheme: 'straight' } as const;

describe('a set', () => {
  const setup = (itemId: string, hole: number, seq: number): FloorEvent =>
    event(
      {
        kind: 'setup-saved',
        placement: { hole, standX: 0, standZ: 0, yawDeg: 0 },
        solved: null,
        off: false,
        stationId: 's',
        attachmentId: 'a',
        side: 'left',
        options: {} as never,
      },
      { itemId, seq, atMs: seq },
    );
  it('has the set-up that was saved last for its movement, and its side where nothing is planned any more', () => {
    const log = foldSetLog(
      [setup('i', 3, 1), setup('i', 5, 2), setup('other', 9, 3), event(begun, { seq: 4, atMs: 4 })],
      {},
    );
    expect(log.sets[0]).toMatchObject({ setup: { placement: { hole: 5 } }, side: 'left', sessionId: 'i', reps: 0 });
  });
  it('counts to its furthest rep, whatever comes later', () => {
    const reps = [3, 5, 4].map((rep, k) => event({ kind: 'rep', setId: 's', rep }, { seq: k + 1, atMs: k + 1 }));
    expect(foldSetLog([event(begun), ...reps], {}).sets[0]!.reps).toBe(5);
  });
  it('asks about the correction that was given last', () => {
    const given = ['one', 'two'].map((id, k) =>
      event(
        { kind: 'correction', setId: 's', fault: 'shrugs', correction: 'blades-down', cause: 'cue' },
        { id, seq: k + 1, atMs: k + 1 },
      ),
    );
    const { sets } = foldSetLog([event(begun), ...given], {});
    expect(findOpenCorrection(sets)).toMatchObject({ id: 'two', outcome: null, outcomeId: null, outcomeSetId: null });
  });
  it('a stop for pain outside a set ends none', () => {
    const log = foldSetLog([event(begun), event({ kind: 'pain', setId: null, rep: 0 }, { seq: 2, atMs: 2 })], {});
    expect([log.sets[0]!.endedAtMs, log.pains.length]).toEqual([null, 1]);
  });
});

import { expect, it } from 'vitest';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { TapQueue, type Tap } from '@/offline/tap-queue';
import { seeded } from '../tracker/seeded';

const PLACE = { clientId: 'c', itemId: 'i', movement: 'cable-fly-level', deviceId: 'd' };
const start: FloorEventBody = {
  kind: 'set-started',
  setId: 's',
  setNo: 1,
  loadG: 5000,
  targetReps: 12,
  tempo: '3-1-2-1',
  scheme: 'straight',
};
const rep: Tap = ({ log }) => [{ kind: 'rep', setId: 's', rep: log.sets[0]!.reps + 1 }];
const part: Tap = ({ log: { sets } }) =>
  sets[0]!.parts.length > 0
    ? []
    : [{ kind: 'part', setId: 's', part: 1, reps: sets[0]!.reps, loadG: 5000, standX: 0.3 }];

it(
  'taps that come faster than the disk count on from each other, a second press adds nothing, and ' +
    'one that fails holds up no other',
  async () => {
    const random = seeded(5);
    const disk: FloorEvent[] = [];
    let full = false;
    const queue = new TapQueue(async (body, atMs) => {
      const fails = full;
      full = false;
      await new Promise((r) => setTimeout(r, 12 * random()));
      if (fails) throw new Error('full');
      disk.push({ ...body, ...PLACE, id: `e${disk.length}`, seq: disk.length, atMs } as FloorEvent);
      return disk.at(-1)!;
    });
    await queue.append(() => [start], 1);
    const at = (n: number): number => 10 + n;
    const first = [
      queue.append(rep, at(1)),
      queue.append(rep, at(2)),
      queue.append(rep, at(3)),
      queue.append(part, at(4)),
      queue.append(part, at(5)),
      queue.append(rep, at(6)),
    ];
    expect((await Promise.all(first)).map((kept) => kept.map((e) => e.kind).join())).toEqual([
      'rep',
      'rep',
      'rep',
      'part',
      '',
      'rep',
    ]);
    full = true;
    const [lost, kept] = await Promise.allSettled([queue.append(rep, at(7)), queue.append(rep, at(8))]);
    expect([lost.status, kept.status]).toEqual(['rejected', 'fulfilled']);
    expect(disk.map((e) => ('rep' in e ? e.rep : 'reps' in e ? `after ${e.reps}` : e.kind))).toEqual([
      'set-started',
      1,
      2,
      3,
      'after 3',
      4,
      5,
    ]);
    // The times are those of the taps, not of the disk.
    expect(disk.map((e) => e.atMs)).toEqual([1, 11, 12, 13, 14, 16, 18]);
  },
);

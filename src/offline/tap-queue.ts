import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { foldSetLog, type PlannedItems, type SetLog } from '@/core/record/set-log';
import { orderEvents } from '@/core/record/order-events';

/** The records as they stand: every event in its order, and what they fold into. */
export interface Records {
  readonly events: readonly FloorEvent[];
  readonly log: SetLog;
}

/** Makes what is to be kept of the records as they stand when its turn comes; empty for nothing. */
export type Tap = (records: Records) => readonly FloorEventBody[];

/** A tap by hand, or what the pacer counted by itself: its reps stay on the device while their set runs. */
export type TappedBy = 'hand' | 'pacer';

/** Keeps taps one after the other: what counts on from a tap before it builds on that one, however fast they come. */
export class TapQueue {
  private others: readonly FloorEvent[] = [];
  private own: readonly FloorEvent[] = [];
  private planned: PlannedItems = {};
  private last: Promise<unknown> = Promise.resolve();

  /** `keep` puts a tap on the device's disk; what it throws comes back from `append`, and the next tap has its turn. */
  constructor(private readonly keep: (body: FloorEventBody, atMs: number, runs: boolean) => Promise<FloorEvent>) {}

  /** What else is on record, and what is planned. */
  know(others: readonly FloorEvent[], planned: PlannedItems): void {
    this.others = others;
    this.planned = planned;
  }

  append(tap: Tap, atMs: number, by: TappedBy = 'hand'): Promise<readonly FloorEvent[]> {
    const turn = this.last.then(async () => {
      const events = orderEvents([...this.others, ...this.own]);
      const kept: FloorEvent[] = [];
      for (const body of tap({ events, log: foldSetLog(events, this.planned) })) {
        const event = await this.keep(body, atMs, by === 'pacer' && body.kind === 'rep');
        this.own = [...this.own, event];
        kept.push(event);
      }
      return kept;
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }
}

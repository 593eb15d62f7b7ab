import type { FloorEvent, FloorEventBody } from '@/core/fault/floor-event';
import { foldSetLog, orderEvents, type SetLog } from '@/core/fault/set-log';

/** A tap, or what makes one of the records as they stand when its turn comes; null for nothing to keep. */
export type Tap = FloorEventBody | ((log: SetLog) => FloorEventBody | null);

/** Keeps taps one after the other: what counts on from a tap before it builds on that one, however fast they come. */
export class TapQueue {
  private others: readonly FloorEvent[] = [];
  private own: readonly FloorEvent[] = [];
  private last: Promise<unknown> = Promise.resolve();

  /** `keep` puts a tap on the device's disk; what it throws comes back from `append`, and the next tap has its turn. */
  constructor(private readonly keep: (body: FloorEventBody, atMs: number) => Promise<FloorEvent>) {}

  /** What else is on record. */
  know(others: readonly FloorEvent[]): void {
    this.others = others;
  }

  append(tap: Tap, atMs: number): Promise<FloorEvent | null> {
    const turn = this.last.then(async () => {
      const body = typeof tap === 'function' ? tap(foldSetLog(orderEvents([...this.others, ...this.own]))) : tap;
      if (body === null) return null;
      const event = await this.keep(body, atMs);
      this.own = [...this.own, event];
      return event;
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }
}

import { liftSet, stackAt, type AskedSet, type Lifter, type StackLeg } from './lifter';

/** Readings a second, and how many of them are held for who connects late: five minutes. */
export const HZ = 50;
const HELD = 300 * HZ;
/** Noise of a reading, metres: half a millimetre each way. */
const NOISE_M = 0.0005;

/** A sensor on the stack of one simulated lifter. Its clock starts with it; `nowS` is any clock's seconds. */
export class Sensor {
  private readonly began: number;
  private legs: readonly StackLeg[] = [];
  private calledS = 0;
  private readonly held: (readonly [number, number])[] = [];
  /** Number of the reading to come. */
  private next = 0;

  constructor(
    readonly lifter: Lifter,
    private readonly random: () => number,
    nowS: number,
  ) {
    this.began = nowS;
  }

  /** The lifter takes hold and lifts. */
  call(set: AskedSet, nowS: number): void {
    this.takeReadings(nowS);
    this.legs = liftSet(this.lifter, set, this.random);
    this.calledS = nowS - this.began;
  }

  /** The lifter sets the stack down: half a second from wherever it is. */
  rest(nowS: number): void {
    this.takeReadings(nowS);
    const t = nowS - this.began;
    const fromM = stackAt(this.legs, t - this.calledS);
    this.legs = [{ seconds: 0.5, fromM, toM: 0, even: false }];
    this.calledS = t;
  }

  /** Readings from number `from` up to now that are still held, and the number of the first of them. */
  readings(
    from: number,
    nowS: number,
  ): { readonly n: number; readonly points: readonly (readonly [number, number])[] } {
    this.takeReadings(nowS);
    const first = this.next - this.held.length;
    const n = Math.min(this.next, Math.max(from, first));
    return { n, points: this.held.slice(n - first) };
  }

  /** Up to now by what the lifter does: before that changes, too. */
  private takeReadings(nowS: number): void {
    for (; this.next / HZ <= nowS - this.began; this.next++) {
      const t = this.next / HZ;
      this.held.push([
        Math.round(t * 1000) / 1000,
        Math.round((stackAt(this.legs, t - this.calledS) + NOISE_M * (2 * this.random() - 1)) * 10_000) / 10_000,
      ]);
    }
    if (this.held.length > HELD) this.held.splice(0, this.held.length - HELD);
  }
}

/**
 * How quickly what the clocks say of each other is believed, milliseconds: their pairs are a millisecond or two off.
 */
const SETTLES_MS = 4000;
/** Clocks apart by more than this at once did not run apart: the audio stood still, milliseconds. */
const JUMP_MS = 6;
/** Most that a sound device's clock runs fast or slow; what goes beyond is a device that does not keep time. */
const MOST_RATE = 0.0005;

/**
 * The set's clock, in milliseconds of the page's: it runs with the audio clock while there is sound, so that what is
 * seen and what is heard stay together over a long set, and with the page's where the audio stands still or is off. It
 * never jumps.
 */
export class PaceClock {
  /** The page's clock less this one's, milliseconds. */
  private lead = 0;
  /** The page's clock less the audio's where both count as together; null until they were seen. */
  private together: number | null = null;
  private seenMs = 0;

  /** Both clocks at one moment, milliseconds. */
  observe(pageMs: number, audioMs: number): void {
    const elapsed = pageMs - this.seenMs;
    this.seenMs = pageMs;
    this.together ??= pageMs - audioMs - this.lead;
    const apart = pageMs - audioMs - this.together - this.lead;
    if (Math.abs(apart) > JUMP_MS) {
      this.together += apart;
      return;
    }
    const most = MOST_RATE * Math.max(0, elapsed);
    this.lead += Math.max(-most, Math.min(most, apart * Math.min(1, Math.max(0, elapsed) / SETTLES_MS)));
  }

  /** The audio was turned off: what it says when it comes back begins anew. */
  release(): void {
    this.together = null;
  }

  read(pageMs: number): number {
    return pageMs - this.lead;
  }

  /** The page's clock at a moment of this one. */
  toPage(ms: number): number {
    return ms + this.lead;
  }
}

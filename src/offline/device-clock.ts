/** A difference of clocks that is told and made up for, milliseconds; below it a tap stands as the tablet has it. */
const CLOCK_OFF_MS = 30_000;

/**
 * How far the server's clock is ahead of this device's, milliseconds: its time against the middle of the way there and
 * back. Nought below half a minute, so that the way to the server moves nothing.
 */
export function clockOffset(askedMs: number, answeredMs: number, serverMs: number): number {
  const offset = Math.round(serverMs - (askedMs + answeredMs) / 2);
  return Math.abs(offset) >= CLOCK_OFF_MS ? offset : 0;
}

let offsetMs = 0;

/** What was learned of the server's clock. */
export const learnOffset = (ms: number): void => {
  offsetMs = ms;
};

/** Now by the server's clock as far as it is known, milliseconds: what a tap is stamped with. */
export const sharedNowMs = (): number => Date.now() + offsetMs;

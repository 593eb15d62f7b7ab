/** How the audio clock stands to the page's: what is heard at a moment of the page, both as the browser gives them. */
export interface AudioNow {
  /** Time of the graph, seconds: nothing can be put before it. */
  readonly currentTime: number;
  /** Audio time that is heard, seconds, and the page's clock then, milliseconds; 0 before anything was heard. */
  readonly contextTime: number;
  readonly performanceTime: number;
}

/** Audio time at which a moment of the page's clock is heard, seconds. */
export function heardAt({ currentTime, contextTime, performanceTime }: AudioNow, atMs: number, nowMs: number): number {
  if (performanceTime === 0) return currentTime + Math.max(0, atMs - nowMs) / 1000;
  return Math.max(currentTime, contextTime + (atMs - performanceTime) / 1000);
}
